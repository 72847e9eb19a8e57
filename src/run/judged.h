// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "evidence/belief.h"
#include "run/forecast.h"

namespace dynamet::run {

/// One taster's judgement of one quality, 1 to 9; what is scored a kitchen says itself.
struct Score {
    std::string taster, quality;
    double points = 0;
    bool operator==(const Score&) const = default;
};

/// What came out, as far as somebody measured or judged it. SI.
struct Judged {
    std::optional<double> coreK, peakK, rawKg, servedKg, rimM;
    std::vector<Score> scores;
    std::string label; ///< of a blind tasting: "A"
    std::string verdict, reason, notes, nextTime;
    std::vector<std::string> photos; ///< SHA-256 of attachments
    bool operator==(const Judged&) const = default;
};
std::string judgedJson(const Judged& judged);
Result<Judged> readJudged(const std::string& json);
/// Mean and spread (standard deviation) of the tasters of one quality; NaN spread of one alone.
struct ScoreSum {
    std::string quality;
    double mean = 0, spread = 0;
    int tasters = 0;
};
std::vector<ScoreSum> sumsOf(const std::vector<Score>& scores);
inline const std::vector<std::string> kUsualQualities = {"crust", "evenness", "tenderness",
                                                         "smoke"};

/// A length in a photo by one beside it that is known, m: ends in pixels. invalidArgument where a
/// known length has none.
struct PhotoPoint {
    double x = 0, y = 0;
};
Result<double> lengthInPhoto(PhotoPoint a, PhotoPoint b, PhotoPoint scaleA, PhotoPoint scaleB,
                             double scaleM);

/// The core as it was pulled, where it was read within three minutes of that; none else.
std::optional<double> coreAtPull(const std::vector<Entry>& entries,
                                 const std::vector<CoreReading>& readings);

/// What a finished cook says of kitchen and food: the time at which its last core was read, beside
/// what was expected of that course before anything was seen.
struct Told {
    double tookS = 0, expectedS = 0; ///< from food in, to `coreK`
    double coreK = 0;
    std::vector<evidence::Block> blocks;
    evidence::Observation observation;
};
/// notFound where no core was read; refused where the course does not come there.
Result<Told> toldBy(const Question& question, const std::string& cookId,
                    const std::stop_token& stop = {});
std::string toldJson(const Told& told);
Result<Told> readTold(const std::string& json);
/// A rating that came later: what the cook said of that field is about the old one, and its alone.
void fieldsAreItsOwn(Told& told, const std::string& heatPrefix, const std::string& cookId);

} // namespace dynamet::run
