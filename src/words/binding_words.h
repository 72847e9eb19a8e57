// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/units.h"
#include "recipe_text/binding.h"

namespace dynamet::words {

/// "heat", "core of the food", "time"…: what a cook calls a kind.
const char* kindWords(recipe_text::BindingKind kind);
/// What was understood of a stretch of text, in the reader's units: "180–190 °C", "20 min for each
/// 500 g"; empty where its words say no number.
std::string bindingWords(const recipe_text::Binding& binding, Units units);

} // namespace dynamet::words
