// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"

namespace dynamet::app {

SiteDialog::SiteDialog(Document& document, const kitchen::Site& site, QWidget* parent)
    : FormDialog(document, QStringLiteral("A place"), parent), site_(site), boiling_(new QLabel) {
    setProperty("guide", QStringLiteral("kitchen"));
    const Units& units = document.units();
    name_ = addText(QStringLiteral("Name of the place"), site.name);
    height_ =
        addQuantity(QStringLiteral("Height above the sea"), kinds::height(units), site.altitudeM);
    boiling_->setObjectName(QStringLiteral("quiet"));
    boiling_->setAccessibleName(QStringLiteral("Where water boils there"));
    addWide(boiling_);
    ambient_ = addQuantity(QStringLiteral("Air temperature"), kinds::temperature(units, -30, 50),
                           site.ambient.kelvin());
    wind_ = addQuantity(QStringLiteral("Wind"), kinds::number(QStringLiteral("m/s"), 1, 0, 30),
                        site.windMPerS);
    pressure_ = addQuantity(QStringLiteral("Barometer, if read"),
                            kinds::number(QStringLiteral("hPa"), 100, 300, 1100, true),
                            site.measuredPressurePa);
    gas_ = addQuantity(QStringLiteral("Heating value of the gas"),
                       kinds::number(QStringLiteral("MJ/m³"), 1e6, 5, 130),
                       site.gasHeatingValueJPerM3);
    for (QuantityField* field : {height_, pressure_})
        connect(&field->edit(), &QLineEdit::textChanged, this, &SiteDialog::showBoiling);
    showBoiling();
}

void SiteDialog::showBoiling() {
    kitchen::Site as = site_;
    const auto height = height_->value(), pressure = pressure_->value();
    if (!height || !pressure) {
        boiling_->setText(QStringLiteral("Where water boils there follows from it."));
        return;
    }
    as.altitudeM = **height;
    as.measuredPressurePa = *pressure;
    boiling_->setText(
        QStringLiteral("Water boils there at %1.")
            .arg(toQt(printTemperature(boilingPointAt(as), document_.units().temperature()))));
}

Result<void> SiteDialog::take() {
    const auto name = named(*name_);
    if (!name)
        return tl::unexpected(name.error());
    site_.name = *name;
    site_.altitudeM = **height_->value();
    site_.ambient = Temperature::kelvin(**ambient_->value());
    site_.windMPerS = **wind_->value();
    site_.measuredPressurePa = *pressure_->value();
    site_.gasHeatingValueJPerM3 = **gas_->value();
    return {};
}

} // namespace dynamet::app
