// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/kitchen_page.h"

#include "app/kitchen/appliance_dialog.h"
#include "app/kitchen/kept_dialog.h"
#include "app/kitchen/thing_dialogs.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

struct SectionWords {
    const char *name, *empty;
};
constexpr SectionWords kSections[] = {
    {("Places"), ("A place says how high above the sea you cook.")},
    {("Appliances"), ("No appliance yet. Add the first oven, burner or grill, then rate it.")},
    {("Vessels"), ("No vessel yet. Add the pan or pot that a burner is rated with.")},
    {("Inserts"), ("No insert yet. A plate, a stone or raised grates make another heat of it.")},
    {("Instruments"),
     ("No instrument yet. Add the thermometers: their limits go into every test.")},
    {("Recipes"), ("No recipe yet. Write one in Translate (Ctrl+2).")},
    {("Kept translations"),
     ("None kept yet. In Translate, \"Keep this translation\" puts one here.")}};

} // namespace

KitchenPage::KitchenPage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), controller_(document),
      sections_(new QButtonGroup(this)), heading_(new QLabel), empty_(new QLabel),
      table_(new TextTable(QStringLiteral("Things of this kitchen"))),
      withRetired_(new QCheckBox(QStringLiteral("Show retired"))),
      add_(new QPushButton(QStringLiteral("Add…"))),
      change_(new QPushButton(QStringLiteral("Change…"))),
      another_(new QPushButton(QStringLiteral("Another like it…"))),
      retire_(new QPushButton(QStringLiteral("Retire"))) {
    setProperty("guide", QStringLiteral("kitchen"));
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(16, 12, 16, 12);
    line->setSpacing(16);
    auto* list = new QVBoxLayout;
    list->setSpacing(4);
    int at = 0;
    for (const SectionWords& section : kSections) {
        auto* button = new QPushButton(QString::fromUtf8(section.name));
        button->setObjectName(QStringLiteral("method"));
        button->setCheckable(true);
        button->setAccessibleName(QStringLiteral("Show %1").arg(QString::fromUtf8(section.name)));
        sections_->addButton(button, at++);
        list->addWidget(button);
    }
    list->addStretch();
    line->addLayout(list);
    auto* box = new QVBoxLayout;
    heading_->setObjectName(QStringLiteral("heading"));
    empty_->setObjectName(QStringLiteral("quiet"));
    empty_->setWordWrap(true);
    empty_->setAccessibleName(QStringLiteral("What to do first"));
    box->addWidget(heading_);
    box->addWidget(buildActions());
    box->addWidget(empty_);
    box->addWidget(table_, 1000);
    box->addStretch(1); // under an empty list
    line->addLayout(box, 1);
    connect(sections_, &QButtonGroup::idClicked, this, &KitchenPage::showSection);
    connect(table_, &TextTable::rowChosen, this, [this] { enableActions(); });
    connect(table_, &QTableView::activated, this, &KitchenPage::openChosen);
    connect(withRetired_, &QCheckBox::toggled, this, &KitchenPage::refresh);
    connect(&document_, &Document::changed, this, &KitchenPage::refresh);
    connect(&document_, &Document::unitsChanged, this, &KitchenPage::refresh);
    showSection(KitchenController::appliances);
}

QWidget* KitchenPage::buildActions() {
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(0, 0, 0, 0);
    for (const auto& [button, name] : {std::pair{add_, QStringLiteral("Add a thing")},
                                       {change_, QStringLiteral("Change the chosen one")},
                                       {another_, QStringLiteral("Another like the chosen one")},
                                       {retire_, QStringLiteral("Retire the chosen one")}}) {
        button->setAccessibleName(name);
        line->addWidget(button);
    }
    add_->setObjectName(QStringLiteral("act"));
    withRetired_->setAccessibleName(withRetired_->text());
    line->addStretch();
    line->addWidget(withRetired_);
    connect(add_, &QPushButton::clicked, this, &KitchenPage::add);
    connect(change_, &QPushButton::clicked, this, &KitchenPage::openChosen);
    connect(another_, &QPushButton::clicked, this, [this] { change(true); });
    connect(retire_, &QPushButton::clicked, this, &KitchenPage::retireOrBringBack);
    return out;
}

void KitchenPage::showSection(int section) {
    section_ = static_cast<KitchenController::Section>(section);
    sections_->button(section)->setChecked(true);
    refresh();
    table_->setCurrentRow(0);
    enableActions();
}

void KitchenPage::refresh() {
    if (!document_.isOpen())
        return;
    const Thing* had = chosen();
    const std::string keptId = had ? had->id : "";
    heading_->setText(QString::fromUtf8(kSections[section_].name));
    listing_ = controller_.list(section_, withRetired_->isChecked());
    table_->showRows(listing_.headers, listing_.rows);
    int row = listing_.things.empty() ? -1 : 0;
    for (std::size_t i = 0; i < listing_.things.size(); ++i)
        if (listing_.things[i].id == keptId)
            row = static_cast<int>(i);
    table_->setCurrentRow(row);
    empty_->setText(QString::fromUtf8(kSections[section_].empty));
    empty_->setVisible(listing_.things.empty());
    table_->setVisible(!listing_.things.empty());
    enableActions();
}

