// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

#include <cmath>

namespace dynamet::recipe_text {
namespace {

const std::string kLengthUnit =
    R"((millimet(?:re|er)s?|mm|centimet(?:re|er)s?|cm|inch(?:es)?|in\b|''|"|”|″|″))";
const std::string kWeightUnit = R"((kilograms?|kilos?|kgs?|grams?|g|pounds?|lbs?|ounces?|oz)\b\.?)";

/// What is one of a number of pieces, or weighed as one.
const std::string kPiece =
    R"((?:chicken|pork|beef|lamb|veal|duck|turkey|salmon|cod|trout|tuna|fish|bone-in|boneless|skinless|skin-on|large|small|medium|thick|thin|big|whole|fresh|rump|sirloin|rib-?eye|fillet|flank|chuck|sea|king|free-range|rib|leg|round|half|split|sweet|baking)[ -])*)"
    R"((?:steaks?|chops?|thighs?|drumsticks?|legs?|breasts?|fillets?|filets?|wings?|sausages?|patt(?:y|ies)|burgers?|cutlets?|)"
    R"(rolls?|loaf|loaves|flatbreads?|pizzas?|potato(?:es)?|racks?|ribs?|roasts?|joints?|shoulders?|birds?|chickens?|ducks?|turkeys?|crowns?|)"
    R"(rib-?eyes?|sirloins?|rumps?|tomahawks?|cockerels?|hens?|guinea fowls?|quails?|halves|leeks?|carrots?|ears?|corn cobs?|scallops?|prawns?|skewers?|kebabs?|aubergines?|slices?|pieces?|portions?|necks?|shanks?|loins?|tenderloins?|bellies|belly|brisket|butts?|quarters?|hams?|trouts?|mackerels?|medallions?|escalopes?|fish|salmon|beef|pork|lamb|venison|veal|cauliflowers?|squash(?:es)?|biscuits?|buns?|cakes?)";

double lengthUnitM(re2::StringPiece unit) {
    switch (std::tolower(static_cast<unsigned char>(unit[0]))) {
    case 'm':
        return 1e-3;
    case 'c':
        return 0.01;
    default:
        return 0.0254;
    }
}

double weightUnitKg(re2::StringPiece unit) {
    switch (std::tolower(static_cast<unsigned char>(unit[0]))) {
    case 'k':
        return 1;
    case 'g':
        return 1e-3;
    case 'p':
    case 'l':
        return 0.45359237;
    default:
        return 0.028349523125;
    }
}

struct Span {
    double low, high;
};

Span spanOf(re2::StringPiece low, re2::StringPiece high, double unit) {
    const double from = numberOf(std::string(low)) * unit;
    return {from, high.empty() ? from : numberOf(std::string(high)) * unit};
}

std::string ranged() {
    return std::string("(") + kNumber + ")(?:" + kBetween + "(" + kNumber + "))?[ -]?";
}

void thickness(Reading& reading) {
    static const auto pattern =
        compiled("(?:^|[^\\w×])(" + ranged() + kLengthUnit + "(?:[ -]thick)?)(?:[\\s,.;)-]|$)");
    static const auto ware = compiled(
        R"(^[ -]?(?:(?:square|round|deep|springform|cast[- ]iron|baking|roasting|loaf|cake|oven-?proof|heavy|non-?stick|diameter)[ -])*)"
        R"((?:pan|tin|skillet|dish|pot|oven|tray|sheet|casserole|wok|cake|stone|griddle|across|diameter|long|apart|wide|deep|from|above|below|over|off|of)\b)");
    reading.each(*pattern, [&](const Groups& g) {
        const std::size_t end = reading.at(g[1]) + g[1].size();
        if (holds(reading.behind(end), *ware))
            return;
        const Span span = spanOf(g[2], g[3], lengthUnitM(g[4]));
        if (span.low > 0 && span.high < 0.5)
            reading.claim(g[1], BindingKind::thickness, span.low, span.high);
    });
}

void weight(Reading& reading) {
    static const auto pattern = compiled("(?:\\b|^)(" + ranged() + kWeightUnit + ")");
    static const auto piece = compiled("^\\)?[ -]?(?:each|apiece|in weight|" + kPiece + R"()\b)");
    static const auto inBrackets =
        compiled(R"(\b(?:)" + kPiece +
                 R"()\b[^.;]{0,24}\(?(?:of |about |weighing |weighs |around |approx\.? |\(|, )+$)");
    static const auto takes = compiled(R"(^\)? (?:needs|takes|wants|on the bone|off the bone))");
    static const auto ingredient = compiled(
        R"(^ (?:of )?(?:\w+ )?(?:flour|butter|sugar|cheese|salt|oil|water|stock|milk|cream|lard|honey|breadcrumbs|rice|onions?|garlic|tomatoes|herbs|mustard|yeast)\b)");
    reading.each(*pattern, [&](const Groups& g) {
        const std::size_t begin = reading.at(g[1]), end = begin + g[1].size();
        const std::string behind = reading.behind(end);
        if (holds(behind, *ingredient) || !(holds(behind, *piece) || holds(behind, *takes) ||
                                            holds(reading.before(begin), *inBrackets)))
            return;
        const Span span = spanOf(g[2], g[3], weightUnitKg(g[4]));
        if (span.low > 0)
            reading.claim(g[1], BindingKind::weight, span.low, span.high);
    });
}

