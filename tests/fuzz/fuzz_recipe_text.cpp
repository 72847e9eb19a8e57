// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe's text: what is found stands in it, in order.
#include "fuzz/seeds.h"
#include "recipe_text/binding.h"

using namespace dynamet;

namespace {

/// The sentence without the marks of what it means.
std::string bare(std::string line) {
    for (std::size_t at = 0; (at = line.find('[', at)) != std::string::npos;) {
        const std::size_t bar = line.find('|', at), end = line.find(']', at);
        if (bar == std::string::npos || end == std::string::npos || bar > end)
            break;
        line.erase(end, 1).erase(at, bar + 1 - at);
    }
    return line;
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    std::vector<std::string> out;
    for (const std::string& line : linesOf("recipe_text/corpus/open.txt"))
        out.push_back(bare(line));
    return out;
}

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
