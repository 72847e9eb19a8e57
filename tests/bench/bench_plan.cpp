// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Schedules: how soon there is a plan, the best one after two seconds of search, and what no plan
// can cost less than, for 3 to 20 dishes on 8 appliances, a cook for every six. Run: bench_plan
// [SEEDS]
#include "plan/random_menu.h"
#include "plan/schedule.h"

#include <chrono>
#include <cstdlib>
#include <fmt/format.h>

int main(int argc, char** argv) {
    using namespace dynamet;
    using Clock = std::chrono::steady_clock;
    const unsigned seeds = argc > 1 ? static_cast<unsigned>(std::atoi(argv[1])) : 5;
    fmt::print("{:>6} {:>5} {:>9} {:>9} {:>8} {:>8} {:>8} {:>7} {:>9}\n", "dishes", "seed",
               "first s", "first", "2 s", "best", "bound", "best s", "");
    for (const int dishes : {3, 5, 8, 12, 16, 20})
        for (unsigned seed = 1; seed <= seeds; ++seed) {
            const auto problem = tests::randomMenu(seed, dishes, 8, 1 + dishes / 6, 40, true);
            const auto begun = Clock::now();
            const auto since = [&] {
                return std::chrono::duration<double>(Clock::now() - begun).count();
            };
            double firstS = 0, bestS = 0;
            int first = 0, afterTwo = 0;
            const auto found = plan::solve(problem, {}, {}, [&](const plan::Plan& better) {
                bestS = since();
                if (firstS == 0) {
                    firstS = bestS;
                    first = better.cost;
                }
                if (bestS < 2)
                    afterTwo = better.cost;
            });
            if (!found.plan) {
                fmt::print("{:>6} {:>5} {:>9.3f} no plan{}\n", dishes, seed, since(),
                           found.proved ? ", proved" : " was found");
                continue;
            }
            fmt::print("{:>6} {:>5} {:>9.3f} {:>9} {:>8} {:>8} {:>8} {:>7.2f} {:>9}\n", dishes,
                       seed, firstS, first, afterTwo, found.plan->cost, found.bound, bestS,
                       found.proved ? "proved" : "");
        }
    // Where the least cost is known exactly: kitchens of four dishes, proved one by one.
    fmt::print("\nknown bound\n{:>6} {:>5} {:>9} {:>8} {:>8} {:>8} {:>7}\n", "dishes", "seed",
               "first s", "2 s", "best", "least", "over %");
    for (const int kitchens : {2, 3, 4, 5})
        for (unsigned seed = 1; seed <= 2 * seeds; ++seed) {
            const std::vector<int> dishes(static_cast<std::size_t>(kitchens), 4);
            std::vector<int> places(dishes.size(), 3);
            places.back() = 2;
            const auto joined = tests::joinedKitchens(seed, dishes, places);
            plan::Effort patient;
            patient.proofFailures = 200000;
            int least = 0;
            bool proved = true;
            for (const plan::Problem& part : joined.parts) {
                const auto alone = plan::solve(part, patient);
                proved = proved && alone.plan && alone.proved;
                least += alone.plan ? alone.plan->cost : 0;
            }
            if (!proved)
                continue;
            const auto begun = Clock::now();
            double firstS = 0;
            int afterTwo = 0;
            const auto found = plan::solve(joined.whole, {}, {}, [&](const plan::Plan& better) {
                const double s = std::chrono::duration<double>(Clock::now() - begun).count();
                firstS = firstS == 0 ? s : firstS;
                afterTwo = s < 2 ? better.cost : afterTwo;
            });
            if (found.plan)
                fmt::print("{:>6} {:>5} {:>9.3f} {:>8} {:>8} {:>8} {:>7.1f}\n", 4 * kitchens, seed,
                           firstS, afterTwo, found.plan->cost, least,
                           least > 0 ? 100.0 * (afterTwo - least) / least : 0.0);
        }
    return 0;
}
