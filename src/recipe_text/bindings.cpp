// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/enum_words.h"
#include "recipe_text/reading.h"

#include <algorithm>

namespace dynamet::recipe_text {
namespace {

constexpr std::array<const char*, 18> kKinds{
    "temperature", "core", "duration", "rest",  "level",  "zone",      "lid",    "cover", "sign",
    "doneness",    "turn", "height",   "coals", "vessel", "thickness", "weight", "count", "start"};

} // namespace

const char* enumName(BindingKind kind) {
    return kKinds[static_cast<std::size_t>(kind)];
}

std::optional<BindingKind> bindingKindOf(const std::string& word) {
    return enumOf<BindingKind>(kKinds, word);
}

std::vector<Binding> bindingsIn(std::string_view text, std::optional<TemperatureUnit> scale) {
    Reading reading(text, scale);
    findTemperatures(reading);
    findHeights(reading);
    findDurations(reading);
    findMeasures(reading);
    findPhrases(reading);
    findBareDegrees(reading);
    findSigns(reading);
    std::vector<Binding> out = std::move(reading.bindings());
    std::sort(out.begin(), out.end(),
              [](const Binding& a, const Binding& b) { return a.begin < b.begin; });
    return out;
}

} // namespace dynamet::recipe_text
