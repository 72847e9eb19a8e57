// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "kitchen/kitchen.h"

namespace dynamet::book {

/// Each adds one thing; its id must be set (newId). The caller sees all or nothing.
Result<void> addSite(Book& book, const kitchen::Site& site, const When& when);
Result<void> addInstrument(Book& book, const kitchen::Instrument& instrument, const When& when);
Result<void> addVessel(Book& book, const kitchen::Vessel& vessel, const When& when);
Result<void> addInsert(Book& book, const kitchen::Insert& insert, const When& when);
Result<void> addAppliance(Book& book, const kitchen::Appliance& appliance, const When& when);

/// Each puts a thing in place of what it was; its id stays.
Result<void> changeSite(Book& book, const kitchen::Site& site);
Result<void> changeInstrument(Book& book, const kitchen::Instrument& instrument);
Result<void> changeVessel(Book& book, const kitchen::Vessel& vessel);
Result<void> changeInsert(Book& book, const kitchen::Insert& insert);
/// refused when a test or a recipe rests on a setting or a zone that it would no longer have.
Result<void> changeAppliance(Book& book, const kitchen::Appliance& appliance);

/// A calibration that holds from its date on; older tests are not touched by it.
Result<void> addCalibration(Book& book, const std::string& instrumentId,
                            const kitchen::Calibration& calibration);
/// Retiring (a time) and bringing back (nullopt); also undo and redo of adding. Nothing is deleted.
Result<void> withdrawSite(Book& book, const std::string& id, std::optional<When> when);
Result<void> withdrawInstrument(Book& book, const std::string& id, std::optional<When> when);
Result<void> withdrawVessel(Book& book, const std::string& id, std::optional<When> when);
Result<void> withdrawInsert(Book& book, const std::string& id, std::optional<When> when);
Result<void> withdrawAppliance(Book& book, const std::string& id, std::optional<When> when);
Result<void> withdrawCalibration(Book& book, const std::string& id, std::optional<When> when);

/// Everything that is not withdrawn, with the newest rated numbers of every place, oldest first.
Result<kitchen::Kitchen> loadKitchen(Book& book);
/// The same as it is believed at a moment: ratings grow less certain with age (`kitchen::aged`).
Result<kitchen::Kitchen> loadKitchenAt(Book& book, std::int64_t utcMs);
/// What was retired, without rated numbers.
Result<kitchen::Kitchen> loadRetired(Book& book);

} // namespace dynamet::book
