// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/look_pane.h"

#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kHigh = 44, kActionHigh = 52;
constexpr std::size_t kMostActions = 5;

} // namespace

LookPane::LookPane(Document& document, CookDesk& desk, QWidget* parent)
    : QWidget(parent), document_(document), desk_(desk), seen_(nullptr), seenBox_(new QWidget),
      about_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    auto* overline = new QLabel(QStringLiteral("WHAT DO YOU SEE?"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    seen_ = new QGridLayout(seenBox_);
    seen_->setContentsMargins(0, 0, 0, 0);
    seen_->setSpacing(4);
    box->addWidget(seenBox_);
    about_->setObjectName(QStringLiteral("quiet"));
    about_->setWordWrap(true);
    about_->setAccessibleName(QStringLiteral("About what is seen"));
    box->addWidget(about_);
    for (std::size_t i = 0; i < kMostActions; ++i) {
        auto* button = new QPushButton;
        button->setObjectName(QStringLiteral("method"));
        button->setMinimumHeight(kActionHigh);
        connect(button, &QPushButton::clicked, this, [this, i] {
            if (const auto done = desk_.take(dish_, i); !done)
                document_.say(toQt(done.error(), document_.units()));
        });
        button->hide();
        actions_.push_back(button);
        box->addWidget(button);
    }
    box->addStretch();
}

/// Two beside each other where three would be cut.
int LookPane::across() const {
    constexpr int kThree = 380;
    return width() < kThree ? 2 : 3;
}

void LookPane::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    if (dish_ < desk_.dishes().size())
        fillSeen();
}

void LookPane::showDish(std::size_t dish) {
    if (dish >= desk_.dishes().size())
        return;
    dish_ = dish;
    fillSeen();
    fillActions();
}

void LookPane::fillSeen() {
    const DishNow& dish = desk_.dishes()[dish_];
    const auto stage = std::min(dish.standing().stage, dish.cook.planned.recipe.stages.size() - 1);
    const std::string& on = dish.cook.planned.recipe.stages[stage].place.applianceId;
    const int columns = across();
    const std::string key = dish.cook.id + on + std::to_string(columns);
    if (key == shown_)
        return;
    shown_ = key;
    while (QLayoutItem* item = seen_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    const auto* appliance = findAppliance(document_.kitchen(), on);
    int at = 0;
    const auto add = [&](const QString& words, std::optional<run::Seen> seen) {
        auto* button = new QPushButton(words);
        button->setMinimumHeight(kHigh);
        button->setAccessibleName(QStringLiteral("Seen: %1").arg(words));
        connect(button, &QPushButton::clicked, this, [this, seen] { desk_.look(dish_, seen); });
        seen_->addWidget(button, at / columns, at % columns);
        ++at;
    };
    if (appliance)
        for (const run::Seen seen : run::seenAt(*appliance, dish.cook.planned.recipe.piece))
            add(QString::fromUtf8(words::seenWords(seen)), seen);
    add(QStringLiteral("what else?"), std::nullopt);
}

void LookPane::fillActions() {
    const DishNow& dish = desk_.dishes()[dish_];
    const bool cooking = dish.standing().begun && !dish.standing().pulled;
    setEnabled(cooking);
    about_->setText(
        !cooking ? QStringLiteral("While it cooks: tap what you see, and what can be done comes "
                                  "with its times.")
        : !dish.actions.empty()
            ? QStringLiteral("Simulated from here, the nearest to what was asked first. Browning "
                             "is trusted to a factor of two.")
        : dish.seen ? QStringLiteral("Working it out…")
                    : QStringLiteral("Tap what you see; what can be done comes with its times."));
    for (std::size_t i = 0; i < actions_.size(); ++i) {
        const bool there = cooking && i < dish.actions.size();
        actions_[i]->setVisible(there);
        if (!there)
            continue;
        const QString words =
            toQt(words::actionWords(dish.actions[i], dish.cook.planned, document_.kitchen(),
                                    desk_.nowS() - dish.standing().foodInS, document_.units()));
        actions_[i]->setText(words);
        actions_[i]->setAccessibleName(
            QString(words).replace(QLatin1Char('\n'), QStringLiteral(", ")));
    }
}

} // namespace dynamet::app
