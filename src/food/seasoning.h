// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <vector>

namespace dynamet::food {

/// What is on the food and can burn before the food does. Scorches when its own index, the
/// browning index times `factor`, passes 3; one that rides proud of the face takes a plate's
/// temperature rather than the food's. From data/seasonings.json (from memory, to a factor of 2).
struct Seasoning {
    std::string id, name;
    double factor = 1;
    bool ridesProud = false;
};
const std::vector<Seasoning>& shippedSeasonings();
std::optional<Seasoning> findSeasoning(const std::string& id);
inline constexpr double kScorchIndex = 3;

/// A fat to fry in and where it begins to smoke (varies by refining and age).
struct CookingFat {
    std::string id, name;
    double smokeK = 0, uK = 10;
};
const std::vector<CookingFat>& shippedFats();
std::optional<CookingFat> findFat(const std::string& id);

} // namespace dynamet::food
