// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/kitchen_store.h"
#include "book/test_store.h"
#include "kitchen/typical.h"
#include "rating/reduce.h"

#include <cmath>
#include <cstdio>
#include <cstdlib>

namespace dynamet::bench {

inline constexpr book::When kWhen{1795176000000, 0};

/// Ends the program where a book cannot be made.
inline void need(const Result<void>& done) {
    if (!done) {
        std::fprintf(stderr, "%s\n", done.error().message.c_str());
        std::abort();
    }
}

/// A kitchen of twelve appliances in a new book.
inline void addKitchen(book::Book& book) {
    kitchen::Site site;
    site.id = site.name = "home";
    need(addSite(book, site, kWhen));
    int n = 0;
    for (const auto kind :
         {kitchen::ApplianceKind::stillOven, kitchen::ApplianceKind::fanOven,
          kitchen::ApplianceKind::airFryer, kitchen::ApplianceKind::countertopOven}) {
        for (int i = 0; i < 3; ++i) {
            kitchen::Appliance a = *kitchen::typicalAppliance(kind);
            a.id = a.name = "appliance " + std::to_string(n++);
            a.siteId = "home";
            need(addAppliance(book, a, kWhen));
        }
    }
}

/// A book of ten years: so many rated tests, each with a log of so many readings.
inline void writeYears(const std::string& path, int tests, int readings) {
    auto book = std::move(book::Book::create(path, kWhen).value());
    addKitchen(book);
    const kitchen::Kitchen kitchen = loadKitchen(book).value();
    book::TestRecord test;
    test.protocol = "preheat";
    test.siteId = "home";
    test.values = {{"set_C", 180}};
    book::RecordedChannel air{"air", "air", "°C", "", {}, {}, 0.1};
    for (int i = 0; i < readings; ++i) {
        air.timeS.push_back(2.0 * i);
        const double swing = 2 * std::sin(i / 40.0);
        air.asRecorded.push_back(std::round((180 - 160 * std::exp(-i / 150.0) + swing) * 10) / 10);
    }
    test.channels.push_back(air);
    const auto reduction = rating::reduce(inputOf(test, {})).value();
    for (int from = 0; from < tests; from += 250)
        need(together(book, [&]() -> Result<void> {
            for (int i = from; i < std::min(from + 250, tests); ++i) {
                const auto& on =
                    kitchen.appliances[static_cast<std::size_t>(i) % kitchen.appliances.size()];
                test.id = "test " + std::to_string(i);
                test.applianceId = on.id;
                test.zone = on.zones.front().name;
                const auto settings = possibleSettings(on.controls, 6);
                test.setting = settingText(on.controls,
                                           settings[static_cast<std::size_t>(i) % settings.size()]);
                test.startedMs = kWhen.utcMs - (tests - i) * std::int64_t{63'000'000};
                if (auto added = addTest(book, test, kWhen); !added)
                    return added;
                if (auto saved = saveReduction(book, test.id, reduction, test.values, "", kWhen);
                    !saved)
                    return tl::unexpected(saved.error());
            }
            return {};
        }));
}

} // namespace dynamet::bench
