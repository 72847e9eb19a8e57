// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <CLI/CLI.hpp>
#include <functional>
#include <nlohmann/json.hpp>
#include <string>

namespace dynamet::cli {

/// What a verb hands back: JSON for --json, text otherwise.
struct Answer {
    nlohmann::json json;
    std::string text;
};
using Run = std::function<Result<Answer>()>;

/// Adds a verb to the program; `run` is set when it was called.
void addSimulate(CLI::App& app, Run& run);
void addRate(CLI::App& app, Run& run);
void addTranslate(CLI::App& app, Run& run);
void addField(CLI::App& app, Run& run);
void addBook(CLI::App& app, Run& run);

} // namespace dynamet::cli