const KitchenController::Thing* KitchenPage::chosen() const {
    const int row = table_->currentRow();
    return row >= 0 && row < static_cast<int>(listing_.things.size())
               ? &listing_.things[static_cast<std::size_t>(row)]
               : nullptr;
}

void KitchenPage::enableActions() {
    const Thing* thing = chosen();
    const auto can = controller_.allowed(section_, thing);
    const bool recipes = section_ == KitchenController::recipes;
    const bool kept = section_ == KitchenController::kept;
    add_->setEnabled(can.add);
    add_->setVisible(!recipes && !kept);
    change_->setText(kept      ? QStringLiteral("Open…")
                     : recipes ? QStringLiteral("Open in Translate")
                               : QStringLiteral("Change…"));
    change_->setEnabled(can.change);
    another_->setVisible(!kept);
    another_->setEnabled(can.another);
    retire_->setEnabled(can.retire);
    retire_->setText(thing && thing->retired ? QStringLiteral("Bring back")
                                             : QStringLiteral("Retire"));
}

void KitchenPage::report(const Result<void>& done) {
    if (!done)
        document_.say(toQt(done.error(), document_.units()));
}

template <class Dialog>
auto typedIn(const Dialog& dialog) {
    if constexpr (std::is_same_v<Dialog, SiteDialog>)
        return dialog.site();
    else if constexpr (std::is_same_v<Dialog, VesselDialog>)
        return dialog.vessel();
    else if constexpr (std::is_same_v<Dialog, InsertDialog>)
        return dialog.insert();
    else if constexpr (std::is_same_v<Dialog, InstrumentDialog>)
        return dialog.instrument();
    else
        return dialog.appliance();
}

template <class Dialog, class Value>
void KitchenPage::addNew(const Value& fresh) {
    Dialog dialog(document_, fresh, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    Value made = typedIn(dialog);
    made.id = book::newId();
    const auto done = document_.add(made);
    report(done);
    if (!done)
        return;
    for (std::size_t i = 0; i < listing_.things.size(); ++i)
        if (listing_.things[i].id == made.id)
            table_->setCurrentRow(static_cast<int>(i));
    if constexpr (std::is_same_v<Value, kitchen::Appliance>)
        emit applianceAdded(made.id);
}

void KitchenPage::add() {
    switch (section_) {
    case KitchenController::places:
        return addNew<SiteDialog>(kitchen::Site{});
    case KitchenController::appliances:
        return addNew<ApplianceDialog>(
            beginAppliance(document_, kitchen::ApplianceKind::stillOven));
    case KitchenController::vessels:
        return addNew<VesselDialog>(kitchen::Vessel{});
    case KitchenController::inserts:
        return addNew<InsertDialog>(kitchen::Insert{});
    case KitchenController::instruments:
        return addNew<InstrumentDialog>(kitchen::Instrument{});
    default:
        return;
    }
}

template <class Dialog, class Value>
void KitchenPage::edit(const std::vector<Value>& all, bool asNew) {
    const Thing* thing = chosen();
    for (const Value& value : all) {
        if (!thing || value.id != thing->id)
            continue;
        Value from = value;
        if (asNew) {
            from.id.clear();
            from.name = toStd(QStringLiteral("%1, another").arg(toQt(value.name)));
            return addNew<Dialog>(from);
        }
        Dialog dialog(document_, from, this);
        if (dialog.exec() == QDialog::Accepted)
            report(document_.change(typedIn(dialog)));
        return;
    }
}

void KitchenPage::change(bool asNew) {
    const kitchen::Kitchen& kitchen = document_.kitchen();
    switch (section_) {
    case KitchenController::places:
        return edit<SiteDialog>(kitchen.sites, asNew);
    case KitchenController::appliances:
        return edit<ApplianceDialog>(kitchen.appliances, asNew);
    case KitchenController::vessels:
        return edit<VesselDialog>(kitchen.vessels, asNew);
    case KitchenController::inserts:
        return edit<InsertDialog>(kitchen.inserts, asNew);
    case KitchenController::instruments:
        return edit<InstrumentDialog>(kitchen.instruments, asNew);
    default:
        break;
    }
    if (const Thing* thing = chosen(); asNew && thing)
        report(controller_.copyRecipe(thing->id));
}

void KitchenPage::openChosen() {
    const Thing* thing = chosen();
    if (!thing || thing->retired || !change_->isEnabled())
        return;
    if (section_ == KitchenController::recipes) {
        emit recipeWanted(thing->id);
    } else if (section_ == KitchenController::kept) {
        KeptDialog dialog(document_, thing->id, this);
        dialog.exec();
    } else {
        change(false);
    }
}

void KitchenPage::retireOrBringBack() {
    const Thing* thing = chosen();
    if (!thing)
        return;
    const Thing gone = *thing; // the list is made anew by the change
    if (const QString why = controller_.whyKept(section_, gone); !gone.retired && !why.isEmpty())
        return document_.say(why);
    const auto done = controller_.retireOrBringBack(section_, gone);
    report(done);
    if (done && !gone.retired)
        document_.say(
            QStringLiteral("%1 is retired; nothing of it is lost. Tick \"%2\" to bring it back.")
                .arg(toQt(gone.name), withRetired_->text()));
}

} // namespace dynamet::app
