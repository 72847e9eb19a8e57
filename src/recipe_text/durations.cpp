// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

#include <cmath>

namespace dynamet::recipe_text {
namespace {

constexpr double kPoundKg = 0.45359237;

const std::string kUnit =
    R"((hours?\b|hrs?\b|h\b|minutes?\b|mins?\b|seconds?\b|secs?\b|s\b|days?\b))";

double secondsOf(const std::string& unit) {
    switch (std::tolower(static_cast<unsigned char>(unit.front()))) {
    case 'h':
        return 3600;
    case 'm':
        return 60;
    case 'd':
        return 86400;
    default:
        return 1;
    }
}

/// "half an hour", "an hour and a half", "a quarter of an hour": words of one stretch.
const std::string kWords =
    R"((?:half an hour|half-hour|half hour|half a minute|(?:an? |one )?quarter of an hour|)"
    R"(three[- ]quarters of an hour|(?:an|one|a full) hour and a (?:half|quarter)|)"
    R"((?:an|another|one) hour|a minute))";
const std::string kNumbered = std::string("(?:") + kNumber + R"((?:[ -]?|and ))" + kUnit + ")";

double wordsS(const std::string& text) {
    const auto has = [&](const char* part) { return text.find(part) != std::string::npos; };
    if (has("three"))
        return 2700;
    if (has("hour and a half"))
        return 5400;
    if (has("hour and a quarter"))
        return 4500;
    if (has("quarter"))
        return 900;
    if (has("half a minute"))
        return 30;
    if (has("half"))
        return 1800;
    return has("minute") ? 60 : 3600;
}

std::string small(re2::StringPiece piece) {
    std::string out(piece);
    for (char& c : out)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return out;
}

double worth(re2::StringPiece number, re2::StringPiece unit) {
    return numberOf(std::string(number)) * secondsOf(small(unit));
}

/// What a stretch of time is about, by the words around it.
enum class About { cooking, resting, turning, starting, nothing };

About aboutOf(const Reading& reading, std::size_t begin, std::size_t end) {
    static const auto nothing = compiled(
        R"(\b(?:chill|marinat\w+|knead|prove|proof|soak|refrigerate|freeze|cure|brine|whisk|beat|mix|baste|basting|salt|cool|cooling)\b)");
    static const auto preparing = compiled(R"(^(?: in the fridge|\s*in the refrigerator))");
    static const auto every = compiled(R"(\bevery $)");
    static const auto turns = compiled(R"(\b(?:turn\w*|flip\w*|shak\w+|rotat\w+|stir\w*)\b[^.]*$)");
    static const auto rests = compiled(
        R"(\b(?:rest|rests|resting|rested)\b[^,.;]*$|\b(?:stand|leave to stand|let (?:it )?stand)\b[^,.;]*$|)"
        R"(\btent\b[^.]*\bleave\b[^.]*$)");
    static const auto starts = compiled(
        R"(^ (?:before (?:cooking|roasting|grilling|it goes|they go)|out of the (?:fridge|refrigerator)))");
    const std::string before = reading.before(begin), clause = reading.clauseBefore(begin);
    if (holds(reading.behind(end), *starts))
        return About::starting;
    if (holds(clause, *nothing) || holds(reading.behind(end), *preparing))
        return About::nothing;
    if (holds(before, *every))
        return holds(before, *turns) ? About::turning : About::nothing;
    static const auto otherwise = compiled(R"(\b(?:marinat\w+|chill|prove|knead)\b)");
    static const auto cooks =
        compiled(R"(\b(?:cook|bake|roast|fry|grill|simmer|boil|braise|smoke|sear|poach)\w*)");
    if (holds(before, *otherwise) && !holds(before, *cooks))
        return About::nothing;
    // "Rest, loosely covered with foil, for 10 minutes": as long as nothing cooks between.
    static const auto resting = compiled(
        R"(\b(?:rest|rests|resting|rested|let (?:it |them )?stand|tent(?:ed)? (?:with|under|loosely)[^.]* leave)\b[^.;]*$)");
    re2::StringPiece whole(before), found[1];
    const bool rested = resting->Match(whole, 0, whole.size(), re2::RE2::UNANCHORED, found, 1) &&
                        !re2::RE2::PartialMatch(found[0], *cooks);
    return rested || holds(clause, *rests) ? About::resting : About::cooking;
}

/// The verb and what leads from it to the number are part of a rest; "per side" of a time.
re2::StringPiece grown(const Reading& reading, re2::StringPiece piece, About about, bool& perSide) {
    static const auto side = compiled(
        R"(^( ?/ ?side\b|(?: |, )?(?:(?:per|a|each|on (?:each|the (?:first|second|other|one)|both|either)|for each)) (?:side|face)s?\b| each(?: side| face)?\b| on the (?:first|second)\b))");
    static const auto further = compiled(R"(^( more| longer)\b)");
    static const auto verb = compiled(R"(((?:rest|stand)(?: it| them)?(?: for)?(?: about)? )$)");
    const std::size_t begin = reading.at(piece), end = begin + piece.size();
    re2::StringPiece behind(reading.text().data() + end, reading.text().size() - end), tail;
    perSide = re2::RE2::PartialMatch(behind, *side, &tail);
    if (!perSide)
        re2::RE2::PartialMatch(behind, *further, &tail);
    const std::size_t length = piece.size() + tail.size();
    std::size_t lead = 0;
    if (about == About::resting) {
        std::string found;
        if (re2::RE2::PartialMatch(reading.before(begin), *verb, &found))
            lead = found.size();
    }
    return {piece.data() - lead, length + lead};
}

void bindTime(Reading& reading, re2::StringPiece piece, double low, double high) {
    const About about = aboutOf(reading, reading.at(piece), reading.at(piece) + piece.size());
    using enum BindingKind;
    if (about == About::nothing)
        return reading.pass(piece);
    if (about == About::starting)
        return; // a phrase of its own
    if (about == About::turning) {
        const std::string before = reading.before(reading.at(piece));
        const std::size_t lead = std::min(before.size(), std::string("every ").size());
        reading.claim({piece.data() - lead, piece.size() + lead}, turn, low, high);
        return;
    }
    bool perSide = false;
    const re2::StringPiece whole = grown(reading, piece, about, perSide);
    if (Binding* made = reading.claim(whole, about == About::resting ? rest : duration, low, high))
        made->perSide = perSide;
}

void byWeight(Reading& reading) {
    static const auto pattern = compiled(
        std::string("((") + kNumber + ")" + "[ -]?" + kUnit +
        R"( (?:per|a|to the|for (?:each|every)|each) (?:()" + kNumber +
        R"() ?)?(pounds?|lbs?|kilos?|kilograms?|kgs?|grams?|g|half[- ]kilo)\b(?:,? (?:and|plus|with) (?:an extra |another )?()" +
        kNumber + R"()(?: ?)" + kUnit + R"()?(?: (?:over|extra|more))?)?))");
    reading.each(*pattern, [&](const Groups& g) {
        const double s = worth(g[2], g[3]);
        const std::string unit = small(g[5]);
        double kg = unit.front() == 'p' || unit.front() == 'l' ? kPoundKg
                    : unit.front() == 'h'                      ? 0.5
                    : unit.front() == 'g'                      ? 1e-3
                                                               : 1;
        if (!g[4].empty())
            kg *= numberOf(std::string(g[4]));
        if (!(kg > 0))
            return;
        PerWeight per{s / kg, 0};
        if (!g[6].empty())
            per.overS = numberOf(std::string(g[6])) *
                        (g[7].empty() ? secondsOf(small(g[3])) : secondsOf(small(g[7])));
        if (Binding* made = reading.claim(g[1], BindingKind::duration))
            made->perWeight = per;
    });
}

/// Ranges whose ends share a unit, and single times; hours with minutes behind them.
void inFigures(Reading& reading) {
    static const auto compound =
        compiled(std::string("((") + kNumber + R"()[ -]?(hours?|hrs?\b|h)(?: and |, | )?()" +
                 kNumber + R"() ?(?:minutes?\b|mins?\b|m\b))|(\d+)h(\d\d))");
    reading.each(*compound, [&](const Groups& g) {
        const double hours = numberOf(std::string(g[2].empty() ? g[5] : g[2]));
        const double s = 3600 * hours + 60 * numberOf(std::string(g[2].empty() ? g[6] : g[4]));
        bindTime(reading, g[0], s, s);
    });
    static const auto everyOne = compiled(R"(\bevery (minute|second|hour)\b)");
    reading.each(*everyOne, [&](const Groups& g) {
        bindTime(reading, g[1], secondsOf(small(g[1])), secondsOf(small(g[1])));
    });
    static const auto aMinuteOrTwo = compiled(R"(\ba (minute|second|hour) or two\b)");
    reading.each(*aMinuteOrTwo, [&](const Groups& g) {
        const double s = secondsOf(small(g[1]));
        bindTime(reading, g[0], s, 2 * s);
    });
    static const auto worded = compiled("\\b(" + kWords + ")(?:(?: to | or |–|-)(?:(" + kNumber +
                                        ")[ -]?" + kUnit + "|(" + kWords + ")))?\\b");
    reading.each(*worded, [&](const Groups& g) {
        const double low = wordsS(small(g[1]));
        const double high = !g[2].empty()   ? worth(g[2], g[3])
                            : !g[4].empty() ? wordsS(small(g[4]))
                                            : low;
        bindTime(reading, g[0], low, high);
    });
    static const auto figures =
        compiled(std::string("(?:\\b|^)(") + kNumber + ")(?:(?:[ -]?" + kUnit + ")?" + kBetween +
                 "(" + kNumber + "))?(?:[ -]?| extra | more | full | good )" + kUnit);
    reading.each(*figures, [&](const Groups& g) {
        const double high = g[3].empty() ? worth(g[1], g[4]) : worth(g[3], g[4]);
        const double low = g[3].empty() ? high : worth(g[1], g[2].empty() ? g[4] : g[2]);
        bindTime(reading, g[0], low, high);
    });
    // "and dry out for five more": the unit of the time before it.
    static const auto more =
        compiled(std::string(R"(\b(?:for|and)(?: another)? ()") + kNumber + " more)\\b");
    reading.each(*more, [&](const Groups& g) {
        const auto [begin, end] = reading.sentenceOf(reading.at(g[1]));
        for (const Binding& b : reading.bindings())
            if (b.kind == BindingKind::duration && b.begin >= begin && b.end <= reading.at(g[1])) {
                const auto number = static_cast<double>(b.low.value_or(0) >= 3600 ? 3600 : 60) *
                                    numberOf(small(g[1]));
                bindTime(reading, g[1], number, number);
                return;
            }
    });
}

} // namespace

void findDurations(Reading& reading) {
    // A time that is a sign of the fat's heat, none of the cook.
    static const auto bread = compiled(
        std::string(
            R"(\b(an? (?:cube|piece|crust|bit) of bread (?:browns|turns golden|fries) in ()") +
        kNumber + R"() (?:seconds?|secs?|minutes?))\b)");
    reading.each(*bread, [&](const Groups& g) { reading.claim(g[1], BindingKind::sign); });
    byWeight(reading);
    inFigures(reading);
}

} // namespace dynamet::recipe_text
