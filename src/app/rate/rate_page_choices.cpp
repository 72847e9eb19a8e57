// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What can be chosen beside a cell: its vessel or insert, and its tests.
#include "app/rate/rate_page.h"
#include "rating/height_series.h"

#include <QSignalBlocker>

namespace dynamet::app {

/// A hob is rated with a vessel, anything else without or with an insert: each has its own sheet.
void RatePage::listWith() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const QSignalBlocker quiet(with_);
    with_->clear();
    if (isHob(appliance->kind)) {
        for (const kitchen::Vessel& v : document_.kitchen().vessels)
            with_->addItem(text(v.name), text(v.id));
        with_->setCurrentIndex(std::max(0, with_->findData(text(appliance->standardVesselId))));
    } else {
        with_->addItem(tr("no insert"), QString());
        for (const kitchen::Insert& i : document_.kitchen().inserts)
            with_->addItem(text(i.name), text(i.id));
    }
    with_->setVisible(with_->count() > 1);
}

kitchen::SheetWith RatePage::with() const {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const std::string id = plain(with_->currentData().toString());
    return appliance && isHob(appliance->kind) ? kitchen::SheetWith{id, ""}
                                               : kitchen::SheetWith{"", id};
}

/// The chosen cell opens its tests; with none it says that the next one starts here.
void RatePage::listCellTests() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    const QSignalBlocker quiet(cellTests_);
    cellTests_->clear();
    const std::string here = setting ? settingText(appliance->controls, *setting) : "";
    for (const auto& line : lines_)
        if (line.setting == here && line.zone == sheet_->zone() &&
            line.insertId == with().insertId &&
            (line.vesselId == with().vesselId || with().vesselId.empty()))
            if (const rating::Protocol* protocol = rating::findProtocol(line.protocol))
                cellTests_->addItem(tr("%1, %2%3")
                                        .arg(text(protocol->shortName),
                                             agoWords(line.startedMs, document_.now().utcMs),
                                             line.draft ? tr(", unfinished") : QString()),
                                    text(line.id));
    cellTests_->insertItem(0, cellTests_->count() == 0 ? tr("No test yet")
                                                       : tr("Tests: %1").arg(cellTests_->count()));
    cellTests_->setCurrentIndex(0);
}

/// A test over coals says what its series of grate heights makes of the bed.
void RatePage::addHeightSeries() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto* falls = rating::find(*reduction_, "irradiation_W_m2");
    const auto here = parseSetting(appliance->controls, test_->setting);
    if (!falls || !here)
        return;
    std::vector<rating::HeightTest> tests;
    const auto history = loadHistory(document_.book(), applianceId_);
    for (const auto& line : history.value_or(std::vector<book::RatedLine>{}))
        if (line.name == falls->name && line.testId != test_->id && line.zone == test_->zone)
            if (const auto setting = parseSetting(appliance->controls, line.setting))
                tests.push_back({*setting, line.value, line.u});
    tests.push_back({*here, falls->value, falls->u});
    if (const auto bed = rating::bedOf(appliance->controls, *here, tests))
        reduction_->sentence +=
            " " + rating::bedWords(*bed, *rating::grateHeightM(appliance->controls, *here));
}

} // namespace dynamet::app
