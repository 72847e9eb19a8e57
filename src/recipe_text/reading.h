// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe_text/binding.h"

#include <functional>
#include <memory>
#include <re2/re2.h>

namespace dynamet::recipe_text {

/// A match: its whole and its groups, as stretches of the text; an empty `data` is no group.
using Groups = std::vector<re2::StringPiece>;

/// A compiled pattern that ignores letter case. RE2 takes linear time whatever is pasted.
std::unique_ptr<re2::RE2> compiled(const std::string& pattern);

/// A text while it is read: finders claim stretches of it, those that come first win.
class Reading {
  public:
    Reading(std::string_view text, std::optional<TemperatureUnit> scale);

    /// Calls `found` for every match none of which is claimed yet, from left to right.
    void each(const re2::RE2& pattern, const std::function<void(const Groups&)>& found) const;
    std::size_t at(re2::StringPiece piece) const;
    /// Binds a stretch; nothing where it is empty or claimed.
    Binding* claim(re2::StringPiece piece, BindingKind kind, std::optional<double> low = {},
                   std::optional<double> high = {});
    /// Takes a stretch out of the reading without a binding.
    void pass(re2::StringPiece piece);
    bool isClaimed(std::size_t begin, std::size_t end) const;

    /// The part of the sentence before and behind a place, in small letters, and the clause's.
    std::string before(std::size_t place) const;
    std::string behind(std::size_t place) const;
    std::string clauseBefore(std::size_t place) const;
    std::string clauseBehind(std::size_t place) const;
    /// Where the sentence of a place begins and ends.
    std::pair<std::size_t, std::size_t> sentenceOf(std::size_t place) const;

    std::string_view text() const { return text_; }
    std::optional<TemperatureUnit> scale() const { return scale_; }
    std::vector<Binding>& bindings() { return bindings_; }

  private:
    std::string part(std::size_t begin, std::size_t end) const;
    std::string_view text_;
    std::optional<TemperatureUnit> scale_;
    std::vector<bool> claimed_;
    std::vector<std::size_t> sentences_; ///< where each ends
    std::vector<Binding> bindings_;
};

/// `text` holds `pattern`.
bool holds(const std::string& text, const re2::RE2& pattern);

// The finders, in the order in which they are asked.
void findTemperatures(Reading& reading);
void findHeights(Reading& reading);
void findDurations(Reading& reading);
void findMeasures(Reading& reading);
void findPhrases(Reading& reading);
void findSigns(Reading& reading);
/// Numbers of degrees that stand without a scale.
void findBareDegrees(Reading& reading);

} // namespace dynamet::recipe_text
