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
    {QT_TR_NOOP("Places"), QT_TR_NOOP("A place says how high above the sea you cook.")},
    {QT_TR_NOOP("Appliances"),
     QT_TR_NOOP("No appliance yet. Add the first oven, burner or grill, then rate it.")},
    {QT_TR_NOOP("Vessels"),
     QT_TR_NOOP("No vessel yet. Add the pan or pot that a burner is rated with.")},
    {QT_TR_NOOP("Inserts"),
     QT_TR_NOOP("No insert yet. A plate, a stone or raised grates make another heat of it.")},
    {QT_TR_NOOP("Instruments"),
     QT_TR_NOOP("No instrument yet. Add the thermometers: their limits go into every test.")},
    {QT_TR_NOOP("Recipes"), QT_TR_NOOP("No recipe yet. Write one in Translate (Ctrl+2).")},
    {QT_TR_NOOP("Kept translations"),
     QT_TR_NOOP("None kept yet. In Translate, \"Keep this translation\" puts one here.")}};

} // namespace

KitchenPage::KitchenPage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), sections_(new QButtonGroup(this)), heading_(new QLabel),
      empty_(new QLabel), table_(new TextTable(tr("Things of this kitchen"))),
      withRetired_(new QCheckBox(tr("Show retired"))), add_(new QPushButton(tr("Add…"))),
      change_(new QPushButton(tr("Change…"))), another_(new QPushButton(tr("Another like it…"))),
      retire_(new QPushButton(tr("Retire"))) {
    setProperty("guide", QStringLiteral("kitchen"));
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(16, 12, 16, 12);
    line->setSpacing(16);
    auto* list = new QVBoxLayout;
    list->setSpacing(4);
    int at = 0;
    for (const SectionWords& section : kSections) {
        auto* button = new QPushButton(tr(section.name));
        button->setObjectName(QStringLiteral("method"));
        button->setCheckable(true);
        button->setAccessibleName(tr("Show %1").arg(tr(section.name)));
        sections_->addButton(button, at++);
        list->addWidget(button);
    }
    list->addStretch();
    line->addLayout(list);
    auto* box = new QVBoxLayout;
    heading_->setObjectName(QStringLiteral("heading"));
    empty_->setObjectName(QStringLiteral("quiet"));
    empty_->setWordWrap(true);
    empty_->setAccessibleName(tr("What to do first"));
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
    showSection(appliances);
}

