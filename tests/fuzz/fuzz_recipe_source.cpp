// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A recipe as somebody sent it, a page or JSON: what is read has a text, and goes out again.
#include "formats/recipe_source.h"
#include "fuzz/seeds.h"
#include "recipe_text/binding.h"

using namespace dynamet;

std::vector<std::string> fuzz::seeds() {
    return {
        R"~({"@context": "https://schema.org/", "@graph": [{"@type": "WebSite", "name": "A kitchen"},
 {"@type": ["Recipe"], "name": "Baked &amp; browned cod", "author": [{"@type": "Person", "name": "Ada Quill"}], "recipeIngredient": ["2 fillets", "salt"], "cookTime": "PT1H5M",
 "recipeInstructions": [{"@type": "HowToSection", "name": "Fish", "itemListElement": [{"@type": "HowToStep", "text": "<p>Heat to 200&nbsp;°C.</p>"}]}, "Rest 2 minutes."]}]})~",
        R"~(<html><head><script type='application/ld+json'>{"@type": "Recipe", "name": "Loaf", "recipeInstructions": "Bake at 220 °C."}</script></head><body>x</body>)~",
        R"~(<html><body><div itemscope itemtype='https://schema.org/Recipe'><h2 itemprop=name>Flat loaf</h2> by <span itemprop=author>Bo Tern</span><time itemprop=cookTime datetime=PT25M>25 min</time><ul><li itemprop=recipeIngredient>flour<li itemprop=recipeIngredient>water</ul><div itemprop=recipeInstructions><p>Bake at gas&nbsp;7.<p>Cool.</div></div>)~",
        "Roast at 180 °C.\n\n40 minutes; 5 < 6 & more.\n"};
}

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
