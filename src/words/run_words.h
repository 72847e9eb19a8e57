// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "device/run_log.h"
#include "kitchen/kitchen.h"
#include "quantity/print.h"
#include "rating/inputs/course.h"
#include "rating/uncertainty/reduction.h"
#include "trace/settle_forecast.h"
#include "trace/thinned.h"

namespace dynamet::words {

/// "12:05", "1:12:05" since the start.
std::string clockWords(double seconds);
/// "Big oven, 350 °F, middle: Preheat and wait": what is measured, so that nobody measures at a
/// setting that was not chosen.
std::string measuredWords(const rating::Protocol& protocol, const std::string& applianceId,
                          const std::string& setting, const std::string& zone,
                          const kitchen::Kitchen& kitchen, Units units);
/// A step of a test as it is to be done now, in the reader's units; "Start the log first" and "that
/// is done" where they belong.
std::string stepWords(const rating::Protocol& protocol, std::size_t step, bool running, bool over,
                      Units units);
/// "door opened at 3:12"
std::string markWords(device::Mark mark, double atS);
/// How well a run knows its first result: rough where its ± is more than a third of it (of a
/// temperature: of its rise over a room's), nothing where it is more than all of it.
enum class SoFar { nothing, rough, known };
SoFar soFarOf(const rating::Reduction& reduction);
/// What a run has found so far.
std::string soFarWords(const rating::Reduction& reduction, Units units);
/// "settles in about 6 min (± 2)", "settled", "more time buys nothing".
std::string whenWords(const std::optional<SettleForecast>& settles, bool settled, bool enough,
                      SoFar soFar = SoFar::known);

/// A channel's reading as the reader has it: "182.4 °C" of an instrument is "360.3 °F" to a reader
/// in °F; as finely as the instrument shows it. Weights and power stay as they are shown.
std::string readingWords(const device::ChannelSpec& spec, double value, Units units);

/// A channel that comes close to where it stops measuring, or to what ruins the book's instrument
/// behind it (nullptr: none of the book's); empty while it is far.
std::string limitWords(const device::ChannelSpec& spec, double value,
                       const kitchen::Instrument* instrument, Units units);

/// What a live picture draws, in the reader's unit over minutes: both extremes of every stretch.
struct DrawnPoint {
    double minutes = 0, value = 0;
};
std::vector<DrawnPoint> drawnIn(const Thinned& thinned, const std::string& unit, Units units);

} // namespace dynamet::words
