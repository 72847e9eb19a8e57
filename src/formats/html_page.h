// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

namespace dynamet::formats {

/// What a page says of a schema.org Recipe: its JSON-LD scripts, and the first item of that type
/// in its microdata; ingredients and instructions a line each.
struct HtmlRecipe {
    std::vector<std::string> jsonLd;
    bool microdata = false;
    std::string name, author, ingredients, instructions, cookTime;
};

/// Reads a page as browsers do, forgiving what is broken.
HtmlRecipe recipeInPage(const std::string& utf8);

/// The words of a text that may hold tags and entities, on one line.
std::string plainWords(const std::string& utf8);

} // namespace dynamet::formats
