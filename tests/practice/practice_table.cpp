// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Facts of the trade (common practice, no source) beside what the model predicts. Run alone it
// prints the table that docs/physics.md sums up.
#include "practice/practice_case.h"

#include <cmath>
#include <cstdio>
#include <fstream>
#include <gtest/gtest.h>

namespace {

nlohmann::json assumptions() {
    std::ifstream in(PRACTICE_ASSUMPTIONS);
    return nlohmann::json::parse(in);
}

TEST(PracticeTable, FourFactsInFiveLieWithinTheirOwnSpread) {
    const auto table = assumptions();
    int facts = 0, inside = 0;
    std::printf("| fact | practice says | spread | predicted | difference | "
                "|\n|---|---|---|---|---|---|\n");
    for (const auto& fact : table.at("facts")) {
        const double p = practice::predicted(fact);
        const double wanted = fact.at("wanted"), low = fact.at("low"), high = fact.at("high");
        // A time with no spread of its own may miss by 15 %, a narrow one too.
        const bool minutes = fact.at("unit") == "min";
        const double least = minutes ? std::min(low, 0.85 * wanted) : low;
        const double most = minutes ? std::max(high, 1.15 * wanted) : high;
        const bool fits = p >= least && p <= most;
        ++facts;
        inside += fits;
        std::printf("| %s | %.3g %s | %.3g to %.3g | %.3g | %+.3g | %s |\n",
                    fact.at("says").get<std::string>().c_str(), wanted,
                    fact.at("unit").get<std::string>().c_str(), least, most, p, p - wanted,
                    fits ? "fits" : "MISSES");
    }
    std::printf("%d of %d facts lie within their spread.\n", inside, facts);
    EXPECT_GE(facts, 30);
    EXPECT_GE(inside, 0.8 * facts);
}

} // namespace
