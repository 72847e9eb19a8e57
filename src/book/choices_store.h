// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "evidence/belief.h"
#include "food/doneness.h"
#include "food/schools.h"

namespace dynamet::book {

/// What a book has chosen once for all its recipes: its side in each school, and doneness scales of
/// its own (they replace or follow the shipped ones).
struct Choices {
    food::ChosenSchools schools;
    std::vector<food::DonenessScale> scales;
    /// What its accepted cooks have shown; not chosen, and not kept with the choices.
    evidence::Belief learned = {};
    bool operator==(const Choices& o) const { return schools == o.schools && scales == o.scales; }
};
Result<Choices> loadChoices(Book& book);
Result<void> keepChoices(Book& book, const Choices& choices);

} // namespace dynamet::book
