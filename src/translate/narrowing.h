// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/request.h"

namespace dynamet::translate {

struct Prepared;
struct Row;

/// Something this cook could do that makes a window narrower, with the window after it.
struct Narrowing {
    enum class Way { ruler, calipers, probeStart, rate, logCook } way = Way::calipers;
    std::string applianceId, protocol; ///< of a rating: what and by which test
    kitchen::Setting setting = {};     ///< of it
    std::string zone = {};
    double lookS = 0, latestS = 0; ///< the window after it
    double narrowerS = 0;          ///< by how much that is less wide
    double workS = 0;              ///< how long it takes
    double perWork() const { return narrowerS / workS; }
};
const char* enumName(Narrowing::Way way);

/// What would narrow a row's window, most per minute of work first; what gains nothing is left out.
/// Empty for a row without a window by sensitivities.
std::vector<Narrowing> narrowingsOf(const Prepared& prepared, const Row& row);

/// The test by which an appliance of a kind is usually rated.
std::string usualProtocol(kitchen::ApplianceKind kind);

} // namespace dynamet::translate
