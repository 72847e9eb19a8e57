// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/appliance_dialog.h"

#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/marks.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr std::size_t kMostZones = 12;

/// "middle, by the fire *": places that see flame or coals carry a star.
QString zonesLine(const std::vector<kitchen::Zone>& zones) {
    QStringList out;
    for (const kitchen::Zone& zone : zones)
        out << toQt(zone.name) + (zone.direct ? QStringLiteral(" *") : QString());
    return out.join(QStringLiteral(", "));
}

bool seesFire(kitchen::ApplianceKind kind) {
    return groupOf(kind) == kitchen::HeatGroup::coalsAndFlame;
}

} // namespace

kitchen::Appliance beginAppliance(const Document& document, kitchen::ApplianceKind kind) {
    auto out = kitchen::typicalAppliance(kind, document.units().temperature())
                   .value_or(kitchen::Appliance{});
    if (!document.kitchen().sites.empty())
        out.siteId = document.kitchen().sites.front().id;
    if (isHob(kind) && !document.kitchen().vessels.empty())
        out.standardVesselId = document.kitchen().vessels.front().id;
    return out;
}

ApplianceDialog::ApplianceDialog(Document& document, const kitchen::Appliance& appliance,
                                 QWidget* parent)
    : FormDialog(document,
                 appliance.id.empty() ? QStringLiteral("Add an appliance")
                                      : QStringLiteral("Change %1").arg(toQt(appliance.name)),
                 parent),
      appliance_(appliance), pan_(new QWidget), controls_(new QWidget) {
    setProperty("guide", QStringLiteral("kitchen"));
    name_ = addText(QStringLiteral("Name of the appliance"), appliance.name,
                    QStringLiteral("what you call it"));
    QStringList kindNames;
    for (const kitchen::ApplianceKind kind : kitchen::allKinds())
        kindNames << QString::fromUtf8(kitchen::kindName(kind));
    kind_ =
        addChoice(QStringLiteral("Kind of appliance"), kindNames, static_cast<int>(appliance.kind));
    kind_->setEnabled(appliance.id.empty());
    site_ =
        addThings(QStringLiteral("Where it stands"), document.kitchen().sites, appliance.siteId);
    auto* line = new QHBoxLayout(pan_);
    line->setContentsMargins(0, 0, 0, 0);
    vessel_ = new QComboBox;
    vessel_->setAccessibleName(QStringLiteral("Vessel it is rated with"));
    auto* more = new QPushButton(QStringLiteral("Add a pan…"));
    more->setAutoDefault(false);
    more->setAccessibleName(QStringLiteral("Add a pan"));
    line->addWidget(vessel_, 1);
    line->addWidget(more);
    form().addRow(QStringLiteral("Rated with"), pan_);
    fillVessels(appliance.standardVesselId);
    heatBy_ = addChoice(QStringLiteral("Knob"),
                        {QStringLiteral("marked in levels"), QStringLiteral("marked in watts")}, 0);
    controls_->setLayout(new QVBoxLayout);
    controls_->layout()->setContentsMargins(0, 0, 0, 0);
    addWide(controls_);
    zones_ = addText(QStringLiteral("Places for food"), toStd(zonesLine(appliance.zones)));
    input_ = addQuantity(QStringLiteral("Rated input"), kinds::power(100000, true),
                         appliance.ratedInputW > 0 ? std::optional(appliance.ratedInputW)
                                                   : std::nullopt);
    const auto known = [](double value) { return value > 0 ? std::optional(value) : std::nullopt; };
    boost_ = addQuantity(QStringLiteral("Highest mark lasts"), kinds::duration(7200, true),
                         known(appliance.hob.boostS));
    boost_->setToolTip(QStringLiteral("A boost that ends by itself; empty = as long as you like"));
    panLimit_ = addQuantity(QStringLiteral("Pan limiter stops at"),
                            kinds::temperature(document.units(), 100, 400, true),
                            known(appliance.hob.panLimitK));
    panLimit_->setToolTip(QStringLiteral("No pan on it gets hotter; empty = it has none"));
    shared_ = addQuantity(QStringLiteral("Shared power"), kinds::power(100000, true),
                          known(appliance.hob.sharedInputW));
    shared_->setToolTip(QStringLiteral(
        "What this zone and the one beside it have together; empty = it shares with none"));
    capacity_ = addQuantity(QStringLiteral("Room for food"), kinds::area(document.units(), 5e-3, 4),
                            appliance.capacityM2);
    asset_ = addText(QStringLiteral("Asset number"), appliance.assetNumber);
    notes_ = addText(QStringLiteral("Notes"), appliance.notes);
    connect(more, &QPushButton::clicked, this, &ApplianceDialog::addPan);
    connect(kind_, &QComboBox::activated, this, [this](int at) {
        const std::string name = appliance_.name, site = toStd(site_->currentData().toString());
        appliance_ = beginAppliance(document_, kitchen::allKinds()[static_cast<std::size_t>(at)]);
        appliance_.name = name;
        appliance_.siteId = site;
        zones_->setText(zonesLine(appliance_.zones));
        input_->setValue(appliance_.ratedInputW > 0 ? std::optional(appliance_.ratedInputW)
                                                    : std::nullopt);
        showKind();
    });
    connect(heatBy_, &QComboBox::activated, this, [this](int at) {
        appliance_.controls = at == 1 ? kitchen::withWatts(appliance_)
                                      : beginAppliance(document_, appliance_.kind).controls;
        buildControls();
    });
    showKind();
    name_->setFocus();
}

