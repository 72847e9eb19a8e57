// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <string>
#include <vector>

namespace dynamet::food {

/// One side of a question on which good cooks disagree, with its reason in a line.
struct SchoolChoice {
    std::string id, name, why;
};
struct School {
    std::string id, question;
    std::vector<SchoolChoice> choices; ///< the first is taken where nobody has chosen
};
/// The shipped questions (data/schools.json), in their order.
const std::vector<School>& shippedSchools();

/// A book's sides: school id → choice id. What is missing or unknown means the first choice.
using ChosenSchools = std::map<std::string, std::string>;
const SchoolChoice& chosen(const School& school, const ChosenSchools& sides);
/// By id; asserts that the school exists.
const SchoolChoice& chosen(const std::string& schoolId, const ChosenSchools& sides);

} // namespace dynamet::food
