// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/filled.h"

#include <algorithm>

namespace dynamet::recipe_text {

std::vector<Binding> corrected(std::vector<Binding> bindings, std::string_view text,
                               const std::vector<recipe::Correction>& corrections) {
    for (const recipe::Correction& one : corrections) {
        if (one.text.empty())
            continue;
        std::size_t at = one.begin;
        if (text.substr(std::min(at, text.size()), one.text.size()) != one.text)
            at = text.find(one.text);
        if (at == std::string_view::npos)
            continue;
        const std::size_t end = at + one.text.size();
        std::erase_if(bindings, [&](const Binding& b) { return b.begin < end && at < b.end; });
        const auto kind = bindingKindOf(one.kind);
        if (!kind) // it means nothing
            continue;
        Binding made;
        made.begin = at;
        made.end = end;
        made.kind = *kind;
        made.text = one.text;
        made.low = one.low;
        made.high = one.high ? one.high : one.low;
        bindings.push_back(std::move(made));
    }
    std::sort(bindings.begin(), bindings.end(),
              [](const Binding& a, const Binding& b) { return a.begin < b.begin; });
    return bindings;
}

recipe::Recipe correctedRecipe(const recipe::Recipe& recipe, const recipe::Correction& correction,
                               ReadWith with) {
    with.applianceId = recipe.stages.front().place.applianceId;
    const auto read = [&](const recipe::Recipe& one) {
        with.corrections = one.corrections;
        return recipeFrom(one.name, one.text, with);
    };
    recipe::Recipe out = recipe;
    std::erase_if(out.corrections, [&](const recipe::Correction& one) {
        return one.begin == correction.begin && one.text == correction.text;
    });
    out.corrections.push_back(correction);
    const auto before = read(recipe);
    if (!before || before->recipe.stages != recipe.stages)
        return out;
    if (const auto after = read(out)) {
        out.stages = after->recipe.stages;
        out.goal = after->recipe.goal;
        out.time = after->recipe.time;
    }
    return out;
}

} // namespace dynamet::recipe_text
