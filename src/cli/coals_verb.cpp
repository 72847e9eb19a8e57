// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_temperature.h"
#include "words/coal_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {
namespace {

constexpr double kInch = 0.0254;

Result<kitchen::CoalWish> wishOf(const CoalsOptions& options) {
    kitchen::CoalWish out;
    const auto inside =
        parseTemperature(options.inside, options.fahrenheit ? TemperatureUnit::fahrenheit
                                                            : TemperatureUnit::celsius);
    if (!inside)
        return tl::unexpected(inside.error().in("--inside"));
    out.insideK = inside->kelvin();
    const auto job = kitchen::coalJob(options.job);
    if (!job)
        return fail(Errc::invalidArgument, "--job is bake, roast, simmer or fry");
    out.job = *job;
    out.size = {options.inches * kInch, options.deep};
    const auto lasts = parseDuration(options.lasts);
    if (!lasts)
        return tl::unexpected(lasts.error().in("--lasts"));
    out.lastsS = lasts->highS;
    return out;
}

nlohmann::json jsonOf(const kitchen::CoalsLaid& laid) {
    return {{"at_s", laid.atS}, {"under", laid.under}, {"lid", laid.lid}};
}

} // namespace

Result<Answer> coals(const CoalsOptions& options) {
    const auto wish = wishOf(options);
    if (!wish)
        return tl::unexpected(wish.error());
    const auto kitchen = kitchenOf(options.book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto oven = applianceNamed(*kitchen, options.oven);
    if (!oven)
        return tl::unexpected(oven.error());
    if (oven->kind != kitchen::ApplianceKind::ironOven)
        return fail(Errc::invalidArgument,
                    fmt::format("{} is no iron oven: coals are counted for those", oven->name));
    const kitchen::Site* site = findSite(*kitchen, oven->siteId);
    if (!options.site.empty()) {
        site = nullptr;
        for (const kitchen::Site& one : kitchen->sites)
            if (one.name == options.site)
                site = &one;
        if (!site)
            return fail(Errc::notFound,
                        fmt::format("there is no place \"{}\" in it", options.site));
    }
    const kitchen::Site here = site ? *site : kitchen::Site{};
    const auto plan = coalPlan(*kitchen, *oven, *wish, here);
    if (!plan)
        return tl::unexpected(plan.error());
    Units units;
    units.fahrenheit = options.fahrenheit;
    Answer out;
    for (const std::string& line : words::coalLines(*plan, *wish, units))
        out.text += (out.text.empty() ? "" : "\n") + line;
    nlohmann::json added = nlohmann::json::array();
    for (const kitchen::CoalsLaid& laid : plan->added)
        added.push_back(jsonOf(laid));
    out.json =
        nlohmann::json{{"format", "dynamet-coals"},
                       {"version", 1},
                       {"oven", oven->name},
                       {"job", enumName(wish->job)},
                       {"first", jsonOf(plan->first)},
                       {"added", added},
                       {"inside_K", plan->insideK},
                       {"u_K", plan->u},
                       {"per_coal_K", plan->perCoalK},
                       {"common_rule", {{"under", plan->commonUnder}, {"lid", plan->commonLid}}},
                       {"air_factor", plan->airFactor},
                       {"tests", plan->tests},
                       {"tests_factor", plan->testsFactor},
                       {"look_s", plan->lookS},
                       {"turn_every_s", plan->turnEveryS}}
            .dump(2);
    return out;
}

} // namespace dynamet::cli
