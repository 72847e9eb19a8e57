// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/rewrite.h"

#include "quantity/parse_temperature.h"
#include "recipe/said.h"
#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::recipe_text {
namespace {

constexpr double kSameK = 0.3, kSameCoreK = 0.5, kSameShare = 0.02;
constexpr double kPoundKg = 0.45359237;

double degrees(double kelvin, TemperatureUnit unit) {
    const Temperature t = Temperature::kelvin(kelvin);
    return unit == TemperatureUnit::fahrenheit ? t.fahrenheit() : t.celsius();
}

double rounded(double value, double step) {
    return std::round(value / step) * step;
}

/// The stretch from the first figure to the last that stand before the unit.
std::pair<std::size_t, std::size_t> figuresOf(const std::string& text) {
    const std::size_t first = text.find_first_of("0123456789");
    if (first == std::string::npos)
        return {0, 0};
    static const auto figures = compiled(
        R"(^(\d+(?:[.,]\d+)?(?: ?(?:°|º)? ?[CF]?)(?: ?(?:-|–|—|to|or) ?)\d+(?:[.,]\d+)?|\d+(?:[.,]\d+)?))");
    const re2::StringPiece rest(text.data() + first, text.size() - first);
    re2::StringPiece found;
    if (!re2::RE2::PartialMatch(rest, *figures, &found))
        return {0, 0};
    return {first, first + found.size()};
}

/// A number of degrees in the place of a binding's own, its unit's spelling kept.
std::string withDegrees(const Binding& b, double kelvin, double low) {
    const TemperatureUnit unit =
        b.written == Written::fahrenheit ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
    const double before = degrees(low, unit);
    // A writer of 350 and 375 means fives; one of 63 means ones.
    const bool fives = std::abs(before - rounded(before, 5)) < 0.05 && before >= 100;
    const double now =
        rounded(degrees(kelvin, unit), fives && unit == TemperatureUnit::fahrenheit ? 5 : 1);
    const auto [begin, end] = figuresOf(b.text);
    if (end == begin)
        return fmt::format("{:.0f} °{}", now, unit == TemperatureUnit::fahrenheit ? "F" : "C");
    return b.text.substr(0, begin) + fmt::format("{:.0f}", now) + b.text.substr(end);
}

std::string dialWords(const StageNumbers& stage) {
    return fmt::format("{:.0f} °{}", degrees(*stage.heatK, stage.dial),
                       stage.dial == TemperatureUnit::fahrenheit ? "F" : "C");
}

std::string heatFor(const Binding& b, const StageNumbers& to) {
    if (!to.heatK)
        return to.heatWords;
    if (b.written == Written::gasMark) {
        if (!to.gasMarks)
            return dialWords(to);
        const double mark = toGasMark(Temperature::kelvin(*to.heatK));
        const std::string figure =
            mark < 0.75 ? (mark < 0.4 ? "¼" : "½") : fmt::format("{:.0f}", std::round(mark));
        static const auto figures = compiled(R"((¼|½|1/[24]|\d(?: ?(?:-|–|to|or) ?\d)?))");
        std::string out = b.text;
        re2::RE2::Replace(&out, *figures, figure);
        return out;
    }
    if (b.kind == BindingKind::level || b.written == Written::none) {
        const bool oven = recipe::smallLetters(b.text).ends_with("oven");
        return dialWords(to) + (oven ? " oven" : "");
    }
    return withDegrees(b, *to.heatK, *b.low);
}

/// A time as a recipe writes it; a writer of whole hours gets them back where they fit.
std::string spelled(double seconds, bool abbreviated) {
    const char* minuteWord = abbreviated ? "min" : "minutes";
    const char* secondWord = abbreviated ? "s" : "seconds";
    if (seconds < 105)
        return fmt::format("{:.0f} {}", rounded(seconds, seconds < 40 ? 5 : 15), secondWord);
    if (seconds < 600) {
        const double minutes = rounded(seconds / 60, 0.5);
        const int whole = static_cast<int>(minutes);
        return minutes > whole ? fmt::format("{}½ {}", whole, minuteWord)
                               : fmt::format("{} {}", whole, minuteWord);
    }
    const int minutes = static_cast<int>(rounded(seconds / 60, seconds < 5400 ? 1 : 5));
    if (minutes < 100)
        return fmt::format("{} {}", minutes, minuteWord);
    if (minutes % 60 == 0)
        return fmt::format("{} {}", minutes / 60, abbreviated ? "h" : "hours");
    return fmt::format("{} {} {} {}", minutes / 60,
                       abbreviated     ? "h"
                       : minutes < 120 ? "hour"
                                       : "hours",
                       minutes % 60, minuteWord);
}

/// What stands in a time before and behind its number and unit: "rest ", " a side".
std::string withTime(const Binding& b, double share) {
    static const auto core = compiled(
        R"(^(.*?)((?:\d|½|¼|¾|⅓|⅔|half|three|an?\b|one|two|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|quarter).*(?:hours?|hrs?|h|minutes?|mins?|seconds?|secs?|s|half|quarter|two)\b\.?|\S+)(.*)$)");
    re2::StringPiece before, middle, behind;
    std::string head, tail;
    if (re2::RE2::FullMatch(b.text, *core, &before, &middle, &behind)) {
        head = std::string(before);
        tail = std::string(behind);
    }
    static const auto brief = compiled(R"(\d ?(?:min|mins|h|hr|hrs|s|sec|secs)\b)");
    const bool abbreviated = holds(b.text, *brief);
    const double low = *b.low * share, high = *b.high * share;
    const std::string from = spelled(low, abbreviated), to = spelled(high, abbreviated);
    if (from == to)
        return head + from + tail;
    // "25 to 30 minutes": the unit once where both have it.
    const auto unitAt = from.find(' '), otherAt = to.find(' ');
    const bool same = from.substr(unitAt) == to.substr(otherAt);
    return head + (same ? from.substr(0, unitAt) : from) + " to " + to + tail;
}

std::string byWeight(const Binding& b, double share) {
    static const auto figure = compiled(std::string("(") + kNumber + ")");
    // The first number is the time, the last one what comes over; weights stand between.
    std::string out = b.text;
    const double perPound = b.perWeight->sPerKg * kPoundKg * share / 60;
    const bool pounds = recipe::smallLetters(b.text).find("pound") != std::string::npos ||
                        recipe::smallLetters(b.text).find("lb") != std::string::npos;
    const re2::StringPiece text(b.text);
    re2::StringPiece found[1];
    std::vector<std::pair<std::size_t, std::size_t>> numbers;
    for (std::size_t from = 0;
         figure->Match(text, from, text.size(), re2::RE2::UNANCHORED, found, 1);) {
        const auto at = static_cast<std::size_t>(found[0].data() - text.data());
        numbers.emplace_back(at, found[0].size());
        from = at + found[0].size();
    }
    if (numbers.empty())
        return out;
    const auto whole = [](double minutes) { return fmt::format("{:.0f}", std::max(1.0, minutes)); };
    if (b.perWeight->overS > 0 && numbers.size() > 1)
        out.replace(numbers.back().first, numbers.back().second,
                    whole(b.perWeight->overS * share / 60));
    const double first =
        pounds ? perPound : numberOf(b.text.substr(numbers[0].first, numbers[0].second)) * share;
    out.replace(numbers[0].first, numbers[0].second, whole(first));
    return out;
}

std::string changedWords(const Binding& b, const Bound& bound, const StageNumbers& from,
                         const StageNumbers& to) {
    switch (bound.part) {
    case Part::heat: {
        const bool same = from.heatK && to.heatK
                              ? std::abs(*from.heatK - *to.heatK) < kSameK
                              : !from.heatK && !to.heatK && from.heatWords == to.heatWords;
        return same ? b.text : heatFor(b, to);
    }
    case Part::time:
    case Part::writtenTime: {
        if (from.timeS <= 0 || to.timeS <= 0)
            return b.text;
        const double share = to.timeS / from.timeS;
        if (std::abs(share - 1) < kSameShare)
            return b.text;
        if (b.perWeight)
            return byWeight(b, share);
        return b.low ? withTime(b, share) : b.text;
    }
    case Part::endCore:
        if (!from.endK || !to.endK || std::abs(*from.endK - *to.endK) < kSameCoreK || !b.low)
            return b.text;
        return withDegrees(b, *to.endK, *b.low);
    default:
        return b.text;
    }
}

} // namespace

Rewritten rewritten(const Filled& recipe, const std::vector<StageNumbers>& from,
                    const std::vector<StageNumbers>& to) {
    std::vector<Bound> bound = recipe.bound;
    std::sort(bound.begin(), bound.end(), [&](const Bound& a, const Bound& b) {
        return recipe.bindings[a.binding].begin < recipe.bindings[b.binding].begin;
    });
    const std::string& old = recipe.recipe.text;
    Rewritten out;
    std::size_t at = 0;
    for (const Bound& one : bound) {
        const Binding& b = recipe.bindings[one.binding];
        if (one.stage >= from.size() || one.stage >= to.size() || b.begin < at)
            continue;
        const std::string now = changedWords(b, one, from[one.stage], to[one.stage]);
        if (now == b.text)
            continue;
        out.text += old.substr(at, b.begin - at);
        out.changes.push_back({b.begin, b.end, out.text.size(), out.text.size() + now.size()});
        out.text += now;
        at = b.end;
    }
    out.text += old.substr(at);
    return out;
}

} // namespace dynamet::recipe_text
