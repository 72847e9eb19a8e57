// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/test_store.h"
#include "kitchen/site.h"

namespace dynamet::book {

/// What a change of a site's air pressure reaches.
struct Reworked {
    std::vector<std::string> reductions; ///< those that stand now, by id
    int checks = 0; ///< of instruments in the boil: a calibration cannot be worked out again
};

/// Changes a site; ratings made there whose result rests on its air pressure are reduced anew at
/// the new height, each new reduction superseding the old one. All of it is one transaction. A test
/// that can no longer be reduced keeps its result.
Result<Reworked> moveSite(Book& book, const kitchen::Site& from, const kitchen::Site& to,
                          const When& when);
/// The site as it is given, with the reworked reductions hidden (a time) or shown again.
Result<void> putSite(Book& book, const kitchen::Site& site, const Reworked& reworked,
                     std::optional<When> when);

/// A check of an instrument and its calibration, in one transaction; and both hidden or shown.
Result<void> addCheck(Book& book, const TestRecord& test, const std::string& instrumentId,
                      const kitchen::Calibration& calibration, const When& when);
Result<void> withdrawCheck(Book& book, const std::string& testId, const std::string& calibrationId,
                           std::optional<When> when);

} // namespace dynamet::book