QWidget* KitchenPage::buildActions() {
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(0, 0, 0, 0);
    for (const auto& [button, name] : {std::pair{add_, tr("Add a thing")},
                                       {change_, tr("Change the chosen one")},
                                       {another_, tr("Another like the chosen one")},
                                       {retire_, tr("Retire the chosen one")}}) {
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
    section_ = section;
    sections_->button(section)->setChecked(true);
    refresh();
    table_->setCurrentRow(0);
    enableActions();
}

void KitchenPage::refresh() {
    if (!document_.isOpen())
        return;
    const int before = table_->currentRow();
    const std::string keptId = before >= 0 && before < static_cast<int>(things_.size())
                                   ? things_[static_cast<std::size_t>(before)].id
                                   : "";
    heading_->setText(tr(kSections[section_].name));
    fill();
    int row = things_.empty() ? -1 : 0;
    for (std::size_t i = 0; i < things_.size(); ++i)
        if (things_[i].id == keptId)
            row = static_cast<int>(i);
    table_->setCurrentRow(row);
    empty_->setText(tr(kSections[section_].empty));
    empty_->setVisible(things_.empty());
    table_->setVisible(!things_.empty());
    enableActions();
}

const KitchenPage::Thing* KitchenPage::chosen() const {
    const int row = table_->currentRow();
    return row >= 0 && row < static_cast<int>(things_.size())
               ? &things_[static_cast<std::size_t>(row)]
               : nullptr;
}

void KitchenPage::enableActions() {
    const bool writable = document_.isWritable();
    const Thing* thing = chosen();
    const bool list = section_ == recipes || section_ == kept;
    add_->setEnabled(writable);
    add_->setVisible(!list);
    change_->setText(section_ == kept      ? tr("Open…")
                     : section_ == recipes ? tr("Open in Translate")
                                           : tr("Change…"));
    change_->setEnabled(thing && !thing->retired && (writable || list));
    another_->setVisible(section_ != kept);
    another_->setEnabled(writable && thing && !thing->retired);
    retire_->setEnabled(writable && thing);
    retire_->setText(thing && thing->retired ? tr("Bring back") : tr("Retire"));
}

void KitchenPage::report(const Result<void>& done) {
    if (!done)
        document_.say(toQt(done.error().message));
}

Document::Thing KitchenPage::kindOfThing() const {
    static constexpr Document::Thing kKinds[] = {
        Document::Thing::site,       Document::Thing::appliance,  Document::Thing::vessel,
        Document::Thing::insert,     Document::Thing::instrument, Document::Thing::recipe,
        Document::Thing::translation};
    return kKinds[section_];
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
    for (std::size_t i = 0; i < things_.size(); ++i)
        if (things_[i].id == made.id)
            table_->setCurrentRow(static_cast<int>(i));
    if constexpr (std::is_same_v<Value, kitchen::Appliance>)
        emit applianceAdded(made.id);
}

void KitchenPage::add() {
    switch (section_) {
    case places:
        return addNew<SiteDialog>(kitchen::Site{});
    case appliances:
        return addNew<ApplianceDialog>(
            beginAppliance(document_, kitchen::ApplianceKind::stillOven));
    case vessels:
        return addNew<VesselDialog>(kitchen::Vessel{});
    case inserts:
        return addNew<InsertDialog>(kitchen::Insert{});
    case instruments:
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
            from.name = toStd(tr("%1, another").arg(toQt(value.name)));
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
    case places:
        return edit<SiteDialog>(kitchen.sites, asNew);
    case appliances:
        return edit<ApplianceDialog>(kitchen.appliances, asNew);
    case vessels:
        return edit<VesselDialog>(kitchen.vessels, asNew);
    case inserts:
        return edit<InsertDialog>(kitchen.inserts, asNew);
    case instruments:
        return edit<InstrumentDialog>(kitchen.instruments, asNew);
    default:
        break;
    }
    for (const recipe::Recipe& recipe : document_.recipes())
        if (const Thing* thing = chosen(); asNew && thing && recipe.id == thing->id) {
            recipe::Recipe other = recipe;
            other.id = book::newId();
            other.name = toStd(tr("%1, another").arg(toQt(recipe.name)));
            return report(document_.addRecipe(other));
        }
}

void KitchenPage::openChosen() {
    const Thing* thing = chosen();
    if (!thing || thing->retired || !change_->isEnabled())
        return;
    if (section_ == recipes) {
        emit recipeWanted(thing->id);
    } else if (section_ == kept) {
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
    if (gone.retired)
        return report(document_.bringBack(kindOfThing(), gone.id, gone.name));
    if (section_ == places && document_.kitchen().sites.size() < 2)
        return document_.say(tr("A kitchen needs one place: add another before this one goes."));
    for (const kitchen::Appliance& a : document_.kitchen().appliances)
        if ((section_ == places && a.siteId == gone.id) ||
            (section_ == vessels && a.standardVesselId == gone.id))
            return document_.say(tr("%1 depends on it: change that first.").arg(toQt(a.name)));
    const auto done = document_.retire(kindOfThing(), gone.id, gone.name);
    report(done);
    if (done)
        document_.say(tr("%1 is retired; nothing of it is lost. Tick \"%2\" to bring it back.")
                          .arg(toQt(gone.name), withRetired_->text()));
}

} // namespace dynamet::app
