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
    out.stacked = options.stacked;
    const auto lasts = parseDuration(options.lasts);
    if (!lasts)
        return tl::unexpected(lasts.error().in("--lasts"));
    out.lastsS = lasts->highS;
    return out;
}

nlohmann::json jsonOf(const kitchen::CoalsLaid& laid) {
    return {{"at_s", laid.atS}, {"under", laid.under}, {"lid", laid.lid}};
}

std::string joined(const std::vector<std::string>& lines) {
    std::string out;
    for (const std::string& line : lines)
        out += (out.empty() ? "" : "\n") + line;
    return out;
}

Result<kitchen::Site> siteOf(const CoalsOptions& options, const kitchen::Kitchen& kitchen,
                             const kitchen::Appliance& on) {
    if (options.site.empty()) {
        const kitchen::Site* site = findSite(kitchen, on.siteId);
        return site ? *site : kitchen::Site{};
    }
    for (const kitchen::Site& one : kitchen.sites)
        if (one.name == options.site)
            return one;
    return fail(Errc::notFound, fmt::format("there is no place \"{}\" in it", options.site));
}

Result<kitchen::OpenCoalsWish> openWishOf(const CoalsOptions& options) {
    kitchen::OpenCoalsWish out;
    out.chimney = options.chimney;
    out.heightsM = words::grateHeights(options.fahrenheit);
    const auto layout = coals::layoutOf(options.layout);
    if (!layout)
        return fail(Errc::invalidArgument, "--layout is even, banked or half");
    out.layout = *layout;
    const auto age = parseDuration(options.age), lasts = parseDuration(options.lasts);
    if (!age)
        return tl::unexpected(age.error().in("--age"));
    if (!lasts)
        return tl::unexpected(lasts.error().in("--lasts"));
    out.ageS = age->highS;
    out.lastsS = lasts->highS;
    return out;
}

Result<Answer> openCoals(const CoalsOptions& options, const kitchen::Site& site) {
    const auto wish = openWishOf(options);
    if (!wish)
        return tl::unexpected(wish.error());
    const auto plan = kitchen::openCoals(*wish, site);
    if (!plan)
        return tl::unexpected(plan.error());
    Answer out;
    out.text = joined(words::openCoalLines(*plan, *wish, {options.fahrenheit, options.fahrenheit}));
    nlohmann::json heights = nlohmann::json::array();
    for (const kitchen::AtGrate& at : plan->heights)
        heights.push_back({{"height_m", at.heightM}, {"flux_W_m2", at.fluxW_m2}, {"u_W_m2", at.u}});
    out.json =
        nlohmann::json{
            {"format", "dynamet-open-coals"},       {"version", 1},         {"coals", plan->coals},
            {"bed_diameter_m", plan->bedDiameterM}, {"heights", heights},   {"half_s", plan->halfS},
            {"first_add_s", plan->firstAddS},       {"to_add", plan->toAdd}}
            .dump(2);
    return out;
}

} // namespace

Result<Answer> coals(const CoalsOptions& options) {
    const auto kitchen = kitchenOf(options.book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto oven = applianceNamed(*kitchen, options.oven);
    if (!oven)
        return tl::unexpected(oven.error());
    const auto here = siteOf(options, *kitchen, *oven);
    if (!here)
        return tl::unexpected(here.error());
    if (options.open)
        return openCoals(options, *here);
    if (oven->kind != kitchen::ApplianceKind::ironOven)
        return fail(Errc::invalidArgument,
                    fmt::format("{} is no iron oven: coals are counted for those; --open counts "
                                "coals under a grate",
                                oven->name));
    if (options.inside.empty())
        return fail(Errc::invalidArgument, "--inside says how hot it should be, as 180C");
    const auto wish = wishOf(options);
    if (!wish)
        return tl::unexpected(wish.error());
    const auto plan = coalPlan(*kitchen, *oven, *wish, *here);
    if (!plan)
        return tl::unexpected(plan.error());
    Units units;
    units.fahrenheit = options.fahrenheit;
    Answer out;
    out.text = joined(words::coalLines(*plan, *wish, units));
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
                       {"layers", plan->layers},
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
