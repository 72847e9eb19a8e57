// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <iosfwd>
#include <set>
#include <vector>

namespace dynamet::book {

/// A thing of a book: its table and id.
struct ThingRef {
    std::string table, id;
    auto operator<=>(const ThingRef&) const = default;
};

/// Writes all of a book as one open JSON text (docs/formats.md, "Bundle"): things in the order of
/// their tables and ids, so that a book that was read from it writes the same bytes again. A book
/// that can be written remembers what it sent (thing_was.h).
Result<void> writeBundle(Book& book, std::ostream& out);
/// The same with some things alone and what they need: an appliance brings its place, tests and
/// ratings, a recipe its appliances, whatever is named by its id comes along.
Result<void> writePart(Book& book, const std::set<ThingRef>& things, std::ostream& out);

/// A thing that both books have, and not alike, and ours is not the newer one.
struct BundleConflict {
    ThingRef thing;
    std::string name;                 ///< as a cook calls it
    std::vector<std::string> differs; ///< columns, and tables of rows inside
    std::string ours, theirs;         ///< of the first that differs, shortened
    bool onlyTheirs = false;          ///< they went on from what ours still is
};
/// What taking a bundle in does.
struct BundleChanges {
    std::vector<std::pair<ThingRef, std::string>> added; ///< with their names
    std::vector<BundleConflict> conflicts;
    std::size_t same = 0;
    std::size_t newerHere = 0; ///< ours went on from what theirs still is: it stays
};

/// What a bundle would change; nothing is written. Errors name table, row and column; a bundle of a
/// newer program is refused.
Result<BundleChanges> changesIn(Book& book, std::istream& bundle);
/// Takes it in as one transaction: what is new is added; of what differs those in `theirs` are
/// taken and the others stay ours, or, where nobody chose, those that only they changed are taken.
/// The book's own settings (schools, scales) count as things.
Result<BundleChanges> takeIn(Book& book, std::istream& bundle,
                             const std::optional<std::set<ThingRef>>& theirs = std::nullopt);
/// Makes a new book that is as the one that was written; io when the file exists.
Result<void> bookFromBundle(const std::string& path, std::istream& bundle);

} // namespace dynamet::book
