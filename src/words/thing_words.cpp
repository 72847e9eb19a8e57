// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "words/thing_words.h"

#include <algorithm>
#include <array>
#include <fmt/format.h>

namespace dynamet::words {
namespace {

struct Thing {
    const char* table;
    const char* one;
    const char* many;
};
constexpr std::array<Thing, 17> kThings{
    {{"site", "place", "places"},
     {"instrument", "instrument", "instruments"},
     {"calibration", "instrument's check", "instruments' checks"},
     {"vessel", "pan", "pans"},
     {"insert_part", "insert", "inserts"},
     {"appliance", "appliance", "appliances"},
     {"test", "test", "tests"},
     {"reduction", "test's result", "tests' results"},
     {"recipe", "recipe", "recipes"},
     {"translation", "kept translation", "kept translations"},
     {"menu", "menu", "menus"},
     {"trial", "trial", "trials"},
     {"cook_run", "run", "runs"},
     {"cook", "cook", "cooks"},
     {"attachment", "picture", "pictures"},
     {"event", "entry", "entries"},
     {"book_info", "setting of the book", "settings of the book"}}};

const Thing* find(const std::string& table) {
    const auto at = std::find_if(kThings.begin(), kThings.end(),
                                 [&](const Thing& one) { return table == one.table; });
    return at == kThings.end() ? nullptr : &*at;
}

} // namespace

std::string thingsWords(const std::string& table, std::size_t count) {
    const Thing* thing = find(table);
    return fmt::format("{} {}", count,
                       !thing       ? table.c_str()
                       : count == 1 ? thing->one
                                    : thing->many);
}

std::string thingWord(const std::string& table) {
    const Thing* thing = find(table);
    return thing ? thing->one : table;
}

std::string columnWord(const std::string& column) {
    static constexpr std::array<std::pair<const char*, const char*>, 12> kWords{
        {{"withdrawn_at_ms", "taken away or not"},
         {"recipe_json", "the recipe"},
         {"menu_json", "the menu"},
         {"judged_json", "what came out"},
         {"told_json", "what was learned"},
         {"control", "its dials"},
         {"zone", "its places for food"},
         {"cook_entry", "what was noted"},
         {"cook_reading", "its readings"},
         {"altitude_m", "altitude"},
         {"site_id", "where it stands"},
         {"rated_input_w", "its power"}}};
    for (const auto& [known, says] : kWords)
        if (column == known)
            return says;
    std::string out = column;
    std::replace(out.begin(), out.end(), '_', ' ');
    return out;
}

} // namespace dynamet::words
