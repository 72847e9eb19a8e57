// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/report_json.h"

#include "food/browning.h"
#include "quantity/temperature.h"
#include "words/rating_words.h"
#include "words/say.h"
#include "words/translation_words.h"

#include <cmath>
#include <nlohmann/json.hpp>

namespace dynamet::formats {

using nlohmann::json;

json reductionJson(const rating::Reduction& reduction) {
    json quantities = json::array(), warnings = json::array();
    for (const rating::Quantity& q : reduction.quantities)
        quantities.push_back({{"name", q.name},
                              {"value", q.value},
                              {"unit", q.unit},
                              {"u", q.u},
                              {"u_type_a", q.uTypeA},
                              {"u_type_b", q.uTypeB},
                              {"dof", q.dof},
                              {"bound", enumName(q.bound)}});
    for (const Finding& w : reduction.warnings)
        warnings.push_back({{"code", w.code}, {"text", words::say(w, {})}});
    const std::size_t n = reduction.quantities.size();
    json covariance = json::array();
    for (std::size_t i = 0; i < n && reduction.covariance.size() == n * n; ++i)
        covariance.push_back(std::vector<double>(
            reduction.covariance.begin() + static_cast<std::ptrdiff_t>(i * n),
            reduction.covariance.begin() + static_cast<std::ptrdiff_t>((i + 1) * n)));
    return {{"format", "dynamet-rate-result"},
            {"version", 1},
            {"protocol", reduction.protocol},
            {"algorithm_version", rating::kAlgorithmVersion},
            {"quantities", quantities},
            {"covariance", covariance},
            {"sentence", words::foundWords(reduction, {})},
            {"warnings", warnings}};
}

json outcomeJson(const cook::Outcome& o) {
    const auto c = [](double k) { return k - kZeroCelsiusK; };
    json kills = json::array();
    for (const food::Kill& kill : o.kills)
        kills.push_back(
            {{"organism", food::shippedOrganisms().at(kill.organism).id}, {"logs", kill.logs}});
    json out{{"pull_s", o.pullS},
             {"core_at_pull_C", c(o.pullK)},
             {"mean_at_pull_C", c(o.meanAtPullK)},
             {"peak_C", c(o.peakK)},
             {"plate_C", c(o.plateK)},
             {"coldest_peak_C", c(o.coldestPeakK)},
             {"rim_share", o.rimShare},
             {"peak_s", o.peakS},
             {"browning", std::vector<double>(o.browning.begin(), o.browning.end())},
             {"crust", food::crustWord(o.darker())},
             {"rim_mm", o.rimM * 1000},
             {"log_reductions", kills},
             {"evaporated_share", o.evaporatedShare},
             {"juice_share", o.juiceShare},
             {"juice_share_u", o.juiceU},
             {"weight_loss_share", o.weightLossShare},
             {"crust_spread", std::vector<double>(o.crustSpread.begin(), o.crustSpread.end())},
             {"charred_share", std::vector<double>(o.charred.begin(), o.charred.end())},
             {"softened_share", o.softened},
             {"rendered_share", o.rendered},
             {"danger_zone_s", o.dangerS}};
    if (std::isfinite(o.smokesFromS))
        out["fat_smokes_from_s"] = o.smokesFromS;
    for (const cook::StageOutcome& stage : o.stages)
        out["stages"].push_back(
            {{"start_s", stage.startS}, {"end_s", stage.endS}, {"leave_C", c(stage.leaveK)}});
    if (std::isfinite(o.turnS))
        out["turn_s"] = o.turnS;
    return out;
}

json fieldJson(const kitchen::HeatField& field) {
    json numbers = json::array(), covariances = json::array();
    for (const kitchen::FieldNumber& n : field.numbers)
        numbers.push_back({{"name", keyName(n.key)},
                           {"value", n.value},
                           {"u", n.u},
                           {"provenance", enumName(n.provenance)},
                           {"reduction", n.reductionId},
                           {"from", n.from}});
    for (const auto& c : field.covariances)
        covariances.push_back(
            {{"a", keyName(c.a)}, {"b", keyName(c.b)}, {"covariance", c.covariance}});
    return {{"numbers", numbers}, {"covariances", covariances}};
}

json rowJson(const translate::Row& row, const kitchen::Kitchen& kitchen) {
    const auto* appliance = findAppliance(kitchen, row.target.applianceId);
    json out{{"appliance", appliance ? appliance->name : row.target.applianceId},
             {"zone", row.target.zone},
             {"reached", row.reached}};
    if (!row.reached) {
        out["reason"] = words::reasonWords(row, {});
        return out;
    }
    out["setting"] = appliance ? settingText(appliance->controls, row.instruction.setting) : "";
    out["turning"] = enumName(row.instruction.turning);
    if (row.instruction.lidOpen)
        out["lid_open"] = true;
    out["pull_C"] = row.instruction.pullK - kZeroCelsiusK;
    if (row.watched)
        out["watched_stage"] = *row.watched + 1;
    if (row.instruction.stageS > 0)
        out["stage_s"] = row.instruction.stageS;
    out["crust_distance"] = row.crustDistance;
    if (row.likeness) {
        json says = json::object(), differences = json::array();
        for (const cook::Say& say : row.likeness->says)
            says[enumName(say.quality)] = say.share;
        for (const cook::Difference& d : row.likeness->differences)
            differences.push_back({{"quality", enumName(d.quality)}, {"noticed", d.noticed}});
        out["likeness"] = {
            {"distance", row.likeness->distance}, {"decides", says}, {"differences", differences}};
    }
    out["outcome"] = outcomeJson(row.outcome);
    if (row.window) {
        const translate::Window& w = *row.window;
        json window{{"look_s", w.lookS},
                    {"expect_s", w.expectS},
                    {"ln_sd", w.lnSd},
                    {"never_share", w.neverShare},
                    {"sampled", w.sampled}};
        if (w.latestS)
            window["latest_s"] = *w.latestS;
        if (w.overshootS)
            window["overshoot_s"] = *w.overshootS;
        if (w.without)
            window["without_evidence"] = {{"look_s", w.without->lookS},
                                          {"expect_s", w.without->expectS},
                                          {"latest_s", w.without->latestS}};
        json causes = json::array();
        for (const auto& cause : w.causes)
            causes.push_back({{"input", cause.name}, {"share", cause.share}});
        window["causes"] = causes;
        out["window"] = window;
    }
    if (row.rule) {
        out["rule_of_thumb"] = {{"text", words::ruleWords(row, kitchen, {})},
                                {"s", row.rule->seconds}};
        if (row.rule->peakK)
            out["rule_of_thumb"]["peak_C"] = *row.rule->peakK - kZeroCelsiusK;
    }
    json warnings = json::array();
    for (const Finding& w : row.warnings)
        warnings.push_back({{"code", w.code}, {"text", words::say(w, {})}});
    out["warnings"] = warnings;
    return out;
}

json errorJson(const Error& error) {
    json inner{{"code", errcWord(error.code)}, {"text", words::text(error, {})}};
    if (error.line > 0)
        inner["line"] = error.line;
    return {{"error", inner}};
}

} // namespace dynamet::formats
