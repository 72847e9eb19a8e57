// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "cli/verb.h"
#include "formats/recipe_source.h"
#include "translate/translate.h"

namespace dynamet::cli {

/// What is translated: a recipe of the book or a line, on the day that was typed.
Result<translate::Request> requestFor(const TranslateOptions& options);

/// The rows of one appliance, the best first, and what they were made from.
struct RowsOf {
    translate::Prepared prepared;
    std::vector<translate::Row> rows;
};
Result<RowsOf> rowsOn(const translate::Request& request, const std::string& appliance);

/// A recipe's text from a file, of `words` and `rewrite`; errors name the file.
Result<formats::RecipeSource> sourceAt(const std::string& path);
/// "C", "F" or nothing.
std::optional<TemperatureUnit> scaleSaid(const std::string& option);

} // namespace dynamet::cli
