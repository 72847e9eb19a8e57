// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "demo_cooks.h"

#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "simkitchen/piece.h"

#include <chrono>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <random>

namespace dynamet::demo {
namespace {

template <class T>
T need(Result<T> result, const char* what) {
    if (result) {
        if constexpr (std::is_void_v<T>)
            return;
        else
            return std::move(*result);
    }
    std::fprintf(stderr, "demo cooks, %s: %s\n", what, result.error().message.c_str());
    std::exit(1);
}

/// A cook as it was: when, where, the piece's hidden numbers, what its oven really was.
struct Hidden {
    const char *id, *appliance, *person;
    unsigned month, day;
    int hour;
    double thicknessM, startC, driesAt;
    double airC, wallC, convective;
    const char *verdict, *reason, *nextTime;
    double scores[2][3]; ///< Ilse, Bram: crust, evenness, tenderness
    const char* label;
    bool ofTrial;
};

const Hidden kCooks[] = {{"cook-1",
                          "deck",
                          "Ilse",
                          11,
                          2,
                          11,
                          0.044,
                          7,
                          0.8,
                          214,
                          220,
                          10,
                          "Juicy, a little late",
                          "the loin was thicker than it looked",
                          "calipers before it goes in",
                          {{7, 6, 7}, {6, 6, 7}},
                          "",
                          false},
                         {"cook-2",
                          "gale",
                          "Bram",
                          11,
                          6,
                          12,
                          0.042,
                          8,
                          0.75,
                          203,
                          198,
                          20,
                          "Paler than from the deck oven",
                          "the fan dries it before it browns",
                          "ten degrees more",
                          {{5, 7, 7}, {6, 6, 6}},
                          "",
                          false},
                         {"cook-3",
                          "deck",
                          "Ilse",
                          11,
                          10,
                          11,
                          0.041,
                          6,
                          0.8,
                          215,
                          221,
                          10,
                          "As it should be",
                          "",
                          "the same again",
                          {{7, 7, 8}, {7, 7, 7}},
                          "",
                          false},
                         {"trial-a",
                          "deck",
                          "Ilse",
                          11,
                          14,
                          15,
                          0.042,
                          7,
                          0.8,
                          215,
                          221,
                          10,
                          "Best crust",
                          "",
                          "",
                          {{8, 7, 7}, {7, 6, 7}},
                          "K",
                          true},
                         {"trial-b",
                          "gale",
                          "Ilse",
                          11,
                          14,
                          15,
                          0.042,
                          -1,
                          0.8,
                          204,
                          199,
                          20,
                          "Even, but pale",
                          "it started colder",
                          "",
                          {{5, 8, 7}, {6, 8, 6}},
                          "M",
                          true},
                         {"trial-c",
                          "basket",
                          "Bram",
                          11,
                          14,
                          16,
                          0.042,
                          7,
                          0.7,
                          168,
                          160,
                          40,
                          "Dry at the edge",
                          "too much air for so long",
                          "",
                          {{7, 4, 5}, {6, 5, 5}},
                          "P",
                          true}};

book::When at(const Hidden& cook) {
    const auto day = std::chrono::sys_days(
        std::chrono::year(2026) / std::chrono::month(cook.month) / std::chrono::day(cook.day));
    return {std::chrono::duration_cast<std::chrono::milliseconds>(day.time_since_epoch()).count() +
                cook.hour * 3600000LL,
            0};
}

run::PlannedCook plannedOn(const recipe::Recipe& recipe, const kitchen::Kitchen& kitchen,
                           const std::string& appliance) {
    const auto prepared = need(
        translate::prepare(book::requestOf(recipe, kitchen, book::Choices{})), appliance.c_str());
    for (const translate::Target& target : prepared.targets) {
        if (target.applianceId != appliance)
            continue;
        translate::Row row = solveRow(prepared, target);
        if (!row.reached)
            continue;
        addWindow(prepared, row);
        return run::plannedOf(prepared, row);
    }
    std::fprintf(stderr, "demo cooks: nothing is reached on %s\n", appliance.c_str());
    std::exit(1);
}

/// Cooks the hidden piece; what a probe showed every ten seconds, and when it was pulled.
double cookHidden(const Hidden& cook, double pullC, std::vector<run::CoreReading>& readings) {
    simkitchen::PieceMake make;
    make.thicknessM = cook.thicknessM;
    make.startC = cook.startC;
    make.driesAt = cook.driesAt;
    simkitchen::Piece piece(make);
    std::mt19937_64 random(static_cast<unsigned>(cook.thicknessM * 1e5) + cook.day);
    std::normal_distribution<double> noise(0, 0.1);
    constexpr double kIce = 273.15, kEveryS = 10, kLongestS = 3 * 3600, kRestS = 600;
    double pulled = kLongestS;
    for (double t = 0; t < std::min(kLongestS, pulled + kRestS); t += 1) {
        if (t < pulled)
            piece.step(cook.airC, cook.wallC, cook.convective, 1);
        else
            piece.step(24, 24, 6, 1);
        if (std::fmod(t, kEveryS) == 0)
            readings.push_back(
                {t + 1, std::round((piece.coreC() + noise(random)) * 10) / 10 + kIce, false});
        if (pulled == kLongestS && piece.coreC() >= pullC)
            pulled = t;
    }
    return pulled;
}

} // namespace

void addCooks(book::Book& book) {
    const kitchen::Kitchen kitchen = need(loadKitchen(book), "kitchen");
    const auto recipes = need(loadRecipes(book, kitchen), "recipes");
    const recipe::Recipe* pork = nullptr;
    for (const recipe::Recipe& one : recipes)
        if (one.id == "pork-caraway")
            pork = &one;
    if (!pork)
        return;
    need(addTrial(book,
                  {"trial-ovens", "Which oven for the loin?", pork->id, "Which oven for the loin?",
                   "The deck oven: the fan is as even and paler, the basket dries the edge", 0},
                  at(kCooks[3])),
         "trial");
    for (const Hidden& hidden : kCooks) {
        const auto planned = plannedOn(*pork, kitchen, hidden.appliance);
        book::CookRun run;
        run.id = std::string("run-") + hidden.id;
        run.name = pork->name;
        run.trialId = hidden.ofTrial ? "trial-ovens" : "";
        run.began = at(hidden);
        book::CookRecord cook = book::recordOf(planned, pork->name);
        cook.planned.recipe.piece.startK = hidden.startC + 273.15; // as it was probed
        cook.id = hidden.id;
        cook.runId = run.id;
        cook.person = hidden.person;
        run.cooks = {cook};
        need(beginCooks(book, run, kitchen), hidden.id);
        std::vector<run::CoreReading> readings;
        const double pulledS = cookHidden(hidden, planned.pullK - 273.15, readings);
        need(addReadings(book, hidden.id, readings), hidden.id);
        std::vector<run::Entry> entries = {{0, 0, run::What::foodIn, 0, ""},
                                           {0, pulledS, run::What::pulled, 0, ""},
                                           {0, pulledS + 600, run::What::served, 0, ""}};
        for (run::Entry& entry : entries)
            entry.number = need(addEntry(book, hidden.id, entry), hidden.id);
        book::When end = run.began;
        end.utcMs += static_cast<std::int64_t>((pulledS + 700) * 1000);
        need(endCooks(book, run.id, end), hidden.id);
        run::Judged judged;
        judged.coreK = planned.pullK;
        double peak = 0;
        for (const run::CoreReading& one : readings)
            peak = std::max(peak, one.kelvin);
        judged.peakK = peak;
        judged.rawKg = 1.18;
        judged.servedKg = hidden.convective > 15 ? 0.88 : 0.93;
        judged.verdict = hidden.verdict;
        judged.reason = hidden.reason;
        judged.nextTime = hidden.nextTime;
        judged.label = hidden.label;
        const char* qualities[] = {"crust", "evenness", "tenderness"};
        const char* tasters[] = {"Ilse", "Bram"};
        for (std::size_t t = 0; t < 2; ++t)
            for (std::size_t q = 0; q < 3; ++q)
                judged.scores.push_back({tasters[t], qualities[q], hidden.scores[t][q]});
        need(judgeCook(book, hidden.id, judged), hidden.id);
        if (hidden.ofTrial)
            continue;
        run::Question question;
        question.request = book::requestOf(*pork, kitchen, book::Choices{});
        question.planned = cook.planned;
        question.entries = entries;
        question.readings = readings;
        question.nowS = pulledS + 600;
        auto told = need(toldBy(question, hidden.id), hidden.id);
        told.observation.says = pork->name;
        need(keepTold(book, hidden.id, toldJson(told), true), hidden.id);
    }
}

} // namespace dynamet::demo
