// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/menu_pane.h"

#include "app/plan/menu_dialogs.h"
#include "app/plan/on_already_dialog.h"
#include "words/plan_words.h"

#include <QGridLayout>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace dynamet::app {

MenuPane::MenuPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), menus_(new QComboBox), when_(new QLabel),
      list_(new QListWidget), edit_(new QPushButton(QStringLiteral("Change…"))),
      remove_(new QPushButton(QStringLiteral("Take off"))),
      unpin_(new QPushButton(QStringLiteral("Unpin"))),
      addDish_(new QPushButton(QStringLiteral("Add a dish…"))),
      editMenu_(new QPushButton(QStringLiteral("When, who, where…"))),
      on_(new QPushButton(QStringLiteral("On already…"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setFixedWidth(264);
    build();
}

void MenuPane::build() {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(12, 10, 12, 10);
    auto* line = new QHBoxLayout;
    menus_->setAccessibleName(QStringLiteral("Menu in hand"));
    connect(menus_, &QComboBox::activated, this,
            [this] { chooseMenu(toStd(menus_->currentData().toString())); });
    auto* fresh = new QPushButton(QStringLiteral("New…"));
    fresh->setAccessibleName(QStringLiteral("New menu"));
    connect(fresh, &QPushButton::clicked, this, &MenuPane::newMenu);
    line->addWidget(menus_, 1);
    line->addWidget(fresh);
    box->addLayout(line);
    when_->setObjectName(QStringLiteral("quiet"));
    when_->setWordWrap(true);
    when_->setAccessibleName(QStringLiteral("When and who"));
    box->addWidget(when_);
    editMenu_->setAccessibleName(QStringLiteral("Change when, who and where"));
    connect(editMenu_, &QPushButton::clicked, this, &MenuPane::editMenu);
    box->addWidget(editMenu_);
    on_->setAccessibleName(QStringLiteral("What is on already"));
    connect(on_, &QPushButton::clicked, this, &MenuPane::editOn);
    auto* overline = new QLabel(QStringLiteral("DISHES: WHERE, WHO, ON TIME"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    list_->setAccessibleName(QStringLiteral("Dishes"));
    list_->setSpacing(2);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(list_, &QListWidget::currentRowChanged, this, &MenuPane::dishChosen);
    connect(list_, &QListWidget::itemActivated, this, &MenuPane::editDish);
    box->addWidget(list_, 1);
    addDish_->setObjectName(QStringLiteral("act"));
    addDish_->setAccessibleName(QStringLiteral("Add a dish"));
    connect(addDish_, &QPushButton::clicked, this, &MenuPane::addDish);
    box->addWidget(addDish_);
    auto* foot = new QGridLayout;
    edit_->setAccessibleName(QStringLiteral("Change the dish"));
    remove_->setAccessibleName(QStringLiteral("Take the dish off the menu"));
    unpin_->setAccessibleName(QStringLiteral("Unpin the dish"));
    connect(edit_, &QPushButton::clicked, this, &MenuPane::editDish);
    connect(remove_, &QPushButton::clicked, this, &MenuPane::removeDish);
    connect(unpin_, &QPushButton::clicked, this, &MenuPane::unpin);
    foot->addWidget(edit_, 0, 0);
    foot->addWidget(remove_, 0, 1);
    foot->addWidget(unpin_, 1, 0);
    foot->addWidget(on_, 1, 1);
    box->addLayout(foot);
}

const plan::Menu* MenuPane::menu() const {
    const auto& all = document_.menus();
    const auto at =
        std::find_if(all.begin(), all.end(), [&](const auto& one) { return one.id == id_; });
    return at == all.end() ? nullptr : &*at;
}

void MenuPane::chooseMenu(const std::string& id) {
    id_ = id;
    answer_.reset();
    refresh();
    emit menuChosen();
}

void MenuPane::refresh() {
    if (!menu() && !document_.menus().empty())
        id_ = document_.menus().front().id;
    menus_->clear();
    for (const plan::Menu& one : document_.menus())
        menus_->addItem(toQt(one.name), toQt(one.id));
    menus_->setCurrentIndex(menus_->findData(toQt(id_)));
    menus_->setEnabled(menus_->count() > 0);
    const plan::Menu* now = menu();
    const bool can = now && document_.isWritable();
    addDish_->setEnabled(can && !document_.recipes().empty());
    editMenu_->setEnabled(can);
    on_->setEnabled(can);
    if (!now) {
        when_->setText(
            document_.recipes().empty()
                ? QStringLiteral("A menu is made of recipes: add some in Translate first.")
                : QStringLiteral("No menu yet. “New…” begins one."));
        list_->clear();
        for (QPushButton* button : {edit_, remove_, unpin_})
            button->setEnabled(false);
        return;
    }
    QStringList cooks;
    for (const std::string& cook : now->cooks)
        cooks << toQt(cook);
    QStringList on;
    for (const plan::OnAlready& one : now->on)
        if (const auto* appliance = findAppliance(document_.kitchen(), one.applianceId))
            on << toQt(appliance->name);
    when_->setText(
        QStringLiteral("Served at %1%2. %3.%4")
            .arg(toQt(plan::clockText(now->serveMin)),
                 now->notBeforeMin ? QStringLiteral(", nothing before %1")
                                         .arg(toQt(plan::clockText(*now->notBeforeMin)))
                                   : QString(),
                 cooks.join(QStringLiteral(", ")),
                 on.isEmpty()
                     ? QString()
                     : QStringLiteral(" On already: %1.").arg(on.join(QStringLiteral(", ")))));
    fillDishes();
}

/// Where it is made and who makes it, and what is tight about it.
QString MenuPane::underLine(std::size_t dish) const {
    const plan::MenuDish& said = menu()->dishes[dish];
    QStringList parts;
    if (said.portions > 0)
        parts << QStringLiteral("%1 pieces").arg(said.portions);
    const auto* chosen =
        said.place ? findAppliance(document_.kitchen(), said.place->applianceId) : nullptr;
    if (chosen)
        parts << toQt(chosen->name);
    if (answer_ && answer_->made.found.plan) {
        const auto& of = answer_->menu.ofMenu;
        const auto at = std::find(of.begin(), of.end(), dish);
        if (at != of.end()) {
            const auto d = static_cast<std::size_t>(at - of.begin());
            const plan::Placed& placed = answer_->made.found.plan->dishes[d];
            const auto& row =
                answer_->menu.dishes[d].ways[static_cast<std::size_t>(placed.way)].row;
            const auto* on = findAppliance(document_.kitchen(), row.target.applianceId);
            if (on && !chosen)
                parts << toQt(on->name);
            parts << toQt(answer_->menu.menu.cooks[static_cast<std::size_t>(placed.cook)]);
            if (d < answer_->made.chance.dishes.size())
                parts << QStringLiteral("%1 %").arg(
                    std::lround(100 * answer_->made.chance.dishes[d]));
        }
    } else if (!said.cook.empty()) {
        parts << toQt(said.cook);
    }
    if (said.setting)
        parts << QStringLiteral("as kept");
    if (said.madeAhead)
        parts << QStringLiteral("reheated");
    if (said.beginsS)
        parts << QStringLiteral("pinned");
    return parts.join(QStringLiteral(" · "));
}

void MenuPane::fillDishes() {
    const int current = list_->currentRow();
    const QSignalBlocker still(list_);
    list_->clear();
    const plan::Menu* now = menu();
    for (std::size_t d = 0; now && d < now->dishes.size(); ++d) {
        const auto recipe =
            std::find_if(document_.recipes().begin(), document_.recipes().end(),
                         [&](const auto& one) { return one.id == now->dishes[d].recipeId; });
        const QString name = recipe == document_.recipes().end()
                                 ? QStringLiteral("A recipe that is gone")
                                 : toQt(recipe->name);
        const QString under = underLine(d);
        constexpr int kInset = 44;
        const QString fits =
            list_->fontMetrics().elidedText(name, Qt::ElideRight, width() - kInset);
        auto* item = new QListWidgetItem(under.isEmpty() ? fits : fits + QLatin1Char('\n') + under);
        item->setToolTip(name);
        list_->addItem(item);
    }
    list_->setCurrentRow(std::clamp(current, list_->count() > 0 ? 0 : -1, list_->count() - 1));
    const bool any = now && list_->count() > 0 && document_.isWritable();
    edit_->setEnabled(any);
    remove_->setEnabled(any);
    const int at = list_->currentRow();
    unpin_->setEnabled(any && at >= 0 && now->dishes[static_cast<std::size_t>(at)].beginsS);
}

void MenuPane::showAnswer(const std::shared_ptr<const PlanAnswer>& answer) {
    answer_ = answer;
    fillDishes();
}

void MenuPane::chooseDish(int dish) {
    const QSignalBlocker still(list_);
    list_->setCurrentRow(dish);
    const plan::Menu* now = menu();
    unpin_->setEnabled(now && dish >= 0 && dish < static_cast<int>(now->dishes.size()) &&
                       now->dishes[static_cast<std::size_t>(dish)].beginsS &&
                       document_.isWritable());
}

void MenuPane::keep(const plan::Menu& changed) {
    if (const auto done = document_.changeMenu(changed); !done)
        document_.say(toQt(done.error(), document_.units()));
}

void MenuPane::newMenu() {
    MenuDialog dialog(document_, beginMenu(document_), this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    id_ = dialog.menu().id;
    if (const auto done = document_.addMenu(dialog.menu()); !done)
        document_.say(toQt(done.error(), document_.units()));
}

void MenuPane::editMenu() {
    const plan::Menu* now = menu();
    if (!now)
        return;
    MenuDialog dialog(document_, *now, this);
    if (dialog.exec() == QDialog::Accepted)
        keep(dialog.menu());
}

void MenuPane::editOn() {
    const plan::Menu* now = menu();
    if (!now)
        return;
    OnAlreadyDialog dialog(document_, *now, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    plan::Menu changed = *now;
    changed.on = dialog.on();
    keep(changed);
}

void MenuPane::addDish() {
    const plan::Menu* now = menu();
    if (!now)
        return;
    plan::MenuDish dish;
    dish.id = book::newId();
    dish.recipeId = document_.recipes().front().id;
    for (const recipe::Recipe& one : document_.recipes()) // the first that is not on it yet
        if (std::none_of(now->dishes.begin(), now->dishes.end(),
                         [&](const auto& other) { return other.recipeId == one.id; })) {
            dish.recipeId = one.id;
            break;
        }
    DishDialog dialog(document_, *now, dish, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    plan::Menu changed = *now;
    changed.dishes.push_back(dialog.dish());
    keep(changed);
}

void MenuPane::editDish() {
    const plan::Menu* now = menu();
    const int at = list_->currentRow();
    if (!now || at < 0 || !document_.isWritable())
        return;
    DishDialog dialog(document_, *now, now->dishes[static_cast<std::size_t>(at)], this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    plan::Menu changed = *now;
    changed.dishes[static_cast<std::size_t>(at)] = dialog.dish();
    keep(changed);
}

void MenuPane::removeDish() {
    const plan::Menu* now = menu();
    const int at = list_->currentRow();
    if (!now || at < 0)
        return;
    plan::Menu changed = *now;
    changed.dishes.erase(changed.dishes.begin() + at);
    keep(changed);
}

void MenuPane::unpin() {
    const plan::Menu* now = menu();
    const int at = list_->currentRow();
    if (!now || at < 0)
        return;
    plan::Menu changed = *now;
    changed.dishes[static_cast<std::size_t>(at)].beginsS.reset();
    keep(changed);
}

} // namespace dynamet::app
