// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/number_phrase.h"
#include "recipe_text/reading.h"

namespace dynamet::recipe_text {
namespace {

using enum BindingKind;

/// A phrase of one kind: group 1 is bound, group 2 is its number where it has one.
struct Phrase {
    BindingKind kind;
    const char* pattern;
};

// Phrases that hold others come first.
constexpr Phrase
    kPhrases
        []{
            {start,
             R"(\b(straight (?:from|out of) the (?:fridge|refrigerator|freezer|cooler|cold)|(?:cold )?from the (?:fridge|refrigerator|freezer)|fridge[- ]cold|refrigerator[- ]cold)\b)"},
            {start, R"(\b(from frozen|frozen solid|still frozen)\b)"},
            {start, R"(\bfrom (frozen)\b)"},
            {start, R"(\b(room temperature)\b)"},
            {start,
             R"(\b(lose (?:its|their) chill(?: for [\w ]+? (?:hour|minutes))?|take the chill off|taken? out of the (?:fridge|refrigerator))\b)"},
            {start,
             R"(\b((?:an?|one|two|half an|\d+) (?:hours?|minutes?) (?:before (?:cooking|roasting|grilling|it goes|they go)|out of the (?:fridge|refrigerator)))\b)"},
            {start,
             R"(\b(chilled|well-chilled|ice-cold) (?:\w+ )?(?:terrine|meat|steak|steaks|fish|dough|roast|joint|chicken|fillets?)\b)"},

            {coals,
             R"(\b((?:white[- ]hot|red[- ]hot|glowing|grey|gray|ashen|ash-covered|hot|medium|dying|low) (?:coals|embers|charcoal))\b)"},
            {coals,
             R"(\b(?:coals|embers|charcoal|briquettes) (?:are|is) ((?:fully |well |all )?(?:covered (?:in|with) (?:a )?(?:\w+ )?(?:grey |gray |white )?ash|ashed over|grey|gray|white))\b)"},
            {coals,
             R"(\b(the (?:coals|embers) (?:glow|glow red|turn grey|turn gray|turn white|ash over|have ashed over))\b)"},
            {coals, R"(\b(the coals are (?:ashed over|grey|gray|white))\b)"},
            {coals, R"(\b(a bed of (?:glowing |hot )?(?:embers|coals|charcoal))\b)"},
            {coals, R"(\b(?:bank|heap|push|rake|pile) (?:the )?(coals|embers|charcoal)\b)"},
            {coals, R"(\bin (an even layer|a single even layer)\b)"},

            {doneness,
             R"(\b(medium[- ]rare|medium[- ]well(?:[- ]done)?|well[- ]done|(?:just )?cooked through|blue[- ]rare|very rare|al dente|soft[- ]set|soft[- ]boiled|hard[- ]boiled|(?:just )?done through|done to your liking)\b)"},
            {doneness,
             R"(\b((?:to|until|till|serve|roast|cook|served|roasted|cooked|keep it|grilled?) (?:rare|pink|blue))\b)"},
            {doneness, R"(\bfor (rare)\b)"},

            {level,
             R"(\b((?:very |fairly |moderately )?(?:slow|cool|moderate|hot|quick|warm|fierce|gentle|low)(?:ly hot)? oven)\b)"},
            {level, R"(\b(moderately hot oven)\b)"},
            {level, R"(\b(medium(?:-| to | )(?:high|low)(?: (?:heat|flame))?)\b)"},
            {level,
             R"(\b((?:medium|moderate|low|high|gentle|fierce|strong|lively|brisk)[ -](?:heat|flame))\b)"},
            {level,
             R"(\b(?:over|on) (the (?:highest|lowest|gentlest) (?:heat|flame|possible heat|setting))\b)"},
            {level, R"(\b(on (?:high|low|medium))\b)"},
            {level, R"(\b(an? (?:medium|low|high|moderate|gentle) setting)\b)"},
            {level, R"(\b((?:setting|level|power) \d{1,2})\b)"},
            {level,
             R"(\b(?:ring|hob|burner|dial|knob|hotplate|induction)(?: \w+)? (?:to|at|on) (\d{1,2})\b)"},
            {level,
             R"(\b(?:heat|ring|burner|hob|flame)(?:\s+\w+)? ((?:right )?(?:down|up)(?: to (?:low|medium|high|a simmer|the lowest))?)\b)"},
            {level,
             R"(\b(?:turn|lower|reduce|bring|raise|increase|set)(?: the| it)?(?: \w+)?(?: down| up)? to (low|medium|high|moderate|slow)\b)"},
            {level, R"(\bset the (?:burner|hob|ring|heat|dial) (?:to|at|on) (medium|low|high)\b)"},
            {level,
             R"(\b((?:smoking|piping|ripping|very|screaming)[- ]hot)(?: \w+)?(?:[ -]\w+)? (?:pan|skillet|griddle|grill|wok|casserole|oven|grate|pot)\b)"},
            {level, R"(\b(hot) (?:pan|skillet|griddle|wok|casserole|cast-iron pan|frying pan)\b)"},
            {level, R"(\bunder an? (hot grill|medium grill|fierce grill|hot broiler)\b)"},
            {level, R"(\bat (full power|half power|full heat|full blast)\b)"},

            {zone, R"(\b(skin[- ]side zone)\b)"},
            {zone,
             R"(\b((?:in)?direct(?:ly)?(?: heat| side| zone| fire)|indirectly|over indirect)\b)"},
            {zone, R"(\b(a two-zone (?:fire|set-?up))\b)"},
            {zone,
             R"(\b((?:the )?(?:cool|cooler|hot|hotter|far|near|unlit|lit|coolest|hottest) (?:side|zone|end|part))\b)"},
            {zone, R"(\b((?:directly |right )?over the (?:coals|fire|embers|flames))\b)"},
            {zone, R"(\b(off to (?:the|one) side)\b)"},
            {zone, R"(\b(away from the (?:fire|coals|flames|heat))\b)"},
            {zone,
             R"(\b((?:on |in )?(?:the )?(?:top|bottom|middle|upper|lower|centre|center|lowest|highest|uppermost|second)[- ](?:shelf|rack|third)(?: of the oven)?)\b)"},
            {zone,
             R"(\b((?:in )?the (?:centre|center|middle|floor|back|top|bottom) of the oven)\b)"},
            {zone, R"(\b(under the (?:grill|broiler))\b)"},
            {zone, R"(\b(on the (?:stone|steel|oven floor|hearth))\b)"},

            {lid,
             R"(\b(with (?:the|its) lid (?:on|off|ajar|closed|open|shut|down|up)|(?:covered )?with the lid (?:down|on|closed)|lid (?:on|off|closed|open|shut|ajar|down|up))\b)"},
            {lid, R"(\b((?:the |its )?lid (?:on|off|closed|open|shut|ajar|down|up))\b)"},
            {lid, R"(\bwith the lid of the \w+ (shut|closed|open)\b)"},
            {lid, R"(\b((?:close|open|shut|lower|lift|raise|replace) (?:the|its) lid)\b)"},
            {lid, R"(\b((?:take off|remove|put on|take) the lid(?: off)?)\b)"},
            {lid, R"(\b(under a lid|lidded|uncovered|uncover)\b)"},

            {cover,
             R"(\b((?:loosely )?(?:tented|covered|wrapped|tightly covered|cover|wrap|tent)(?: (?:it|them|loosely|tightly))?(?: loosely| tightly)? (?:with|in|under) (?:a (?:sheet|piece) of )?(?:foil|aluminium foil|butcher paper|(?:baking )?(?:parchment|paper)|greaseproof paper))\b)"},
            {cover,
             R"(\b((?:loosely )?(?:with|in|under) (?:foil|aluminium foil|baking parchment|butcher paper))\b)"},
            {cover,
             R"(\b((?:remove|take off|lift off|unwrap|discard) the (?:foil|paper|parchment))\b)"},
            {cover, R"(\b(tented|tent loosely)\b)"},
            {lid, R"(\b(?:simmer|cook|braise|stew|steam|bake|grill|roast)(?: \w+)? (covered)\b)"},
            {lid, R"((?:, |^|\band )(cover)(?: and\b| the (?:pan|pot)\b|,))"},
            {lid, R"(\b(covered)(?:$|[ ,.;])(?:for|and|until|\d|over)?)"},

            {vessel,
             R"(\b((?:(?:cast[- ]iron|heavy(?:-based)?|non-?stick|roasting|baking|frying|sauté|saute|carbon[- ]steel|ovenproof|large|wide|deep|pizza|bread|loaf|grill|griddle|\d+x\d+-inch|\d+-inch|\d+ ?cm) )*(?:skillet|saucepan|casserole|wok|griddle|dutch oven|stockpot|terrine mould|camp oven))\b)"},
            {vessel,
             R"(\b((?:cast[- ]iron|heavy(?:-based)?|non-?stick|roasting|baking|frying|sauté|saute|carbon[- ]steel|ovenproof|pizza|loaf|grill|griddle|cake|deep|shallow|\d+x\d+[- ]inch|\d+[- ]inch|\d+ ?-?cm)[ -](?:pan|pot|tin|dish|tray|sheet|stone|steel|mould))\b)"},
            {vessel,
             R"(\b(?:a|with a|in a)(?: very| smoking-hot| hot)? (pan|pot|tin|dish|tray|stone|water bath)\b)"},
            {vessel, R"(\b(?:smoking-hot|hot) (pan|griddle)\b)"},
            {vessel, R"(\b(water bath)\b)"},

            {turn,
             R"(\b((?:turn|flipp?)(?:ing|ed)?(?: (?:it|them|over))? ((?:just |only )?(?:once|twice)|three times|halfway(?: through(?: \w+ing)?)?|half way|often|occasionally|frequently|regularly))\b)"},
            {turn,
             R"(\b((?:shak|rotat|stirr?|toss|turn|flip)(?:e|ing)?(?: (?:the|it|them))?(?: (?:basket|pan|tray|food|chicken|meat|patties|pieces))? ?(once|twice|three times|halfway(?: through(?: \w+ing)?)?|half way through|now and then|occasionally|from time to time))\b)"},
            {rest, R"(\b(?:to|let it|let them|let the \w+|leave to) (rest)\b)"},
            {turn, R"(\b(giving the \w+ a quarter turn every .+?)(?:[,.;]|$))"},
            {turn,
             R"((?:^|[,;.] |\band )((?:turn|flip)(?: (?:it|them|over|the (?:steaks?|meat|fish|chicken|patties|chops|pieces)(?: over)?))?)(?:,| and|\.|$))"},
            {turn,
             R"(\b((?:turn|flip) (?:it|them|the (?:steaks?|meat|fish|chicken|patties|chops|pieces)) over)\b)"},
            {turn, R"(\b(flip)\b)"},
            {turn, R"(\b(flip) the (?:patties|steaks|chops|fish)\b)"},
            {turn, R"(\bflip (?:the \w+ )?(once|twice)\b)"},
        };

struct Compiled {
    BindingKind kind;
    std::unique_ptr<re2::RE2> pattern;
};

const std::vector<Compiled>& compiledPhrases() {
    static const std::vector<Compiled> list = [] {
        std::vector<Compiled> out;
        for (const Phrase& phrase : kPhrases)
            out.push_back({phrase.kind, compiled(phrase.pattern)});
        return out;
    }();
    return list;
}

std::optional<double> timesOf(re2::StringPiece word) {
    std::string text(word);
    for (char& c : text)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    if (text.ends_with("once"))
        return 1;
    if (text.ends_with("twice"))
        return 2;
    if (text == "three times")
        return 3;
    return std::nullopt;
}

/// "to medium" of food, and "pink" at the end of a clause.
void doneMedium(Reading& reading) {
    static const auto pattern = compiled(R"(\b(?:to|for|until|till) (medium|rare|pink)\b)");
    static const auto stove =
        compiled(R"(\b(?:burner|hob|ring|heat|turn|reduce|lower|increase|raise|set|dial|flame)\b)");
    reading.each(*pattern, [&](const Groups& g) {
        if (!holds(reading.clauseBefore(reading.at(g[1])), *stove))
            reading.claim(g[1], doneness);
    });
    static const auto alone =
        compiled(R"(\b(?:roast|serve|grill|cook|fry|keep)(?: \w+)? (rare|pink|blue)\b)");
    reading.each(*alone, [&](const Groups& g) { reading.claim(g[1], doneness); });
    static const auto bare = compiled(R"(\b(?:over|on|to) (medium|low|high)(?:[.,; ]|$))");
    reading.each(*bare, [&](const Groups& g) { reading.claim(g[1], level); });
}

/// "Griddle the flatbreads" is something done.
bool isVerb(const Reading& reading, re2::StringPiece word) {
    static const auto object = compiled(R"(^ (?:the|them|it|each|both) (?:\w+))");
    static const auto begins = compiled(R"((?:^|[,;]|\band|\bthen)\s*$)");
    const std::size_t at = reading.at(word);
    return word.size() == 7 && holds(reading.before(at), *begins) &&
           holds(reading.behind(at + word.size()), *object);
}

/// The pan of "a smoking-hot pan", whose heat is bound already.
void findHotPans(Reading& reading) {
    static const auto ware = compiled(
        R"(^( (?:cast-iron |frying |heavy )?(?:pan|skillet|griddle|wok|pot|grill pan))\b)");
    const auto levels = reading.bindings();
    for (const Binding& one : levels) {
        if (one.kind != level || !one.text.ends_with("hot"))
            continue;
        const std::string_view rest = reading.text().substr(one.end);
        re2::StringPiece found;
        if (re2::RE2::PartialMatch(
                re2::StringPiece(rest.data(), std::min<std::size_t>(rest.size(), 40)), *ware,
                &found))
            reading.claim(found, vessel);
    }
}

} // namespace

void findPhrases(Reading& reading) {
    for (const Compiled& phrase : compiledPhrases())
        reading.each(*phrase.pattern, [&](const Groups& g) {
            std::optional<double> number;
            if (phrase.kind == vessel && isVerb(reading, g[1]))
                return;
            if (phrase.kind == turn)
                number = timesOf(g.size() > 2 ? g[2] : g[1]);
            reading.claim(g[1], phrase.kind, number);
        });
    findHotPans(reading);
    doneMedium(reading);
}

} // namespace dynamet::recipe_text
