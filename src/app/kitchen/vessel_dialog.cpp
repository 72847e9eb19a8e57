// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/catalogue.h"

namespace dynamet::app {
namespace {

int formOf(const kitchen::Vessel& vessel) {
    return static_cast<int>(kitchen::likelyForm(vessel));
}

int materialAt(const std::string& id) {
    const auto& all = kitchen::materials();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all[i].id == id)
            return static_cast<int>(i);
    return static_cast<int>(&kitchen::materialOf(id) - all.data());
}

} // namespace

VesselDialog::VesselDialog(Document& document, const kitchen::Vessel& vessel, QWidget* parent)
    : FormDialog(document, QStringLiteral("A vessel"), parent), vessel_(vessel) {
    setProperty("guide", QStringLiteral("kitchen"));
    const Units& units = document.units();
    common_ = addChoice(
        QStringLiteral("Begin with"),
        QStringList{QStringLiteral("choose a common one")} + namesOf(kitchen::commonVessels()), 0);
    name_ = addText(QStringLiteral("Name of the vessel"), vessel.name,
                    QStringLiteral("what you call it"));
    form_ = addChoice(QStringLiteral("Form"), namesOf(kitchen::vesselForms()), formOf(vessel));
    material_ = addChoice(QStringLiteral("Material"), namesOf(kitchen::materials()),
                          materialAt(vessel.material));
    diameter_ = addQuantity(QStringLiteral("Base diameter"), kinds::length(units, 0.05, 0.8),
                            vessel.baseDiameterM);
    base_ =
        addQuantity(QStringLiteral("Base thickness"),
                    kinds::length({units.fahrenheit, false}, 0.0003, 0.03), vessel.baseThicknessM);
    mass_ = addQuantity(QStringLiteral("Weighs"), kinds::mass(40, true),
                        vessel.id.empty() ? std::nullopt : std::optional(vessel.massKg));
    highest_ = addQuantity(QStringLiteral("Withstands up to"),
                           kinds::temperature(units, 80, 1000, true), vessel.highestTemperatureK);
    highest_->edit().setPlaceholderText(QStringLiteral("no limit"));
    QStringList counts;
    for (int i = 1; i <= kitchen::kMostAlike; ++i)
        counts << QString::number(i);
    count_ = addChoice(QStringLiteral("How many there are"), counts, vessel.count - 1);
    connect(common_, &QComboBox::activated, this, &VesselDialog::takeCommon);
    for (QComboBox* chooser : {form_, material_})
        connect(chooser, &QComboBox::currentIndexChanged, this, &VesselDialog::showUsualMass);
    for (QuantityField* field : {diameter_, base_})
        connect(&field->edit(), &QLineEdit::textChanged, this, &VesselDialog::showUsualMass);
    showUsualMass();
    name_->setFocus();
}

std::optional<kitchen::Vessel> VesselDialog::usual() const {
    const auto diameter = diameter_->value(), base = base_->value();
    if (!diameter || !base)
        return std::nullopt;
    return kitchen::vesselMade(
        kitchen::vesselForms()[static_cast<std::size_t>(form_->currentIndex())],
        kitchen::materials()[static_cast<std::size_t>(material_->currentIndex())], **diameter,
        **base);
}

void VesselDialog::showUsualMass() {
    const auto made = usual();
    mass_->edit().setPlaceholderText(
        made ? QStringLiteral("not weighed: about %1").arg(kinds::mass(40).show(made->massKg))
             : QString());
}

void VesselDialog::takeCommon(int item) {
    if (item < 1)
        return;
    const kitchen::Vessel& from = kitchen::commonVessels()[static_cast<std::size_t>(item - 1)];
    name_->setText(toQt(from.name));
    form_->setCurrentIndex(formOf(from));
    material_->setCurrentIndex(materialAt(from.material));
    diameter_->setValue(from.baseDiameterM);
    base_->setValue(from.baseThicknessM);
    mass_->setValue(std::nullopt);
    highest_->setValue(from.highestTemperatureK);
    showUsualMass();
}

Result<void> VesselDialog::take() {
    const auto name = named(*name_);
    const auto made = usual();
    if (!name)
        return tl::unexpected(name.error());
    kitchen::Vessel out = *made;
    out.id = vessel_.id;
    out.name = *name;
    out.highestTemperatureK = *highest_->value();
    if (const auto weighed = *mass_->value())
        out.massKg = *weighed;
    out.count = count_->currentIndex() + 1;
    vessel_ = out;
    return {};
}

InsertDialog::InsertDialog(Document& document, const kitchen::Insert& insert, QWidget* parent)
    : FormDialog(document, QStringLiteral("An insert"), parent), insert_(insert) {
    name_ = addText(QStringLiteral("Name of the insert"), insert.name,
                    QStringLiteral("what you call it"));
    kind_ = addChoice(QStringLiteral("Kind of insert"), insertKindNames(),
                      std::max(0, static_cast<int>(insert.kind) - 1));
}

Result<void> InsertDialog::take() {
    const auto name = named(*name_);
    if (!name)
        return tl::unexpected(name.error());
    insert_.name = *name;
    insert_.kind = static_cast<kitchen::InsertKind>(kind_->currentIndex() + 1);
    return {};
}

QStringList insertKindNames() {
    return {QStringLiteral("plate"), QStringLiteral("raised grates"), QStringLiteral("deflector"),
            QStringLiteral("water trough"), QStringLiteral("stone")};
}

} // namespace dynamet::app
