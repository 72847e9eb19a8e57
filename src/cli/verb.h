// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"
#include "kitchen/kitchen.h"
#include "quantity/result.h"

#include <string>
#include <vector>

namespace dynamet::cli {

/// What a verb hands back: JSON for --json, text otherwise.
struct Answer {
    std::string json;
    std::string text;
};

struct RateOptions {
    std::string protocol, log, interval, time, unit;
    std::vector<std::string> columns, with, keyed;
    bool noLid = false, fan = false;
};
struct TranslateOptions {
    std::string book, recipe, to = "all", method = "straight";
    int stage = 0; ///< that moves, counted from 1; 0 = the whole cook
    bool fahrenheit = false;
    std::string quick;     ///< a line instead of a recipe
    std::string site, air; ///< of the day at one of the book's places
    std::optional<double> wind, altitude;
};
struct FieldOptions {
    std::string book, appliance, setting, zone;
};
struct FindOptions {
    std::string book, appliance;
    std::vector<std::string> zones, between;
};
struct CoalsOptions {
    std::string book, oven, inside, job = "bake", site, lasts = "1 h";
    double inches = 12;
    bool deep = false, fahrenheit = false, open = false;
    int stacked = 1;
    double chimney = 1;
    std::string layout = "even", age = "0 min";
};
struct RewriteOptions {
    std::string book, text, from, to, scale;
};
struct PlanOptions {
    std::string book, menu, serve, from, day, calendar;
    bool fahrenheit = false;
};
struct WordsOptions {
    std::string text, scale;
};
struct BundleOptions {
    std::string book, file, appliance, recipe;
    bool look = false, theirs = false, ours = false;
};
struct NewBookOptions {
    std::string path, site = "Kitchen";
    double altitude = 0;
};

/// This moment, UTC.
book::When now();
/// The kitchen of a book, which is only read, as it is believed today.
Result<kitchen::Kitchen> kitchenOf(const std::string& bookPath);

// One verb each; docs/formats.md says what they take and give.
Result<Answer> simulate(const std::string& path);
Result<Answer> rate(const RateOptions& options);
Result<Answer> protocols(const std::string& only);
Result<Answer> translate(const TranslateOptions& options);
Result<Answer> field(const FieldOptions& options);
Result<Answer> find(const FindOptions& options);
Result<Answer> card(const TranslateOptions& options);
Result<Answer> coals(const CoalsOptions& options);
Result<Answer> narrow(const TranslateOptions& options);
Result<Answer> rewrite(const RewriteOptions& options);
Result<Answer> plan(const PlanOptions& options);
Result<Answer> words(const WordsOptions& options);
Result<Answer> checkBook(const std::string& path);
Result<Answer> exportBook(const BundleOptions& options);
Result<Answer> takeIn(const BundleOptions& options);
Result<Answer> bookFrom(const BundleOptions& options);
Result<Answer> salvageBook(const BundleOptions& options);
Result<Answer> newBook(const NewBookOptions& options);

} // namespace dynamet::cli
