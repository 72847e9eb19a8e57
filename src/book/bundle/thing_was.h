// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/bundle/table_shape.h"

#include <nlohmann/json.hpp>
#include <set>

namespace dynamet::book {

/// Of two states of a thing, which went on from which. Every book keeps a digest of each state that
/// it sent or took in; a bundle carries them along. So a state that the other side has had before
/// is the older one, over any number of stations and in any order.
enum class Since {
    both,   ///< each has something the other never saw, or nothing is known of either
    theirs, ///< they went on from ours
    ours    ///< we went on from theirs
};

using Digests = std::set<std::string>;

/// The name under which a bundle carries the earlier states of a thing, as an array of digests.
inline constexpr const char* kWasBefore = "was_before";

/// Digest of a thing as it stands in a bundle, without what it was before.
std::string digestOfThing(const nlohmann::json& entity);
/// What this book knows of a thing's earlier states.
Digests statesOf(SQLite::Database& db, const std::string& table, const std::string& id);
void addStates(SQLite::Database& db, const std::string& table, const std::string& id,
               const Digests& states);
/// Takes the earlier states out of a thing of a bundle; corruptData where they are no digests.
Digests takeStates(const TableShape& shape, nlohmann::json& entity);

Since sinceWhom(const std::string& ours, const Digests& oursWas, const std::string& theirs,
                const Digests& theirsWas);

} // namespace dynamet::book
