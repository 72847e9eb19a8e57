// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// How wide windows are over the demo's rated appliances: with nothing, with a recipe's own time,
// after four logged cooks, with calipers and a probed start too.
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "translate/translate.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace dynamet::translate {
namespace {

struct Widths {
    std::vector<double> half; ///< relative, of 95 %
    double median() {
        std::sort(half.begin(), half.end());
        return half[half.size() / 2];
    }
};

/// Four cooks of the row's food there, of pieces known as this one, each as it was expected.
double afterFourCooks(const Window& window) {
    std::vector<evidence::Observation> logged;
    for (int i = 1; i <= 4; ++i) {
        evidence::Observation one{"cook " + std::to_string(i), "", window.effects,
                                  window.belief.mean(window.effects), 0.01};
        for (evidence::Effect& effect : one.effects)
            if (effect.unknown.ends_with(":this"))
                effect.unknown += " " + std::to_string(i);
        logged.push_back(one);
    }
    return std::sqrt(window.belief.with({}, logged).variance(window.effects));
}

TEST(Widths, NarrowWithWhatIsKnown) {
    auto book = book::Book::openForReading(DEMO_BOOK);
    ASSERT_TRUE(book) << book.error().message;
    const auto kitchen = loadKitchen(*book);
    const auto recipes = loadRecipes(*book, *kitchen);
    Widths nothing, time, cooks, tools;
    for (recipe::Recipe recipe : *recipes) {
        if (recipe.endsByClock() || recipe.stages.size() > 1)
            continue;
        recipe.piece.thicknessBy = recipe::KnownBy::ruler;
        recipe.time = {};
        auto request = requestOf(recipe, *kitchen, book::Choices{});
        const auto plain = prepare(request);
        ASSERT_TRUE(plain) << plain.error().message;
        request.recipe.time = {plain->outcome.pullS, plain->outcome.pullS};
        const auto timed = prepare(request);
        request.recipe.piece.thicknessBy = recipe::KnownBy::calipers;
        request.recipe.piece.startProbed = true;
        const auto measured = prepare(request);
        ASSERT_TRUE(timed && measured);
        for (const Target& target : plain->targets) {
            if (!kitchen->rated.contains(target.applianceId))
                continue;
            Row row = solveRow(*plain, target);
            if (!row.reached || !row.instruction.byProbe)
                continue;
            const auto with = [&](const Prepared& prepared) {
                Row same = row;
                addWindow(prepared, same);
                return same.window;
            };
            const auto a = with(*plain), b = with(*timed), c = with(*measured);
            if (!a || !b || !c || b->effects.empty() || c->effects.empty())
                continue;
            nothing.half.push_back(1.96 * a->lnSd);
            time.half.push_back(1.96 * b->lnSd);
            cooks.half.push_back(1.96 * afterFourCooks(*b));
            tools.half.push_back(1.96 * afterFourCooks(*c));
        }
    }
    ASSERT_GE(nothing.half.size(), 12u);
    std::printf("%zu rows; median half-width, %%:\n", nothing.half.size());
    for (const auto& [says, widths] : {std::pair{"with nothing", &nothing},
                                       {"with the recipe's time", &time},
                                       {"with four cooks too", &cooks},
                                       {"with calipers and probe too", &tools}}) {
        const double median = widths->median();
        std::printf("  %-28s %.1f (%.1f to %.1f)\n", says, 100 * median, 100 * widths->half.front(),
                    100 * widths->half.back());
    }
    EXPECT_LE(time.median(), 0.97 * nothing.median());
    EXPECT_LE(cooks.median(), 0.19);
    EXPECT_LE(tools.median(), 0.15);
}

} // namespace
} // namespace dynamet::translate
