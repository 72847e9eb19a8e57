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

/// Each puts a thing in place of what it was; its id stays.
Result<bool> changeSite(Book& book, const kitchen::Site& site);
Result<bool> changeInstrument(Book& book, const kitchen::Instrument& instrument);
Result<bool> changeVessel(Book& book, const kitchen::Vessel& vessel);
Result<bool> changeInsert(Book& book, const kitchen::Insert& insert);
/// refused when a test or a recipe rests on a setting or a zone that it would no longer have.
Result<bool> changeAppliance(Book& book, const kitchen::Appliance& appliance);

/// A calibration that holds from its date on; older tests are not touched by it.
Result<bool> addCalibration(Book& book, const std::string& instrumentId,
                            const kitchen::Calibration& calibration);
/// Retiring (a time) and bringing back (nullopt); also undo and redo of adding. Nothing is deleted.
Result<bool> withdrawSite(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawInstrument(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawVessel(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawInsert(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawAppliance(Book& book, const std::string& id, std::optional<When> when);
Result<bool> withdrawCalibration(Book& book, const std::string& id, std::optional<When> when);

/// Everything that is not withdrawn, with the rated numbers of every appliance, oldest first.
Result<kitchen::Kitchen> loadKitchen(Book& book);
/// What was retired, without rated numbers.
Result<kitchen::Kitchen> loadRetired(Book& book);

} // namespace dynamet::book
