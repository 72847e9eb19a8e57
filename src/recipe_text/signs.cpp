// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/reading.h"

namespace dynamet::recipe_text {
namespace {

/// What can be seen, heard or felt.
constexpr const char* kSeen =
    R"(\b(?:brown\w*|golden|gold|crisp\w*|crunchy|juices?|run clear|tender|char\w*|blacken\w*|bubbl\w*|sizzl\w*|smok\w*|wisps?|shimmer\w*|foam\w*|)"
    R"(flak\w*|opaque|translucent|set|risen|ris(?:e|es)|thick(?:en\w*)?|soft\w*|danc\w*|blister\w*|float\w*|render\w*|curl\w*|collaps\w*|fall\w*|slip\w*|)"
    R"(clean|syrupy|wiggl\w*|mov(?:e|es) freely|loose|bead\w*|albumin|glaz\w*|caramel\w*|darken\w*|puff\w*|spring\w*|hollow|pull\w* away|whit(?:e|ens?)|firm|wobbl\w*|steam\w*|pierced|skewer|colour\w*|color\w*|bread|marks|pink|fork|knife|slides?|wilt\w*|swell\w*|pop\w*|split\w*|sticky|dry|bounce\w*|give\w*|resist\w*|ripple\w*|haze|sear\w*|lift\w*|release\w*|wrinkl\w*|bloom\w*|jammy|shrink\w*|shrunk)\b)";

/// Cuts what leads to the sign off a clause: the subject of a sentence stays, small words go.
void trim(re2::StringPiece& clause) {
    static const auto lead = compiled(
        R"(\s*(?:it is|it's|they are|they're|it|just|nicely|well|and|or|the onions are|the edges are|the onions|the legs|the leg|lightly)\s+)");
    re2::StringPiece cut;
    while (lead->Match(clause, 0, clause.size(), re2::RE2::ANCHOR_START, &cut, 1))
        clause.remove_prefix(cut.size());
}

/// "golden and crisp" is one sign; what follows "and" without a word of its own is the next thing
/// to do.
void bindSign(Reading& reading, re2::StringPiece clause) {
    static const auto seen = compiled(kSeen);
    static const auto join = compiled(R"( (?:and|or|then) )");
    re2::StringPiece rest = clause, found[1];
    std::size_t length = clause.size();
    for (std::size_t from = 0;
         join->Match(clause, from, clause.size(), re2::RE2::UNANCHORED, found, 1);) {
        const auto at = static_cast<std::size_t>(found[0].data() - clause.data());
        from = at + found[0].size();
        rest = clause.substr(from);
        static const auto another = compiled(R"(^(?:the|its) )");
        if (re2::RE2::PartialMatch(rest, *another)) { // a subject of its own, a sign of its own
            length = at;
            if (re2::RE2::PartialMatch(rest, *seen))
                reading.claim(rest, BindingKind::sign);
            break;
        }
        if (!re2::RE2::PartialMatch(rest, *seen)) {
            length = at;
            break;
        }
    }
    clause = clause.substr(0, length);
    trim(clause);
    std::size_t free = 0; // up to what has been claimed already
    while (free < clause.size() &&
           !reading.isClaimed(reading.at(clause) + free, reading.at(clause) + free + 1))
        ++free;
    clause = clause.substr(0, free);
    if (re2::RE2::PartialMatch(clause, *seen))
        reading.claim(clause, BindingKind::sign);
}

} // namespace

void findSigns(Reading& reading) {
    static const auto conditional = compiled(
        R"(\b(?:until|till|when|once|so that(?: it| the top)?|or until|ready when|done when) ([^,.;:()]+))");
    const re2::StringPiece whole(reading.text().data(), reading.text().size());
    re2::StringPiece groups[2];
    for (std::size_t from = 0;
         conditional->Match(whole, from, whole.size(), re2::RE2::UNANCHORED, groups, 2);) {
        from = reading.at(groups[1]);
        re2::StringPiece clause = groups[1];
        static const auto next = compiled(R"(\b(?:until|till|when|so that)\b)");
        re2::StringPiece again[1];
        if (next->Match(clause, 0, clause.size(), re2::RE2::UNANCHORED, again, 1))
            clause = clause.substr(0, static_cast<std::size_t>(again[0].data() - clause.data()));
        bindSign(reading, clause);
    }
    static const auto plain = compiled(
        R"(\b(?:edges|juices|sides|skin|top) (curls?|browns?|blisters?|run clear|crisps?)\b)");
    reading.each(*plain, [&](const Groups& g) { reading.claim(g[1], BindingKind::sign); });
    static const auto flesh =
        compiled(R"(\b(?:is|are) (deep gold|golden brown|crisp and golden|browned)\b)");
    reading.each(*flesh, [&](const Groups& g) { reading.claim(g[1], BindingKind::sign); });
}

} // namespace dynamet::recipe_text
