// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <optional>
#include <string>

namespace dynamet::formats {

/// A recipe as somebody else wrote it. Text: what goes in, a line each, an empty line, then what is
/// done, a line each; from plain text it is that text.
struct RecipeSource {
    enum class From { plainText, jsonLd, microdata } from = From::plainText;
    std::string name, author, text;
    std::optional<double> cookS; ///< schema.org's cookTime
};

/// Plain text, a schema.org Recipe as JSON-LD, or a page that holds one as JSON-LD or microdata;
/// any coding that `asUtf8` reads. Error::parse with the line for broken JSON, and for a page or
/// a JSON text without a recipe, which says what to do.
Result<RecipeSource> readRecipeSource(const std::string& bytes);

/// "PT1H30M", s; nullopt for another text (ISO 8601, durations of days to seconds).
std::optional<double> isoDurationS(const std::string& text);
std::string isoDuration(double seconds);

/// A recipe as schema.org JSON-LD: its name, author and text, a step for each line of it.
std::string recipeJsonLd(const RecipeSource& recipe);

} // namespace dynamet::formats
