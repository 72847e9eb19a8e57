// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

namespace dynamet::demo {

/// Three logged cooks of the demo's pork loin and a trial of three ovens, each piece cooked by the
/// simulated kitchen's physics with numbers of its own. Exits with the reason where one fails.
void addCooks(book::Book& book);

} // namespace dynamet::demo
