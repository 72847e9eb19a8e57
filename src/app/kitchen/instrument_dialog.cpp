// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/catalogue.h"

namespace dynamet::app {

using kitchen::InstrumentKind;

QStringList instrumentKindNames() {
    return {QStringLiteral("probe"),
            QStringLiteral("infrared gun"),
            QStringLiteral("lid or door thermometer"),
            QStringLiteral("scale"),
            QStringLiteral("electricity meter"),
            QStringLiteral("gas meter"),
            QStringLiteral("clock")};
}

InstrumentDialog::InstrumentDialog(Document& document, const kitchen::Instrument& instrument,
                                   QWidget* parent)
    : FormDialog(document, QStringLiteral("An instrument"), parent), instrument_(instrument) {
    setProperty("guide", QStringLiteral("thermometers"));
    const Units& units = document.units();
    QStringList common{QStringLiteral("choose a common one")};
    for (const kitchen::Instrument& one : kitchen::commonInstruments())
        common << toQt(one.name);
    common_ = addChoice(QStringLiteral("Begin with"), common, 0);
    name_ = addText(QStringLiteral("Name of the instrument"), instrument.name,
                    QStringLiteral("what you call it"));
    kind_ = addChoice(QStringLiteral("Kind of instrument"), instrumentKindNames(),
                      static_cast<int>(instrument.kind));
    accuracy_ = addQuantity(QStringLiteral("Accurate to ±"), kinds::difference(units, 60), {});
    meter_ = addQuantity(QStringLiteral("Accurate to ± "), kinds::mass(1), {});
    low_ =
        addQuantity(QStringLiteral("Lower limit"), kinds::temperature(units, -200, 100, true), {});
    high_ =
        addQuantity(QStringLiteral("Upper limit"), kinds::temperature(units, 50, 1800, true), {});
    ruined_ =
        addQuantity(QStringLiteral("Damaged above"), kinds::temperature(units, 50, 2000, true), {});
    diameter_ = addQuantity(QStringLiteral("Diameter"),
                            kinds::length({units.fahrenheit, false}, 3e-4, 0.02), {});
    response_ = addQuantity(QStringLiteral("Response time in oven air"), kinds::duration(1200), {});
    emissivity_ = addQuantity(QStringLiteral("Emissivity set"), kinds::number({}, 1, 0.1, 1), {});
    bandLow_ = addQuantity(QStringLiteral("Band from"),
                           kinds::number(QStringLiteral("µm"), 1, 0.5, 20), {});
    bandHigh_ =
        addQuantity(QStringLiteral("Band to"), kinds::number(QStringLiteral("µm"), 1, 1, 30), {});
    connect(common_, &QComboBox::activated, this, &InstrumentDialog::takeCommon);
    connect(kind_, &QComboBox::currentIndexChanged, this, &InstrumentDialog::showKind);
    fill();
}

void InstrumentDialog::fill() {
    kind_->setCurrentIndex(static_cast<int>(instrument_.kind));
    accuracy_->setValue(instrument_.accuracy);
    meter_->setValue(instrument_.accuracy);
    low_->setValue(instrument_.lowLimit);
    high_->setValue(instrument_.highLimit);
    ruined_->setValue(instrument_.damageLimit);
    diameter_->setValue(instrument_.diameterM);
    response_->setValue(instrument_.responseInAirS);
    emissivity_->setValue(instrument_.emissivitySet);
    bandLow_->setValue(instrument_.bandLowUm);
    bandHigh_->setValue(instrument_.bandHighUm);
    showKind();
}

void InstrumentDialog::showKind() {
    const auto kind = static_cast<InstrumentKind>(kind_->currentIndex());
    const bool infrared = kind == InstrumentKind::infrared, probe = kind == InstrumentKind::probe;
    const bool heat = infrared || probe || kind == InstrumentKind::builtInDial;
    for (QuantityField* field : {accuracy_, low_, high_, ruined_})
        setRowVisible(field, heat);
    setRowVisible(meter_, kind == InstrumentKind::scale);
    for (QuantityField* field : {diameter_, response_})
        setRowVisible(field, probe);
    for (QuantityField* field : {emissivity_, bandLow_, bandHigh_})
        setRowVisible(field, infrared);
}

void InstrumentDialog::takeCommon(int item) {
    if (item < 1)
        return;
    const std::string id = instrument_.id;
    const auto calibrations = instrument_.calibrations;
    instrument_ = kitchen::commonInstruments()[static_cast<std::size_t>(item - 1)];
    instrument_.id = id;
    instrument_.calibrations = calibrations;
    name_->setText(toQt(instrument_.name));
    fill();
}

Result<void> InstrumentDialog::take() {
    const auto name = named(*name_);
    if (!name)
        return tl::unexpected(name.error());
    kitchen::Instrument out = instrument_;
    out.name = *name;
    out.kind = static_cast<InstrumentKind>(kind_->currentIndex());
    const bool heat = out.kind == InstrumentKind::probe || out.kind == InstrumentKind::infrared ||
                      out.kind == InstrumentKind::builtInDial;
    if (out.kind == InstrumentKind::scale)
        out.accuracy = **meter_->value();
    if (heat) {
        out.accuracy = **accuracy_->value();
        out.lowLimit = *low_->value();
        out.highLimit = *high_->value();
        out.damageLimit = *ruined_->value();
        if (out.highLimit && out.damageLimit && *out.damageLimit < *out.highLimit)
            return fail(Errc::invalidArgument,
                        toStd(QStringLiteral("It cannot be damaged below its own upper limit")));
        out.diameterM = **diameter_->value();
        out.responseInAirS = **response_->value();
        out.emissivitySet = **emissivity_->value();
        out.bandLowUm = **bandLow_->value();
        out.bandHighUm = **bandHigh_->value();
        if (out.bandLowUm >= out.bandHighUm)
            return fail(Errc::invalidArgument, toStd(QStringLiteral("The band is upside down")));
    }
    instrument_ = out;
    return {};
}

} // namespace dynamet::app
