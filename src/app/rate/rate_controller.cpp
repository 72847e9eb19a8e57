// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/rate_controller.h"

#include <algorithm>

namespace dynamet::app {

RateController::RateController(Document& document, QObject* parent)
    : QObject(parent), document_(document) {}

const kitchen::Appliance* RateController::appliance() const {
    return document_.isOpen() ? findAppliance(document_.kitchen(), applianceId_) : nullptr;
}

bool RateController::choose(const std::string& applianceId) {
    const bool another = applianceId != applianceId_;
    applianceId_ = applianceId;
    const kitchen::Appliance* chosen = appliance();
    if (!chosen) {
        applianceId_.clear();
        tests_.clear();
        return false;
    }
    if (another) {
        typed_.clear();
        withId_ = isHobHere() ? chosen->standardVesselId : "";
    }
    const auto choices = withChoices();
    if (std::none_of(choices.begin(), choices.end(),
                     [&](const With& with) { return with.id == withId_; }))
        withId_ = choices.front().id;
    tests_ = listTests(document_.book(), applianceId_).value_or(std::vector<book::TestLine>{});
    return true;
}

bool RateController::isHobHere() const {
    const kitchen::Appliance* chosen = appliance();
    return chosen && isHob(chosen->kind);
}

std::vector<RateController::With> RateController::withChoices() const {
    std::vector<With> out;
    if (isHobHere()) {
        for (const kitchen::Vessel& v : document_.kitchen().vessels)
            out.push_back({v.id, toQt(v.name)});
        if (out.empty())
            out.push_back({"", QStringLiteral("no pan yet")});
    } else {
        out.push_back({"", QStringLiteral("no insert")});
        for (const kitchen::Insert& i : document_.kitchen().inserts)
            out.push_back({i.id, toQt(i.name)});
    }
    return out;
}

kitchen::SheetWith RateController::sheetWith() const {
    kitchen::SheetWith out;
    (isHobHere() ? out.vesselId : out.insertId) = withId_;
    out.also = typed_;
    out.reader = document_.units();
    return out;
}

kitchen::Setting RateController::addRow(const kitchen::Setting& setting) {
    typed_.push_back(sheetRowOf(*appliance(), setting));
    return typed_.back();
}

std::vector<book::TestLine> RateController::testsOf(const kitchen::Setting& setting,
                                                    const std::string& zone) const {
    const std::string here = settingText(appliance()->controls, setting);
    const kitchen::SheetWith with = sheetWith();
    std::vector<book::TestLine> out;
    for (const auto& line : tests_)
        if (line.setting == here && line.zone == zone && line.insertId == with.insertId &&
            (line.vesselId == with.vesselId || with.vesselId.empty()) &&
            rating::findProtocol(line.protocol))
            out.push_back(line);
    return out;
}

const book::TestLine* RateController::unfinished(const std::string& inHand) const {
    for (const auto& line : tests_)
        if (line.draft && line.id != inHand && rating::findProtocol(line.protocol))
            return &line;
    return nullptr;
}

} // namespace dynamet::app
