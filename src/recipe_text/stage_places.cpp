// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/stage_places.h"

#include "kitchen/dial.h"
#include "recipe/said.h"
#include "recipe_text/filled.h"
#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

#include <algorithm>
#include <cmath>

namespace dynamet::recipe_text {
namespace {

using kitchen::Appliance;
using kitchen::ApplianceKind;
using kitchen::HeatGroup;

std::string sentenceAround(std::string_view text, std::size_t at) {
    const Reading reading(text, std::nullopt);
    const std::size_t place = std::min(at, text.empty() ? 0 : text.size() - 1);
    return reading.before(place) + reading.behind(place);
}

bool isOven(ApplianceKind kind) {
    using enum ApplianceKind;
    return kind == stillOven || kind == fanOven || kind == combiOven || kind == countertopOven;
}

using Fits = bool (*)(const Appliance&);

/// What the words fit, the first that does.
Fits fitOf(const std::string& words, const Binding* heat) {
    static const auto fryer = compiled(R"(\b(?:deep[- ]fr|oil (?:at|to)|fry(?:ing)? at|fat at))");
    static const auto bath = compiled(R"(\b(?:sous[- ]vide|water bath|bath)\b)");
    static const auto airFryer = compiled(R"(\bair[- ]fr)");
    static const auto griddle = compiled(R"(\bgriddle\b)");
    static const auto pan = compiled(
        R"(\b(?:skillet|pan|frying|hob|burner|ring|wok|saucepan|sear|simmer|saut)|\bfry\b)");
    static const auto oven = compiled(R"(\b(?:oven|bake|baking|roast|braise|broil))");
    static const auto coals =
        compiled(R"(\b(?:coals?|embers|charcoal|barbecue|bbq|smok(?:e|er|ing)|grate|indirect)\b)");
    static const auto grill = compiled(R"(\bgrill)");
    const bool hot = heat && heat->kind == BindingKind::temperature;
    if (holds(words, *airFryer))
        return [](const Appliance& a) { return a.kind == ApplianceKind::airFryer; };
    if (holds(words, *bath))
        return [](const Appliance& a) { return a.kind == ApplianceKind::waterBath; };
    if (hot && holds(words, *fryer))
        return [](const Appliance& a) { return a.kind == ApplianceKind::deepFryer; };
    if (holds(words, *coals) || (holds(words, *grill) && !holds(words, *oven)))
        return [](const Appliance& a) { return groupOf(a.kind) == HeatGroup::coalsAndFlame; };
    if (holds(words, *griddle))
        return [](const Appliance& a) { return a.kind == ApplianceKind::griddle; };
    if (holds(words, *pan) && (!hot || !holds(words, *oven)))
        return [](const Appliance& a) { return isHob(a.kind); };
    if (holds(words, *oven) || hot)
        return [](const Appliance& a) { return isOven(a.kind); };
    if (heat && heat->kind == BindingKind::level)
        return [](const Appliance& a) { return isHob(a.kind); };
    return nullptr;
}

recipe::Place placeOn(const Appliance& on) {
    recipe::Place out;
    out.applianceId = on.id;
    out.setting = kitchen::usualSetting(on.controls);
    out.zone = on.zones.empty() ? "" : on.zones.front().name;
    if (isHob(on.kind))
        out.vesselId = on.standardVesselId;
    return out;
}

/// Share of its range that a level in words stands for; common practice, no source.
std::optional<double> shareOf(const std::string& words) {
    const auto has = [&](const char* part) { return words.find(part) != std::string::npos; };
    if (has("medium-high") || has("medium high") || has("medium to high"))
        return 0.7;
    if (has("medium-low") || has("medium low") || has("medium to low"))
        return 0.35;
    if (has("medium") || has("moderate"))
        return 0.5;
    if (has("lowest"))
        return 0.1;
    if (has("low") || has("gentle") || has("down"))
        return 0.2;
    if (has("highest") || has("full") || has("smoking") || has("screaming") || has("ripping"))
        return 1;
    if (has("high") || has("hot") || has("fierce") || has("brisk") || has("strong") || has("up"))
        return 0.85;
    return std::nullopt;
}

double onStep(const kitchen::Control& control, double value) {
    const double step = control.step > 0 ? control.step : 1;
    return std::clamp(control.low + std::round((value - control.low) / step) * step, control.low,
                      control.high);
}

/// A control whose marks are words or numbers, turned to the nearest.
bool setMark(const kitchen::Control& control, kitchen::ControlValue& value,
             const std::string& words, std::optional<double> number, std::optional<double> share) {
    if (isNumeric(control.kind)) {
        if (control.kind != kitchen::ControlKind::level &&
            control.kind != kitchen::ControlKind::watts)
            return false;
        if (!number && !share)
            return false;
        value = number ? onStep(control, *number)
                       : onStep(control, control.low + *share * (control.high - control.low));
        return true;
    }
    if (!std::holds_alternative<kitchen::LabelIndex>(value))
        return false;
    std::size_t best = control.labels.size();
    double nearest = 1e9;
    for (std::size_t i = 0; i < control.labels.size(); ++i) {
        const std::string label = recipe::smallLetters(control.labels[i].text);
        if (!label.empty() &&
            (words == label || (number && label == std::to_string(std::lround(*number))))) {
            value = kitchen::LabelIndex{static_cast<int>(i)};
            return true;
        }
        if (share && control.labels[i].number)
            if (const double off = std::abs(*control.labels[i].number - *share); off < nearest) {
                nearest = off;
                best = i;
            }
    }
    if (best == control.labels.size())
        return false;
    value = kitchen::LabelIndex{static_cast<int>(best)};
    return true;
}

} // namespace

Result<PlaceSaid> placeSaid(std::string_view text, std::size_t at, const Binding* heat,
                            const recipe::Place* before, const kitchen::Kitchen& kitchen,
                            const std::string& given) {
    if (kitchen.appliances.empty())
        return fail(Errc::notFound, "the kitchen has no appliance yet: add one in Kitchen");
    const std::string words = sentenceAround(text, at);
    const Appliance* told = findAppliance(kitchen, given);
    // A name of one word may be a word like any other ("fan") where the appliance is told.
    if (const auto named = recipe::applianceSaid(words, kitchen);
        named && (named->byKind ? recipe::kindSaid(words).has_value() && !told
                                : !told || named->said.find(' ') != std::string::npos))
        return PlaceSaid{placeOn(*named->appliance), named->byKind};
    const Fits fits = fitOf(words, heat);
    if (told && (!fits || fits(*told) || groupOf(told->kind) == HeatGroup::air))
        if (!fits || fits(*told) ||
            !std::any_of(kitchen.appliances.begin(), kitchen.appliances.end(), fits))
            return PlaceSaid{placeOn(*told), false};
    if (before) {
        const Appliance* same = findAppliance(kitchen, before->applianceId);
        if (same && (!fits || fits(*same)))
            return PlaceSaid{*before, false};
    }
    if (fits)
        for (const Appliance& one : kitchen.appliances)
            if (fits(one))
                return PlaceSaid{placeOn(one), true};
    return PlaceSaid{placeOn(told ? *told : kitchen.appliances.front()), !told};
}

std::optional<std::pair<double, double>> ovenWordsK(const std::string& typed) {
    const std::string words = recipe::smallLetters(typed);
    const auto has = [&](const char* part) { return words.find(part) != std::string::npos; };
    const auto celsius = [](double low, double high) {
        return std::pair{low + kZeroCelsiusK, high + kZeroCelsiusK};
    };
    if (has("very slow") || has("very cool"))
        return celsius(110, 130);
    if (has("slow") || has("cool") || has("low oven"))
        return celsius(140, 160);
    if (has("moderately hot") || has("fairly hot"))
        return celsius(190, 200);
    if (has("very hot") || has("fierce"))
        return celsius(230, 250);
    if (has("hot") || has("quick"))
        return celsius(210, 230);
    if (has("warm") || has("gentle"))
        return celsius(150, 165);
    if (has("moderate"))
        return celsius(170, 185);
    return std::nullopt;
}

bool setHeatSaid(const Appliance& on, kitchen::Setting& setting, const Binding& heat) {
    if (heat.kind == BindingKind::temperature && heat.low)
        return recipe::setDial(on, setting, Temperature::kelvin((*heat.low + *heat.high) / 2));
    const std::string words = recipe::smallLetters(heat.text);
    for (const kitchen::Control& control : on.controls)
        if (isTemperatureDial(control) && control.kind == kitchen::ControlKind::thermostat) {
            const auto usual = ovenWordsK(words);
            return usual &&
                   recipe::setDial(on, setting,
                                   Temperature::kelvin((usual->first + usual->second) / 2));
        }
    static const auto figure = compiled(R"((\d+(?:[.,]\d+)?))");
    re2::StringPiece found;
    std::optional<double> number;
    if (re2::RE2::PartialMatch(heat.text, *figure, &found))
        number = numberOf(std::string(found));
    const auto share = shareOf(words);
    bool any = false;
    for (std::size_t i = 0; i < on.controls.size(); ++i)
        any |= setMark(on.controls[i], setting.values[i], words, number, share);
    return any;
}

bool sameHeat(std::string_view text, const Binding& first, const Binding& second) {
    if (first.kind != BindingKind::temperature && first.kind != BindingKind::level)
        return false;
    const std::string between(text.substr(first.end, second.begin - first.end));
    static const auto joins =
        compiled(R"(^[\s(/),;|–-]*(?:fan|convection|or|about|that is|i\.e\.)?[\s(/),;|–-]*$)");
    return !between.empty() && holds(between, *joins) && between.find(". ") == std::string::npos &&
           (first.kind == BindingKind::level || first.written != second.written || second.fan ||
            first.fan);
}

bool preheats(std::string_view text, const Binding& time) {
    const Reading reading(text, std::nullopt);
    static const auto heating =
        compiled(R"(\b(?:preheat|heat (?:the|a|up)|warm (?:the|a)|light)\b[^,;]*$)");
    static const auto cooks = compiled(
        R"(\b(?:and|then) (?:\w+ )?(?:roast|bake|cook|fry|grill|sear|simmer|braise|smoke|put|lay|add|slide)\b[^,;]*$)");
    const std::string clause = reading.clauseBefore(time.begin);
    return holds(clause, *heating) && !holds(clause, *cooks);
}

bool isAfterRest(std::string_view text, const Binding& core) {
    const Reading reading(text, std::nullopt);
    static const auto rested = compiled(
        R"(^[^.;]{0,40}\b(?:after (?:the |its |a )?rest|after it has rested|once rested|at the peak)\b|^[^.;]{0,40}\bafter resting)");
    return holds(reading.behind(core.end), *rested);
}

bool isOfRest(std::string_view text, const Binding& binding) {
    const Reading reading(text, std::nullopt);
    static const auto rests = compiled(R"(\b(?:rest|rests|resting|rested|stand|tent|tented)\b)");
    return holds(reading.before(binding.begin) + binding.text, *rests);
}

std::string zoneOf(const Appliance& on, const std::string& words, const std::string& usual) {
    const auto has = [&](const char* part) { return words.find(part) != std::string::npos; };
    const auto like = [&](std::initializer_list<const char*> parts) -> const kitchen::Zone* {
        for (const kitchen::Zone& zone : on.zones)
            for (const char* part : parts)
                if (recipe::smallLetters(zone.name).find(part) != std::string::npos)
                    return &zone;
        return nullptr;
    };
    const kitchen::Zone* out = nullptr;
    for (const kitchen::Zone& zone : on.zones) // by its own name
        if (has(recipe::smallLetters(zone.name).c_str()) &&
            (!out || zone.name.size() > out->name.size()))
            out = &zone;
    if (out && !has("indirect"))
        return out->name;
    if (has("indirect") || has("cool") || has("away") || has("unlit") || has("side") || has("far"))
        out = like({"indirect", "cool", "far", "back", "unlit"});
    else if (has("direct") || has("hot") || has("over the") || has("lit") || has("near"))
        out = like({"direct", "hot", "near", "front", "over"});
    else if (has("top") || has("upper") || has("highest"))
        out = like({"top", "upper", "high"});
    else if (has("bottom") || has("lower") || has("lowest") || has("floor"))
        out = like({"bottom", "low", "floor"});
    else if (has("middle") || has("centre") || has("center"))
        out = like({"middle", "centre", "center"});
    return out ? out->name : usual;
}

} // namespace dynamet::recipe_text
