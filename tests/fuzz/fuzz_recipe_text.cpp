// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe's text: what is found stands in it, in order.
#include "fuzz/must.h"
#include "recipe_text/binding.h"

using namespace dynamet;

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string_view text = textOf(data, size);
    std::size_t last = 0;
    for (const recipe_text::Binding& word : recipe_text::bindingsIn(text)) {
        MUST(word.begin >= last && word.begin < word.end && word.end <= text.size());
        MUST(word.text == text.substr(word.begin, word.end - word.begin));
        last = word.end;
    }
    return 0;
}
