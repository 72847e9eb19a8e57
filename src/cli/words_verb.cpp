// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/requests.h"
#include "formats/recipe_source.h"
#include "formats/text_file.h"
#include "quantity/units.h"
#include "words/binding_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {

/// What a recipe's text says, bound. A page or JSON is read for its recipe first; places are those
/// of the text that is handed back with them.
Result<Answer> words(const WordsOptions& options) {
    const auto bytes = formats::readTextFile(options.text);
    if (!bytes)
        return tl::unexpected(bytes.error());
    const auto source = formats::readRecipeSource(*bytes);
    if (!source)
        return tl::unexpected(source.error().in(options.text));
    const auto scale = scaleSaid(options.scale);
    Answer out;
    nlohmann::json json{
        {"format", "dynamet-words"}, {"version", 1}, {"bindings", nlohmann::json::array()}};
    if (source->from != formats::RecipeSource::From::plainText || source->text != *bytes)
        json["text"] = source->text;
    const Units units{scale == TemperatureUnit::fahrenheit, scale == TemperatureUnit::fahrenheit};
    for (const recipe_text::Binding& one : recipe_text::bindingsIn(source->text, scale)) {
        nlohmann::json binding{{"start", one.begin},
                               {"end", one.end},
                               {"text", one.text},
                               {"kind", enumName(one.kind)}};
        if (one.low)
            binding["low"] = *one.low;
        if (one.high)
            binding["high"] = *one.high;
        json["bindings"].push_back(binding);
        out.text += fmt::format("{}{:>5}  {:<12}{}", out.text.empty() ? "" : "\n", one.begin,
                                enumName(one.kind), one.text);
        if (const std::string means = dynamet::words::bindingWords(one, units); !means.empty())
            out.text += "  = " + means;
    }
    if (out.text.empty())
        out.text = "Nothing in it says heat, time or a piece of food.";
    out.json = json.dump(2, ' ', false, nlohmann::json::error_handler_t::replace);
    return out;
}

} // namespace dynamet::cli
