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
    : QWidget(parent), document_(document), table_(new TextTable(tr("Thermometers"))),
      found_(new QLabel), keep_(new QPushButton(tr("Use this from today on"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("thermometers"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 12, 16, 12);
    box->setSpacing(10);
    box->addWidget(table_, 2);
    auto* forms = new QHBoxLayout;
    auto* check = new QFormLayout;
    auto* heading = new QLabel(tr("Check the chosen one in ice water and boiling water"));
    heading->setObjectName(QStringLiteral("heading"));
    check->addRow(heading);
    ice_ = field(tr("In ice water"), tr("three readings"));
    boil_ = field(tr("In boiling water"), tr("three readings"));
    check->addRow(tr("In ice water"), ice_);
    check->addRow(tr("In boiling water"), boil_);
    auto* work = new QPushButton(tr("Work it out"));
    work->setAccessibleName(tr("Work the check out"));
    work->setObjectName(QStringLiteral("act"));
    connect(work, &QPushButton::clicked, this, &ThermometersPane::workOut);
    check->addRow(work);
    found_->setWordWrap(true);
    found_->setAccessibleName(tr("What the check found"));
    check->addRow(found_);
    keep_->setObjectName(QStringLiteral("act"));
    keep_->setAccessibleName(tr("Use the correction from today on"));
    keep_->hide();
    connect(keep_, &QPushButton::clicked, this, &ThermometersPane::keep);
    check->addRow(keep_);
    forms->addLayout(check, 3);
    auto* fresh = new QFormLayout;
    auto* second = new QLabel(tr("Add one"));
    second->setObjectName(QStringLiteral("heading"));
    fresh->addRow(second);
    name_ = field(tr("Name of the thermometer"), tr("what you call it"));
    limit_ = field(tr("Its upper limit"), tr("may stay empty"));
    ruin_ = field(tr("Damaged above"), tr("may stay empty"));
    fresh->addRow(tr("Name"), name_);
    fresh->addRow(tr("Upper limit"), limit_);
    fresh->addRow(tr("Damaged above"), ruin_);
    auto* add = new QPushButton(tr("Add it"));
    add->setAccessibleName(tr("Add the thermometer"));
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
                      : tr("not known");
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
            i.kind == kitchen::InstrumentKind::infrared ? tr("infrared") : tr("probe"),
            point(i.highLimit),
            point(i.damageLimit),
            now ? tr("since %1")
                      .arg(QDateTime::fromMSecsSinceEpoch(now->validFromMs, Qt::UTC)
                               .toString(QStringLiteral("yyyy-MM-dd")))
                : tr("never"),
            toQt(printDifference(KelvinDelta(readingHalfWidth(i, document_.now().utcMs)), unit))};
    }
    table_->show({tr("Thermometer"), tr("Kind"), tr("Upper limit"), tr("Damaged above"),
                  tr("Calibrated"), tr("Accurate to ±")},
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
        found_->setText(tr("! Choose or add a thermometer first."));
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
            found_->setText(tr("! %1").arg(toQt(readings.error(), document_.units())));
            return;
        }
        for (const auto& r : *readings)
            test.keyed[protocol->keyed[i].role].push_back({r.value, r.typed});
    }
    const auto check = rating::reduce(inputOf(test, {}));
    if (!check) {
        found_->setText(tr("! %1").arg(toQt(check.error(), document_.units())));
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
        done ? tr("%1 Its readings are corrected from today on; older tests stay as they were.")
                   .arg(toQt(words::foundWords(*check_, document_.units())))
             : tr("! %1").arg(toQt(done.error(), document_.units())));
}

void ThermometersPane::addThermometer() {
    kitchen::Instrument fresh;
    fresh.id = book::newId();
    fresh.name = toStd(name_->text().trimmed());
    if (fresh.name.empty()) {
        found_->setText(tr("! Give the thermometer a name."));
        return;
    }
    for (const auto& [edit, side] :
         {std::pair{limit_, &fresh.highLimit}, {ruin_, &fresh.damageLimit}}) {
        if (edit->text().trimmed().isEmpty())
            continue;
        const auto t = parseTemperature(toStd(edit->text()), document_.units().temperature());
        if (!t) {
            found_->setText(tr("! %1").arg(toQt(t.error(), document_.units())));
            return;
        }
        *side = t->kelvin();
    }
    const auto done = document_.add(fresh);
    found_->setText(done ? tr("%1 is in the list.").arg(toQt(fresh.name))
                         : tr("! %1").arg(toQt(done.error(), document_.units())));
}

} // namespace dynamet::app
