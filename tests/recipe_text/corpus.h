// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe_text/binding.h"

namespace dynamet::recipe_text {

struct CorpusSentence {
    std::string text;
    std::optional<TemperatureUnit> scale;
    std::vector<Binding> bindings;
};

/// The sentences of a file of tests/recipe_text/corpus.
std::vector<CorpusSentence> corpusOf(const std::string& file);
/// Same kind, half of the shorter in common, numbers within 1 %.
bool isRight(const Binding& found, const Binding& wanted);

} // namespace dynamet::recipe_text
