// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/recipe_source.h"

#include "formats/html_page.h"
#include "formats/text_file.h"

#include <cmath>
#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <re2/re2.h>

namespace dynamet::formats {
namespace {

using nlohmann::json;

/// Deeper than anybody nests a recipe; what is deeper is not looked at.
constexpr int kDeepest = 24;

std::string textOf(const json& value, int depth = 0);

/// An author, an ingredient or a step: a text, something with a name, or a list of them.
std::string firstOf(const json& value, std::initializer_list<const char*> keys, int depth) {
    for (const char* key : keys)
        if (value.contains(key))
            if (std::string out = textOf(value[key], depth + 1); !out.empty())
                return out;
    return {};
}

std::string textOf(const json& value, int depth) {
    if (depth > kDeepest)
        return {};
    if (value.is_string())
        return plainWords(value.get<std::string>());
    if (value.is_array()) {
        std::string out;
        for (const json& one : value)
            if (const std::string part = textOf(one, depth + 1); !part.empty())
                out += (out.empty() ? "" : ", ") + part;
        return out;
    }
    return value.is_object() ? firstOf(value, {"name", "text", "@value"}, depth) : std::string();
}

void addLines(std::string& out, const json& value, int depth = 0) {
    if (depth > kDeepest)
        return;
    if (value.is_array()) {
        for (const json& one : value)
            addLines(out, one, depth + 1);
        return;
    }
    if (value.is_object() && value.contains("itemListElement")) {
        if (const std::string head = firstOf(value, {"name"}, depth); !head.empty())
            out += head + ":\n";
        addLines(out, value["itemListElement"], depth + 1);
        return;
    }
    const std::string line =
        value.is_object() ? firstOf(value, {"text", "name"}, depth) : textOf(value, depth);
    if (!line.empty())
        out += line + "\n";
}

bool isRecipe(const json& value) {
    if (!value.is_object() || !value.contains("@type"))
        return false;
    const json& type = value["@type"];
    const auto named = [](const json& one) {
        return one.is_string() && (one == "Recipe" || one.get<std::string>().ends_with("/Recipe"));
    };
    if (type.is_array())
        return std::any_of(type.begin(), type.end(), named);
    return named(type);
}

const json* findRecipe(const json& value, int depth = 0) {
    if (depth > kDeepest)
        return nullptr;
    if (isRecipe(value))
        return &value;
    if (value.is_structured())
        for (const json& one : value)
            if (const json* found = findRecipe(one, depth + 1))
                return found;
    return nullptr;
}

std::string withoutLast(std::string text) {
    while (!text.empty() && text.back() == '\n')
        text.pop_back();
    return text;
}

RecipeSource sourceOf(const json& recipe) {
    RecipeSource out;
    out.from = RecipeSource::From::jsonLd;
    const auto field = [&](const char* key) { return recipe.contains(key) ? recipe[key] : json(); };
    out.name = textOf(field("name"));
    out.author = textOf(field("author"));
    std::string goesIn;
    addLines(goesIn, recipe.contains("recipeIngredient") ? recipe["recipeIngredient"]
                                                         : field("ingredients"));
    std::string done;
    addLines(done, field("recipeInstructions"));
    out.text = withoutLast(goesIn + (goesIn.empty() || done.empty() ? "" : "\n") + done);
    if (field("cookTime").is_string())
        out.cookS = isoDurationS(field("cookTime").get<std::string>());
    return out;
}

Result<json> parsed(const std::string& text) {
    try {
        return json::parse(text);
    } catch (const json::exception& error) {
        int line = 1;
        if (const auto* at = dynamic_cast<const json::parse_error*>(&error))
            for (std::size_t i = 0; i + 1 < at->byte && i < text.size(); ++i)
                line += text[i] == '\n';
        return fail(Errc::parse, "this is not JSON: " + std::string(error.what()), line);
    }
}

Result<RecipeSource> fromJson(const std::string& text) {
    const auto root = parsed(text);
    if (!root)
        return tl::unexpected(root.error());
    const json* recipe = findRecipe(*root);
    if (!recipe)
        return fail(Errc::parse, "there is no schema.org Recipe in this JSON: paste the recipe's "
                                 "words instead");
    RecipeSource out = sourceOf(*recipe);
    if (out.text.empty())
        return fail(Errc::parse, fmt::format("the recipe \"{}\" says nothing of what is done: "
                                             "paste its words instead",
                                             out.name));
    return out;
}

Result<RecipeSource> fromPage(const std::string& page) {
    const HtmlRecipe found = recipeInPage(page);
    for (const std::string& script : found.jsonLd)
        if (auto out = fromJson(script))
            return out;
    if (!found.microdata)
        return fail(Errc::parse,
                    "this page holds no schema.org Recipe, neither as JSON-LD nor as microdata: "
                    "paste the recipe's words instead");
    RecipeSource out;
    out.from = RecipeSource::From::microdata;
    out.name = found.name;
    out.author = found.author;
    out.text = withoutLast(found.ingredients +
                           (found.ingredients.empty() || found.instructions.empty() ? "" : "\n") +
                           found.instructions);
    out.cookS = isoDurationS(found.cookTime);
    if (out.text.empty())
        return fail(Errc::parse, "the page's recipe says nothing of what is done: paste its words "
                                 "instead");
    return out;
}

} // namespace

Result<RecipeSource> readRecipeSource(const std::string& bytes) {
    const std::string text = asUtf8(bytes);
    const auto first = text.find_first_not_of(" \t\r\n");
    if (first == std::string::npos)
        return fail(Errc::parse, "there is no text in it");
    if (text[first] == '{' || (text[first] == '[' && text.find("\"@type\"") != std::string::npos))
        return fromJson(text);
    static const re2::RE2 page(R"((?i)<(?:!doctype html|html|body|script|div|article|section)\b)");
    if (re2::RE2::PartialMatch(text, page))
        return fromPage(text);
    RecipeSource out;
    out.text = text;
    return out;
}

std::optional<double> isoDurationS(const std::string& text) {
    static const re2::RE2 pattern(
        R"(P(?:(\d{1,6})D)?(?:T(?:(\d{1,6}(?:\.\d{1,6})?)H)?(?:(\d{1,6}(?:\.\d{1,6})?)M)?(?:(\d{1,6}(?:\.\d{1,6})?)S)?)?)");
    std::string days, hours, minutes, seconds;
    if (!re2::RE2::FullMatch(text, pattern, &days, &hours, &minutes, &seconds))
        return std::nullopt;
    const auto number = [](const std::string& t) { return t.empty() ? 0 : std::stod(t); };
    const double out =
        86400 * number(days) + 3600 * number(hours) + 60 * number(minutes) + number(seconds);
    return out > 0 && std::isfinite(out) ? std::optional(out) : std::nullopt;
}

std::string isoDuration(double seconds) {
    const auto s = static_cast<long>(std::lround(seconds));
    std::string out = "PT";
    if (s >= 3600)
        out += fmt::format("{}H", s / 3600);
    if (s % 3600 >= 60)
        out += fmt::format("{}M", s % 3600 / 60);
    if (s % 60 > 0 || s == 0)
        out += fmt::format("{}S", s % 60);
    return out;
}

std::string recipeJsonLd(const RecipeSource& recipe) {
    json out{{"@context", "https://schema.org"},
             {"@type", "Recipe"},
             {"name", recipe.name},
             {"recipeInstructions", json::array()}};
    if (!recipe.author.empty())
        out["author"] = {{"@type", "Person"}, {"name", recipe.author}};
    if (recipe.cookS)
        out["cookTime"] = isoDuration(*recipe.cookS);
    for (std::size_t from = 0; from < recipe.text.size();) {
        const auto end = std::min(recipe.text.find('\n', from), recipe.text.size());
        if (end > from)
            out["recipeInstructions"].push_back(
                {{"@type", "HowToStep"}, {"text", recipe.text.substr(from, end - from)}});
        from = end + 1;
    }
    return out.dump(2, ' ', false, json::error_handler_t::replace);
}

} // namespace dynamet::formats
