// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/rate_sheet.h"
#include "translate/translate.h"

namespace dynamet::words {

/// A page with a table: to print, for a browser, for a spreadsheet.
struct Sheet {
    std::string title;
    std::vector<std::string> lead; ///< lines over the table
    std::vector<std::string> headers;
    std::vector<std::vector<std::string>> rows; ///< as wide as the headers
    std::vector<std::string> notes;             ///< lines under it
};

/// One recipe on all appliances: setting, pull, look, expect, latest, crust, cautions, and whether
/// the heat was measured. What cannot be reached stands with its reason.
Sheet fleetSheet(const translate::Prepared& prepared, const std::vector<translate::Row>& rows,
                 Units units);
/// Every number that was measured in the kitchen and counts today: value and ± (95 %) in SI under
/// the quantity's stable word, temperatures in the reader's unit too, the day, where it comes from.
Sheet ratingsSheet(const kitchen::Kitchen& kitchen, Units units);
/// What an appliance gives at each setting and place, to hang beside it.
Sheet wallSheet(const kitchen::Kitchen& kitchen, const kitchen::Appliance& appliance, Units units);

} // namespace dynamet::words
