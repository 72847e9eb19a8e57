// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/conditions_form.h"

#include "quantity/number_text.h"

#include <QDateTime>
#include <QFileDialog>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QPushButton>
#include <QSignalBlocker>

namespace dynamet::app {

ConditionsForm::ConditionsForm(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), instrument_(new QComboBox), lid_(new QComboBox),
      day_(new QLineEdit), operator_(new QLineEdit), ambient_(new QLineEdit), wind_(new QLineEdit),
      fuel_(new QLineEdit), photo_(new QLineEdit), risk_(new QLabel) {
    auto* form = new QFormLayout(this);
    form->setContentsMargins(0, 0, 0, 0);
    form->setHorizontalSpacing(10);
    for (QComboBox* box : {instrument_, lid_}) { // a narrow pane cuts nothing off
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->setMinimumContentsLength(8);
    }
    for (QLineEdit* edit : {day_, operator_, ambient_, wind_, fuel_, photo_})
        edit->setMinimumWidth(70);
    lid_->addItems({QStringLiteral("unknown"), QStringLiteral("on"), QStringLiteral("off")});
    const auto row = [&](const QString& words, QWidget* widget) {
        widget->setAccessibleName(words);
        form->addRow(words, widget);
    };
    row(QStringLiteral("Thermometer"), instrument_);
    form->addRow(risk_);
    row(QStringLiteral("Tested on"), day_);
    day_->setPlaceholderText(QStringLiteral("today, or 2026-11-02"));
    row(QStringLiteral("Tested by"), operator_);
    row(QStringLiteral("Air temperature"), ambient_);
    row(QStringLiteral("Wind, m/s"), wind_);
    row(QStringLiteral("Fuel"), fuel_);
    row(QStringLiteral("Lid"), lid_);
    photo_->setAccessibleName(QStringLiteral("Photo"));
    auto* photo = new QHBoxLayout;
    auto* browse = new QPushButton(QStringLiteral("…"));
    browse->setAccessibleName(QStringLiteral("Browse for a photo"));
    browse->setFixedWidth(36);
    browse->setStyleSheet(QStringLiteral("padding: 4px"));
    connect(browse, &QPushButton::clicked, this, &ConditionsForm::browse);
    photo->addWidget(photo_, 1);
    photo->addWidget(browse);
    form->addRow(QStringLiteral("Photo"), photo);
    for (QLineEdit* edit : {operator_, ambient_, wind_, fuel_, photo_})
        edit->setPlaceholderText(QStringLiteral("unknown"));
    risk_->setObjectName(QStringLiteral("caution"));
    risk_->setAccessibleName(QStringLiteral("Thermometer's range"));
    risk_->setWordWrap(true);
    risk_->hide();
    connect(instrument_, &QComboBox::currentIndexChanged, this, [this] {
        showRisk();
        emit instrumentChosen();
    });
    refresh();
}

void ConditionsForm::refresh() {
    const QSignalBlocker quiet(instrument_);
    const QString kept = instrument_->currentData().toString();
    instrument_->clear();
    instrument_->addItem(QStringLiteral("unknown"), QString());
    for (const kitchen::Instrument& i :
         document_.isOpen() ? document_.kitchen().instruments : std::vector<kitchen::Instrument>{})
        if (i.kind == kitchen::InstrumentKind::probe || i.kind == kitchen::InstrumentKind::infrared)
            instrument_->addItem(toQt(i.name), toQt(i.id));
    instrument_->setCurrentIndex(std::max(0, instrument_->findData(kept)));
}

void ConditionsForm::expect(const kitchen::Representative& expected) {
    expected_ = expected;
    showRisk();
}

void ConditionsForm::showRisk() {
    const kitchen::Instrument* chosen = instrument();
    const auto risk = chosen && expected_.kelvin > 0
                          ? kitchen::rangeRisk(*chosen, expected_.kelvin, expected_.u)
                          : kitchen::RangeRisk::none;
    risk_->setVisible(risk != kitchen::RangeRisk::none);
    if (risk == kitchen::RangeRisk::none)
        return;
    const auto unit = document_.units().temperature();
    const double limit =
        risk == kitchen::RangeRisk::ruins ? *chosen->damageLimit : *chosen->highLimit;
    const QString at = toQt(printTemperature(Temperature::kelvin(limit), unit));
    const QString heat = toQt(printTemperature(Temperature::kelvin(expected_.kelvin), unit));
    risk_->setText(
        risk == kitchen::RangeRisk::ruins
            ? QStringLiteral(
                  "! This setting may reach %1 or more, and this thermometer is damaged above %2. "
                  "Use another one.")
                  .arg(heat, at)
            : QStringLiteral("! This setting may reach %1: readings at this thermometer's limit, "
                             "%2, only mean "
                             "\"at least\".")
                  .arg(heat, at));
}

const kitchen::Instrument* ConditionsForm::instrument() const {
    return kitchen::findInstrument(document_.kitchen().instruments,
                                   toStd(instrument_->currentData().toString()));
}

void ConditionsForm::showTest(const book::TestRecord& test) {
    const QSignalBlocker quiet(instrument_);
    instrument_->setCurrentIndex(std::max(0, instrument_->findData(toQt(test.instrumentId))));
    lid_->setCurrentIndex(!test.lidOn ? 0 : *test.lidOn ? 1 : 2);
    operator_->setText(toQt(test.operatorName));
    fuel_->setText(toQt(test.fuel));
    ambient_->setText(test.ambientK ? toQt(printTemperature(Temperature::kelvin(*test.ambientK),
                                                            document_.units().temperature()))
                                    : QString());
    wind_->setText(test.windMPerS ? toQt(printFixed(*test.windMPerS, 1)) : QString());
}

Result<void> ConditionsForm::fill(book::TestRecord& test, std::string& photoPath) const {
    test.instrumentId = toStd(instrument_->currentData().toString());
    test.operatorName = toStd(operator_->text().trimmed());
    test.fuel = toStd(fuel_->text().trimmed());
    if (lid_->currentIndex() > 0)
        test.lidOn = lid_->currentIndex() == 1;
    if (const QString typed = ambient_->text().trimmed(); !typed.isEmpty()) {
        const auto t = parseTemperature(toStd(typed), document_.units().temperature());
        if (!t)
            return tl::unexpected(t.error().in("Air temperature"));
        test.ambientK = t->kelvin();
    }
    if (const std::string typed = toStd(wind_->text().trimmed()); !typed.empty()) {
        std::string_view rest = typed;
        const auto wind = takeNumber(rest);
        if (!wind)
            return tl::unexpected(wind.error().in("Wind"));
        test.windMPerS = *wind;
    }
    photoPath = toStd(photo_->text().trimmed());
    if (!photoPath.empty() && !QFileInfo(toQt(photoPath)).isFile())
        return fail(Errc::notFound, "Photo: there is no file of that name");
    return {};
}

void ConditionsForm::browse() {
    const QString chosen = QFileDialog::getOpenFileName(
        this, QStringLiteral("Photo of the test"), photo_->text(),
        QStringLiteral("Pictures (*.jpg *.jpeg *.png);;All files (*)"));
    if (!chosen.isEmpty())
        photo_->setText(chosen);
}

Result<book::When> ConditionsForm::madeAt() const {
    const book::When now = document_.now();
    const QString typed = day_->text().trimmed().toLower();
    if (typed.isEmpty() || typed == QStringLiteral("today"))
        return now;
    const QDate today =
        QDateTime::fromMSecsSinceEpoch(now.utcMs, Qt::OffsetFromUTC, now.offsetMin * 60).date();
    const QDate day = typed == QStringLiteral("yesterday")
                          ? today.addDays(-1)
                          : QDate::fromString(typed, QStringLiteral("yyyy-MM-dd"));
    if (!day.isValid() || day > today || day.year() < 1970)
        return fail(Errc::parse,
                    toStd(QStringLiteral("Tested on: \"%1\" is not a date up to today; write it as "
                                         "2026-11-02")
                              .arg(day_->text())));
    return day == today
               ? now
               : book::When{QDateTime(day, QTime(12, 0), Qt::OffsetFromUTC, now.offsetMin * 60)
                                .toMSecsSinceEpoch(),
                            now.offsetMin};
}

QStringList ConditionsForm::missing() const {
    QStringList out;
    if (!instrument())
        out << QStringLiteral("the thermometer");
    for (const auto& [edit, name] : {std::pair{operator_, QStringLiteral("who tested")},
                                     {ambient_, QStringLiteral("the air temperature")}})
        if (edit->text().trimmed().isEmpty())
            out << name;
    return out;
}

} // namespace dynamet::app
