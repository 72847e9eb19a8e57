// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What can be chosen beside a cell: its vessel or insert, and its tests.
#include "app/rate/rate_page.h"

#include <QSignalBlocker>

namespace dynamet::app {

/// A hob is rated with a vessel, anything else without or with an insert: each has its own sheet.
void RatePage::listWith() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const QSignalBlocker quiet(with_);
    const bool hob = isHob(appliance->kind);
    const QString kept = with_->property("of").toString() == text(applianceId_)
                             ? with_->currentData().toString()
                             : text(hob ? appliance->standardVesselId : std::string());
    with_->setProperty("of", text(applianceId_));
    with_->clear();
    if (hob) {
        for (const kitchen::Vessel& v : document_.kitchen().vessels)
            with_->addItem(text(v.name), text(v.id));
        if (with_->count() == 0)
            with_->addItem(tr("no pan yet"), QString());
    } else {
        with_->addItem(tr("no insert"), QString());
        for (const kitchen::Insert& i : document_.kitchen().inserts)
            with_->addItem(text(i.name), text(i.id));
    }
    with_->setCurrentIndex(std::max(0, with_->findData(kept)));
    with_->setVisible(hob || with_->count() > 1);
}

kitchen::SheetWith RatePage::with() const {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const std::string id = plain(with_->currentData().toString());
    kitchen::SheetWith out;
    (appliance && isHob(appliance->kind) ? out.vesselId : out.insertId) = id;
    out.also = typedSettings_;
    out.reader = document_.units().temperature();
    return out;
}

/// The chosen cell opens its tests.
void RatePage::listCellTests() {
    const auto* appliance = findAppliance(document_.kitchen(), applianceId_);
    const auto setting = sheet_->setting();
    const QSignalBlocker quiet(cellTests_);
    cellTests_->clear();
    const std::string here = setting ? settingText(appliance->controls, *setting) : "";
    const kitchen::SheetWith put = with();
    for (const auto& line : lines_)
        if (line.setting == here && line.zone == sheet_->zone() && line.insertId == put.insertId &&
            (line.vesselId == put.vesselId || put.vesselId.empty()))
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

} // namespace dynamet::app