void ApplianceDialog::fillVessels(const std::string& chosen) {
    vessel_->clear();
    vessel_->addItem(QStringLiteral("none yet: its heat is unknown until you choose one"),
                     QString());
    for (const kitchen::Vessel& vessel : document_.kitchen().vessels)
        vessel_->addItem(toQt(vessel.name), toQt(vessel.id));
    vessel_->setCurrentIndex(std::max(0, vessel_->findData(toQt(chosen))));
}

void ApplianceDialog::addPan() {
    kitchen::Vessel fresh;
    VesselDialog dialog(document_, fresh, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    fresh = dialog.vessel();
    fresh.id = book::newId();
    if (const auto done = document_.add(fresh); !done)
        return foot().showProblem(done.error(), document_.units());
    fillVessels(fresh.id);
}

void ApplianceDialog::showKind() {
    setRowVisible(pan_, isHob(appliance_.kind));
    setRowVisible(heatBy_, isHob(appliance_.kind));
    for (QuantityField* limit : {boost_, panLimit_, shared_})
        setRowVisible(limit, isHob(appliance_.kind));
    setRowVisible(capacity_, !isHob(appliance_.kind)); // its pan has the room
    const bool watts = !appliance_.controls.empty() &&
                       appliance_.controls.front().kind == kitchen::ControlKind::watts;
    heatBy_->setCurrentIndex(watts ? 1 : 0);
    zones_->setToolTip(
        seesFire(appliance_.kind)
            ? QStringLiteral("Separate with commas; a star after those over flame or coals")
            : QStringLiteral("Separate with commas"));
    buildControls();
    fillVessels(appliance_.standardVesselId);
    if (isVisible())
        fitToFields();
}

void ApplianceDialog::buildControls() {
    for (ControlEdit* edit : edits_)
        delete edit;
    edits_.clear();
    for (const kitchen::Control& control : appliance_.controls) {
        edits_.push_back(ControlEdit::canEdit(control) ? new ControlEdit(document_.units(), control)
                                                       : nullptr);
        if (edits_.back())
            controls_->layout()->addWidget(edits_.back());
    }
}

Result<std::vector<kitchen::Zone>> ApplianceDialog::zones() const {
    const auto names = kitchen::namesFrom(toStd(zones_->text()), kMostZones);
    if (!names)
        return tl::unexpected(names.error().in(toStd(zones_->accessibleName())));
    std::vector<kitchen::Zone> out;
    for (const std::string& name : *names) {
        const QString typed = toQt(name).trimmed();
        const bool direct = typed.endsWith(QLatin1Char('*'));
        const QString plainName = (direct ? typed.chopped(1) : typed).trimmed();
        out.push_back({toStd(plainName), direct});
    }
    return out;
}

Result<void> ApplianceDialog::take() {
    const auto name = named(*name_);
    const auto places = zones();
    if (!name || !places)
        return tl::unexpected(name ? places.error() : name.error());
    kitchen::Appliance out = appliance_;
    out.name = *name;
    out.zones = *places;
    for (std::size_t i = 0; i < edits_.size(); ++i) {
        if (!edits_[i])
            continue;
        auto control = edits_[i]->control();
        if (!control)
            return tl::unexpected(control.error());
        out.controls[i] = std::move(*control);
    }
    out.siteId = toStd(site_->currentData().toString());
    out.standardVesselId = isHob(out.kind) ? toStd(vessel_->currentData().toString()) : "";
    out.ratedInputW = (*input_->value()).value_or(0);
    out.hob = {};
    if (isHob(out.kind))
        out.hob = {(*boost_->value()).value_or(0), (*panLimit_->value()).value_or(0),
                   (*shared_->value()).value_or(0)};
    out.capacityM2 = **capacity_->value();
    out.assetNumber = toStd(asset_->text().trimmed());
    out.notes = toStd(notes_->text().trimmed());
    appliance_ = out;
    return {};
}

} // namespace dynamet::app
