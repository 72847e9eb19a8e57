// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/weather_dialog.h"

#include "app/widgets/quantity_kinds.h"

namespace dynamet::app {

WeatherDialog::WeatherDialog(Document& document, const std::optional<kitchen::CookDay>& day,
                             QWidget* parent)
    : FormDialog(document, QStringLiteral("Weather on the day"), parent), day_(day) {
    setProperty("guide", QStringLiteral("handling"));
    const kitchen::CookDay now = day.value_or(kitchen::CookDay{});
    place_ = addThings(QStringLiteral("Where"), document.kitchen().sites, now.siteId,
                       QStringLiteral("as Kitchen says"));
    air_ = addQuantity(QStringLiteral("Air temperature"),
                       kinds::temperature(document.units(), -40, 50), now.air.kelvin());
    wind_ = addQuantity(QStringLiteral("Wind"), kinds::number(QStringLiteral("m/s"), 1, 0, 30),
                        now.windMPerS);
    height_ = addQuantity(QStringLiteral("Height above the sea"), kinds::height(document.units()),
                          now.altitudeM.value_or(0));
    connect(place_, &QComboBox::currentIndexChanged, this, &WeatherDialog::showPlace);
    setRowVisible(air_, place_->currentIndex() > 0);
    setRowVisible(wind_, place_->currentIndex() > 0);
    setRowVisible(height_, place_->currentIndex() > 0);
}

void WeatherDialog::showPlace() {
    const auto* site = findSite(document_.kitchen(), toStd(place_->currentData().toString()));
    setRowVisible(air_, site);
    setRowVisible(wind_, site);
    setRowVisible(height_, site);
    if (site) {
        air_->setValue(site->ambient.kelvin());
        wind_->setValue(site->windMPerS);
        height_->setValue(site->altitudeM);
    }
    fitToFields();
}

Result<void> WeatherDialog::take() {
    const std::string place = toStd(place_->currentData().toString());
    day_ = place.empty()
               ? std::nullopt
               : std::optional(kitchen::CookDay{place, Temperature::kelvin(**air_->value()),
                                                **wind_->value(), **height_->value()});
    return {};
}

} // namespace dynamet::app
