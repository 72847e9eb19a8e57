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

} // namespace dynamet::recipe_text
