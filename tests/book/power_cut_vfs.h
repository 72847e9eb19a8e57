// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>

/// A file system of SQLite's in which the power can go: what was written is seen by the program at
/// once, and reaches the disk with the next sync only. It is the default one while it is on.
namespace power_cut {

/// From now on files are opened through it; after so many writes the power goes: nothing is written
/// any more, what was not synced is lost. 0 = it never does.
void on(std::size_t afterWrites);
/// Back to the machine's own. What was not synced is gone.
void off();
/// Writes so far, and whether the power has gone.
std::size_t writes();
bool gone();

} // namespace power_cut