void count(Reading& reading) {
    // Other measures may stand between a number and its noun.
    static const auto direct =
        compiled("(?:\\b|^)(" + ranged() + ")(?:(?:of the |of )?" + kPiece + ")\\b");
    static const auto more = compiled("(?:\\b|^)(" + std::string(kNumber) +
                                      ") (?:[^.;,]{0,28}[ -])?(?:thick[ -])?(?:" + kPiece + ")\\b");
    static const auto no = compiled(
        R"(^[ -]?(?:minutes?|mins?|hours?|secs?|seconds?|°|º|degrees?|g\b|kg|lb|oz|pounds?|cm|mm|inch|in\b|per|cloves?|tablespoons?|teaspoons?|tbsp|tsp|cups?|ml|sides?|or|to|and|[CF]\b|%|batches|more|%))");
    static const auto fraction = compiled(R"(^(?:½|¼|¾|⅓|⅔|one$))");
    static const auto serves = compiled(R"(\b(?:serves|into|for|at|mark|step|gas) $)");
    const auto bind = [&](const Groups& g) {
        const std::size_t begin = reading.at(g[1]), end = begin + g[1].size();
        const Span span =
            spanOf(g[2].data() ? g[2] : g[1], g.size() > 3 ? g[3] : re2::StringPiece(), 1);
        if (span.low < 1 || span.low != std::floor(span.low) || span.high > 500 ||
            holds(std::string(g[1]), *fraction) || holds(reading.behind(end), *no))
            return;
        if (holds(reading.before(begin), *serves) &&
            !holds(std::string(g[0]), *compiled("\\bsteak")))
            return;
        reading.claim(g[1], BindingKind::count, span.low, span.high);
    };
    reading.each(*direct, [&](const Groups& g) { bind(g); });
    // What lies between may be claimed as thickness or weight.
    const re2::StringPiece whole(reading.text().data(), reading.text().size());
    re2::StringPiece groups[2];
    for (std::size_t from = 0;
         more->Match(whole, from, whole.size(), re2::RE2::UNANCHORED, groups, 2);) {
        const std::size_t begin = reading.at(groups[1]);
        from = begin + groups[1].size();
        if (!reading.isClaimed(begin, from) &&
            reading.isClaimed(from, reading.at(groups[0]) + groups[0].size()))
            bind({groups[0], groups[1], groups[1]});
    }
}

} // namespace

void findHeights(Reading& reading) {
    static const auto hand = compiled(
        R"(\b((?:a|one) hand(?:'s|’s)?[ -](?:breadth|width)(?: \w+)? (?:above|over|from|off) the (?:coals|embers|fire|grate|flames?))\b)");
    reading.each(*hand, [&](const Groups& g) { reading.claim(g[1], BindingKind::height); });
    static const auto measured = compiled(
        "(?:\\b|^)(" + ranged() + kLengthUnit +
        R"( (?:above|over|from|below|under|away from|off) (?:the |a )?(?:\w+ )?(?:coals|embers|fire|flames?|element|heat|grill|broiler|burner|charcoal))\b)");
    static const auto bed = compiled(
        "(?:\\b|^)(" + ranged() + kLengthUnit +
        R"( (?:above|over|from|below)) (?:the|a) (?:\w+ ){0,3}(?:coals|embers|fire|heat|flames)\b)");
    for (const auto* pattern : {measured.get(), bed.get()})
        reading.each(*pattern, [&](const Groups& g) {
            const Span span = spanOf(g[2], g[3], lengthUnitM(g[4]));
            reading.claim(g[1], BindingKind::height, span.low, span.high);
        });
}

void findMeasures(Reading& reading) {
    static const std::string place =
        R"((?:each )?(?:underneath|under|below|beneath|on top|on the lid|on (?:its|the) lid|over))";
    static const auto coals = compiled(
        "(?:\\b|^)(" + ranged() +
        R"((?:(?:fresh|hot|lit|more|whole|unlit|new) )*(?:charcoal )?(?:coals|briquettes|briquets|lumps)(?: )" +
        place + R"()?)\b)");
    reading.each(*coals, [&](const Groups& g) {
        const Span span = spanOf(g[2], g[3], 1);
        reading.claim(g[1], BindingKind::coals, span.low, span.high);
    });
    static const auto others = compiled("(?:\\b|^)(" + ranged() + place + R"()\b)");
    reading.each(*others, [&](const Groups& g) {
        const auto [begin, end] = reading.sentenceOf(reading.at(g[1]));
        bool after = false;
        for (const Binding& b : reading.bindings())
            after |= b.kind == BindingKind::coals && b.begin >= begin && b.end <= reading.at(g[1]);
        const Span span = spanOf(g[2], g[3], 1);
        if (after)
            reading.claim(g[1], BindingKind::coals, span.low, span.high);
    });
    static const auto chimney = compiled(
        R"(\b((a|one|two|half a|\d+)(?: full| half)? chimney(?:ful|s)?(?: (?:of|full of) (?:lit |hot )?(?:charcoal|coals|briquettes))?)\b)");
    reading.each(*chimney, [&](const Groups& g) {
        const std::string said(g[2]);
        const std::string all(g[1]);
        if (all.find("full chimney") != std::string::npos || numberOf(said) > 0)
            reading.claim(g[1], BindingKind::coals, numberOf(said) > 0 ? numberOf(said) : 1);
        else if (said.starts_with("half"))
            reading.claim(g[1], BindingKind::coals, 0.5);
        else
            reading.claim(g[1], BindingKind::coals);
    });
    thickness(reading);
    weight(reading);
    count(reading);
}

} // namespace dynamet::recipe_text
