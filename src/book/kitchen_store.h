// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "kitchen/kitchen.h"

namespace dynamet::book {

/// Each adds one thing; its id must be set (newId). The caller sees all or nothing.
Result<bool> addSite(Book& book, const kitchen::Site& site, const When& when);
Result<bool> addInstrument(Book& book, const kitchen::Instrument& instrument, const When& when);
Result<bool> addVessel(Book& book, const kitchen::Vessel& vessel, const When& when);
Result<bool> addInsert(Book& book, const kitchen::Insert& insert, const When& when);
Result<bool> addAppliance(Book& book, const kitchen::Appliance& appliance, const When& when);

/// A calibration that holds from its date on; older tests are not touched by it.
Result<bool> addCalibration(Book& book, const std::string& instrumentId,
                            const kitchen::Calibration& calibration);
/// Undo and redo of adding: set or clear withdrawn_at.
Result<bool> withdrawAppliance(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawInstrument(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawCalibration(Book& book, const std::string& id, std::optional<When> when);

/// Everything that is not withdrawn, with the rated numbers of every appliance, oldest first.
Result<kitchen::Kitchen> loadKitchen(Book& book);

} // namespace dynamet::book
