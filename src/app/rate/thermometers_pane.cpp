// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/thermometers_pane.h"

#include "rating/inputs/keyed_readings.h"
#include "words/rating_words.h"

#include <QDateTime>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>

namespace dynamet::app {

ThermometersPane::ThermometersPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), table_(new TextTable(QStringLiteral("Thermometers"))),
      found_(new QLabel), keep_(new QPushButton(QStringLiteral("Use this from today on"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("thermometers"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(10);
    box->addWidget(table_, 2);
    auto* forms = new QHBoxLayout;
    auto* check = new QFormLayout;
    auto* heading =
        new QLabel(QStringLiteral("Check the chosen one in ice water and boiling water"));
    heading->setObjectName(QStringLiteral("heading"));
    check->addRow(heading);
    ice_ = field(QStringLiteral("In ice water"), QStringLiteral("three readings"));
    boil_ = field(QStringLiteral("In boiling water"), QStringLiteral("three readings"));
    check->addRow(QStringLiteral("In ice water"), ice_);
    check->addRow(QStringLiteral("In boiling water"), boil_);
    auto* work = new QPushButton(QStringLiteral("Work it out"));
    work->setAccessibleName(QStringLiteral("Work the check out"));
    work->setObjectName(QStringLiteral("act"));
    connect(work, &QPushButton::clicked, this, &ThermometersPane::workOut);
    check->addRow(work);
    found_->setWordWrap(true);
    found_->setAccessibleName(QStringLiteral("What the check found"));
    check->addRow(found_);
    keep_->setObjectName(QStringLiteral("act"));
    keep_->setAccessibleName(QStringLiteral("Use the correction from today on"));
    keep_->hide();
    connect(keep_, &QPushButton::clicked, this, &ThermometersPane::keep);
    check->addRow(keep_);
    forms->addLayout(check, 3);
    auto* fresh = new QFormLayout;
    auto* second = new QLabel(QStringLiteral("Add one"));
    second->setObjectName(QStringLiteral("heading"));
    fresh->addRow(second);
    name_ = field(QStringLiteral("Name of the thermometer"), QStringLiteral("what you call it"));
    limit_ = field(QStringLiteral("Its upper limit"), QStringLiteral("may stay empty"));
    ruin_ = field(QStringLiteral("Damaged above"), QStringLiteral("may stay empty"));
    fresh->addRow(QStringLiteral("Name"), name_);
    fresh->addRow(QStringLiteral("Upper limit"), limit_);
    fresh->addRow(QStringLiteral("Damaged above"), ruin_);
    auto* add = new QPushButton(QStringLiteral("Add it"));
    add->setAccessibleName(QStringLiteral("Add the thermometer"));
    connect(add, &QPushButton::clicked, this, &ThermometersPane::addThermometer);
    fresh->addRow(add);
    forms->addLayout(fresh, 2);
    box->addLayout(forms, 3);
}

QLineEdit* ThermometersPane::field(const QString& name, const QString& hint) {
    auto* edit = new QLineEdit;
    edit->setAccessibleName(name);
    edit->setPlaceholderText(hint);
    return edit;
}

void ThermometersPane::showAppliance(const std::string& id) {
    applianceId_ = id;
    showAll();
}

void ThermometersPane::showAll() {
    if (!document_.isOpen())
        return;
    const int kept = table_->currentRow();
    const auto unit = document_.units().temperature();
    const auto point = [&](const std::optional<double>& kelvin) {
        return kelvin ? toQt(printTemperature(Temperature::kelvin(*kelvin), unit))
                      : QStringLiteral("not known");
    };
    ids_.clear();
    QVector<QStringList> rows;
    for (const kitchen::Instrument& i : document_.kitchen().instruments) {
        if (i.kind != kitchen::InstrumentKind::probe && i.kind != kitchen::InstrumentKind::infrared)
            continue;
        ids_.push_back(i.id);
        const auto now = calibrationAt(i, document_.now().utcMs);
        rows << QStringList{
            toQt(i.name),
            i.kind == kitchen::InstrumentKind::infrared ? QStringLiteral("infrared")
                                                        : QStringLiteral("probe"),
            point(i.highLimit),
            point(i.damageLimit),
            now ? QStringLiteral("since %1")
                      .arg(QDateTime::fromMSecsSinceEpoch(now->validFromMs, Qt::UTC)
                               .toString(QStringLiteral("yyyy-MM-dd")))
                : QStringLiteral("never"),
            toQt(printDifference(KelvinDelta(readingHalfWidth(i, document_.now().utcMs)), unit))};
    }
    table_->showRows({QStringLiteral("Thermometer"), QStringLiteral("Kind"),
                      QStringLiteral("Upper limit"), QStringLiteral("Damaged above"),
                      QStringLiteral("Calibrated"), QStringLiteral("Accurate to ±")},
                     rows);
    table_->setCurrentRow(std::max(kept, 0));
}

const kitchen::Instrument* ThermometersPane::chosen() const {
    const int row = table_->currentRow();
    if (row < 0 || row >= static_cast<int>(ids_.size()))
        return nullptr;
    return kitchen::findInstrument(document_.kitchen().instruments,
                                   ids_[static_cast<std::size_t>(row)]);
}

void ThermometersPane::workOut() {
    const kitchen::Instrument* instrument = chosen();
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const rating::Protocol* protocol = rating::findProtocol("instrument-check");
    keep_->hide();
    if (!instrument || !appliance) {
        found_->setText(QStringLiteral("! Choose or add a thermometer first."));
        return;
    }
    book::TestRecord test;
    test.id = book::newId();
    test.applianceId = applianceId_;
    test.protocol = protocol->id;
    test.instrumentId = instrument->id;
    test.siteId = appliance->siteId;
    test.setStarted(document_.now());
    test.values["resolution_K"] = instrument->resolution;
    if (const auto* site = findSite(document_.kitchen(), appliance->siteId))
        test.values["pressure_Pa"] = pressurePa(*site);
    for (std::size_t i = 0; i < 2; ++i) {
        const auto readings =
            rating::parseKeyed(protocol->keyed[i], toStd((i == 0 ? ice_ : boil_)->text()),
                               document_.units().temperature());
        if (!readings) {
            found_->setText(QStringLiteral("! %1").arg(toQt(readings.error(), document_.units())));
            return;
        }
        for (const auto& r : *readings)
            test.keyed[protocol->keyed[i].role].push_back({r.value, r.typed});
    }
    const auto check = rating::reduce(inputOf(test, {}));
    if (!check) {
        found_->setText(QStringLiteral("! %1").arg(toQt(check.error(), document_.units())));
        return;
    }
    check_ = *check;
    test_ = test;
    found_->setText(toQt(words::foundWords(*check, document_.units())));
    keep_->setVisible(document_.book().writable());
}

void ThermometersPane::keep() {
    if (!check_ || !test_)
        return;
    const std::string instrument = test_->instrumentId; // the kitchen is read anew by each change
    const auto done = document_.keepCheck(*test_, instrument, *check_);
    keep_->hide();
    found_->setText(
        done ? QStringLiteral(
                   "%1 Its readings are corrected from today on; older tests stay as they were.")
                   .arg(toQt(words::foundWords(*check_, document_.units())))
             : QStringLiteral("! %1").arg(toQt(done.error(), document_.units())));
}

void ThermometersPane::addThermometer() {
    kitchen::Instrument fresh;
    fresh.id = book::newId();
    fresh.name = toStd(name_->text().trimmed());
    if (fresh.name.empty()) {
        found_->setText(QStringLiteral("! Give the thermometer a name."));
        return;
    }
    for (const auto& [edit, side] :
         {std::pair{limit_, &fresh.highLimit}, {ruin_, &fresh.damageLimit}}) {
        if (edit->text().trimmed().isEmpty())
            continue;
        const auto t = parseTemperature(toStd(edit->text()), document_.units().temperature());
        if (!t) {
            found_->setText(QStringLiteral("! %1").arg(toQt(t.error(), document_.units())));
            return;
        }
        *side = t->kelvin();
    }
    const auto done = document_.add(fresh);
    found_->setText(done ? QStringLiteral("%1 is in the list.").arg(toQt(fresh.name))
                         : QStringLiteral("! %1").arg(toQt(done.error(), document_.units())));
}

} // namespace dynamet::app
