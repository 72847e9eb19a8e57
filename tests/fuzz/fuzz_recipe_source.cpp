// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe as somebody sent it, a page or JSON: what is read has a text, and goes out again.
#include "formats/recipe_source.h"
#include "fuzz/must.h"
#include "recipe_text/binding.h"

using namespace dynamet;

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto source = formats::readRecipeSource(std::string(textOf(data, size)));
    if (!source)
        return 0;
    MUST(!source->text.empty());
    std::size_t last = 0;
    for (const recipe_text::Binding& one : recipe_text::bindingsIn(source->text)) {
        MUST(one.begin >= last && one.begin < one.end && one.end <= source->text.size());
        last = one.end;
    }
    MUST(formats::recipeJsonLd(*source).find("schema.org") != std::string::npos);
    return 0;
}
