// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/parse_temperature.h"
#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

#include <cmath>

namespace dynamet::recipe_text {
namespace {

constexpr const char* kDegreesNumber = R"((\d{1,3}(?:[.,]\d)?|\d,\d{3}))";
/// Above it no oven's dial is in °C, and no core.
constexpr double kHottestDialC = 300, kHottestCoreC = 100, kCoolestHeatC = 30;

/// Which of two kinds of cue stands last in a text; 0 = neither.
enum class Cue { none, core, heat };

Cue lastCue(const std::string& text) {
    static const auto cue = compiled(
        R"(\b(core|internal|thermometer|probe|reads?|registers?|shows?|says?|middle|cent(?:re|er)|)"
        R"(inside|thickest|pull(?:ed|ing)?|take|lift|stop|wrap(?:ped)?|remove|reach(?:es)?|hits?|rise|rises|climb|done|ready)\b)"
        R"(|\b(oven|bath|oil|fat|preheat(?:ed)?|heat|bake|roast|roasting|slow-roast|smoke|fry|set|hold|poach|)"
        R"(griddle|grill|fryer|smoker|lower|reduce|raise|increase|turn|cook|dial)\b)");
    Cue out = Cue::none;
    re2::StringPiece rest(text), core, heat;
    while (re2::RE2::FindAndConsume(&rest, *cue, &core, &heat))
        out = core.empty() ? Cue::heat : Cue::core;
    return out;
}

/// Does the number stand for the food's middle? By what stands around it.
bool isCore(const Reading& reading, std::size_t begin, std::size_t end, double kelvin) {
    static const auto behindIsCore = compiled(
        R"(^\s*(?:\(?internal|inside|in (?:the|its) (?:middle|cent|thickest)|at (?:the|its) (?:core|cent|bone|middle)|core\b))");
    static const auto to = compiled(R"((?:\bto|\buntil|\btill)(?: about| around| a)? $)");
    static const auto at = compiled(R"(\bat(?: about| around| a)? $)");
    static const auto heats = compiled(
        R"(\b(?:oven|oil|fat|bath|preheat\w*|heat\w*|set|lower|reduce|raise|increase|turn|down|up|water|griddle|pan|warm|dial|drop)\b)");
    const double celsius = kelvin - kZeroCelsiusK;
    if (celsius > kHottestCoreC + 2)
        return false;
    if (holds(reading.behind(end), *behindIsCore))
        return true;
    const std::string clause = reading.clauseBefore(begin);
    const Cue cue = lastCue(clause);
    if (cue == Cue::core)
        return true;
    if (holds(clause, *to))
        return !holds(clause, *heats);
    if (cue == Cue::heat || holds(clause, *at))
        return false;
    // "roast pink, 57–60 °C": a number beside a doneness.
    static const auto done = compiled(R"(\b(?:pink|rare|medium|well done|rosy|done)\b[ ,(:]*$)");
    if (celsius < kHottestCoreC && holds(reading.before(begin), *done))
        return true;
    const Cue sentence = lastCue(reading.before(begin));
    return sentence == Cue::core;
}

bool isStart(const Reading& reading, std::size_t begin, double kelvin) {
    static const auto starts =
        compiled(R"(\b(?:goes? in|go in|starts?|starting|start with \w+)(?: \w+)? (?:at|from) $)");
    return kelvin < kZeroCelsiusK + 30 && holds(reading.clauseBefore(begin), *starts);
}

struct Degrees {
    double low, high;
};

void bindDegrees(Reading& reading, re2::StringPiece piece, Degrees said, Written written) {
    const std::size_t begin = reading.at(piece), end = begin + piece.size();
    static const auto fan = compiled(R"(^ ?\(?(?:fan|convection)\b)");
    using enum BindingKind;
    const BindingKind kind = isStart(reading, begin, said.low)       ? start
                             : isCore(reading, begin, end, said.low) ? core
                                                                     : temperature;
    Binding* made = reading.claim(piece, kind, said.low, said.high);
    if (!made)
        return;
    made->written = written;
    made->fan = kind == temperature && holds(reading.behind(end), *fan);
}

std::optional<Degrees> degreesOf(re2::StringPiece low, re2::StringPiece high,
                                 TemperatureUnit unit) {
    const auto one = [unit](re2::StringPiece text) {
        const double n = numberOf(std::string(text));
        return unit == TemperatureUnit::fahrenheit ? Temperature::fahrenheit(n).kelvin()
                                                   : Temperature::celsius(n).kelvin();
    };
    if (numberOf(std::string(low)) > 1200)
        return std::nullopt;
    return Degrees{one(low), high.empty() ? one(low) : one(high)};
}

void scaled(Reading& reading) {
    static const auto pattern = compiled(
        std::string(R"((?:\b|^)()") + kDegreesNumber + R"((?: ?(?:°|º)? ?[CF]?)" + kBetween +
        kDegreesNumber +
        R"()? ?(?:°|º|degrees?\b|deg\b\.?)? ?(celsius|centigrade|fahrenheit|[CF]))(?:\b|$))");
    const auto bind = [&](const Groups& g) {
        const bool fahrenheit = std::tolower(static_cast<unsigned char>(g[4][0])) == 'f';
        const TemperatureUnit unit =
            fahrenheit ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
        const Written written = fahrenheit ? Written::fahrenheit : Written::celsius;
        // "at 225°F to 118°F": downwards it is no range; the second is found when it is asked
        // again.
        const bool down =
            !g[3].empty() && numberOf(std::string(g[3])) < numberOf(std::string(g[2]));
        const auto said = degreesOf(g[2], down ? re2::StringPiece() : g[3], unit);
        if (!said)
            return;
        if (!down)
            return bindDegrees(reading, g[1], *said, written);
        static const auto first = compiled(R"(^(\d+(?:[.,]\d)? ?(?:°|º)? ?[CF]?))");
        re2::StringPiece piece;
        if (re2::RE2::PartialMatch(g[1], *first, &piece))
            bindDegrees(reading, piece, *said, written);
    };
    for (int again = 0; again < 2; ++again)
        reading.each(*pattern, bind);
}

void gasMarks(Reading& reading) {
    static const auto pattern = compiled(
        R"(\b((?:gas(?: mark)?|mark) ?(¼|½|1/[24]|[1-9])(?: ?(?:-|–|to|or) ?(\d))?)(?:[^\d]|$))");
    reading.each(*pattern, [&](const Groups& g) {
        const auto low = gasMark(numberOf(std::string(g[2])));
        const auto high = g[3].empty() ? low : gasMark(numberOf(std::string(g[3])));
        if (low && high)
            bindDegrees(reading, g[1], {low->kelvin(), high->kelvin()}, Written::gasMark);
    });
}

/// °F or °C of a number without a scale: see `bindingsIn`.
TemperatureUnit scaleOf(Reading& reading, std::size_t place, double number, bool core) {
    const auto [begin, end] = reading.sentenceOf(place);
    int here = 0, all = 0;
    constexpr std::size_t kBeside = 6;
    constexpr double kSameK = 12;
    for (const Binding& b : reading.bindings()) {
        // "200 (400 °F)": the same heat in both scales.
        const bool beside = b.low && b.begin >= place && b.begin <= place + kBeside;
        if (beside && b.written == Written::fahrenheit &&
            std::abs(Temperature::celsius(number).kelvin() - *b.low) < kSameK)
            return TemperatureUnit::celsius;
        if (beside && b.written == Written::celsius &&
            std::abs(Temperature::fahrenheit(number).kelvin() - *b.low) < kSameK)
            return TemperatureUnit::fahrenheit;
        const int counts = b.written == Written::fahrenheit ? 1
                           : b.written == Written::celsius  ? -1
                                                            : 0;
        all += counts;
        here += b.begin >= begin && b.end <= end ? counts : 0;
    }
    const auto unit = [](bool f) {
        return f ? TemperatureUnit::fahrenheit : TemperatureUnit::celsius;
    };
    if (here != 0)
        return unit(here > 0);
    if (reading.scale())
        return *reading.scale();
    if (all != 0)
        return unit(all > 0);
    return unit(number > (core ? kHottestCoreC : kHottestDialC));
}

} // namespace

void findTemperatures(Reading& reading) {
    scaled(reading);
    gasMarks(reading);
}

void findBareDegrees(Reading& reading) {
    static const auto pattern =
        compiled(std::string(R"(\b((\d{2,3})(?:)") + kBetween +
                 R"((\d{2,3}))?(\+? ?(?:°|º)|\+? ?degrees?\b)?)(?:[^\d%½¼¾/]|$))");
    static const auto leads = compiled(
        R"((?:\bat|\bto|\bof|\breads?|\bhits?|\breach(?:es)?|\bregisters?|\bsays?|\bshows?|\bis|\bpast|\buntil|\btill)(?: about| around)? $)");
    static const auto ends = compiled(
        R"(^\s*(?:$|[,.;:()/!]|for\b|until\b|till\b|then\b|and\b|inside\b|in the\b|internal|to\b|or\b|at the\b))");
    static const auto cooks = compiled(
        R"(\b(?:bak(?:e|ing)|roast\w*|cook\w*|smok\w+|fry\w*|oven|preheat\w*|grill\w*|heat\w*|core|middle|cent(?:re|er)|probe|thermometer|)"
        R"(lower|reduce|turn|take|pull|inside|internal|hold|bath|basket|fryer|oil|reads?|registers?)\b)");
    reading.each(*pattern, [&](const Groups& g) {
        const std::size_t begin = reading.at(g[1]), end = begin + g[1].size();
        const std::string before = reading.before(begin), behind = reading.behind(end);
        const bool sign = !g[4].empty();
        if (!sign && !(holds(before, *leads) && holds(behind, *ends) &&
                       (holds(before, *cooks) || holds(behind, *cooks))))
            return;
        const double number = numberOf(std::string(g[2]));
        const auto kelvin = [&](TemperatureUnit unit) { return degreesOf(g[2], g[3], unit)->low; };
        // A number that could be a core is one where its words say so.
        const bool core = isCore(reading, begin, end,
                                 number > kHottestCoreC ? kelvin(TemperatureUnit::fahrenheit)
                                                        : kelvin(TemperatureUnit::celsius));
        const TemperatureUnit unit = scaleOf(reading, begin, number, core);
        const auto said = degreesOf(g[2], g[3], unit);
        if (!sign && !core && said->low < kZeroCelsiusK + kCoolestHeatC)
            return;
        bindDegrees(reading, g[1], *said, Written::none);
        if (!reading.bindings().empty() && reading.bindings().back().begin == begin)
            reading.bindings().back().written =
                unit == TemperatureUnit::fahrenheit ? Written::fahrenheit : Written::celsius;
    });
}

} // namespace dynamet::recipe_text
