// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/units.h"

#include <map>
#include <string>
#include <string_view>
#include <vector>

namespace dynamet::rating {

/// A guide page taken apart: "# title", a line "Finds ….", then sections of paragraphs or lists.
struct GuideText {
    std::string title;
    std::string finds; ///< without the word "Finds" and the full stop
    std::map<std::string, std::vector<std::string>> sections; ///< lines, without list marks

    /// A section's lines joined; empty when it is missing.
    std::string paragraph(const std::string& section) const;
    std::vector<std::string> items(const std::string& section) const;
};
GuideText readGuide(const std::string& markdown);
/// The guide's "85 °C", "30 to 80 °C" (points) and "20 K" (differences) in the reader's units.
std::string inReaderUnits(const std::string& text, Units units);
/// A page out of many in one text, each behind a record separator and a line with its name
/// (cmake/embed.cmake); empty when it is not there.
std::string pageIn(std::string_view all, const std::string& name);
/// All of them, by name.
struct GuidePage {
    std::string name, text;
};
std::vector<GuidePage> pagesIn(std::string_view all);
/// The pages of the protocols, their names as "protocols/block".
std::vector<GuidePage> protocolPages();
/// Pages that hold every word (as it begins, whatever its case), those with most of them first.
std::vector<GuidePage> pagesAbout(std::vector<GuidePage> pages, const std::string& words);

} // namespace dynamet::rating
