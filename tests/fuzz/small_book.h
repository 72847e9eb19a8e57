// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_request.h"
#include "book/recipe_store.h"
#include "book/test_store.h"
#include "fuzz/must.h"
#include "kitchen/typical.h"
#include "rating/reduce.h"

#include <filesystem>
#include <fstream>
#include <sstream>
#include <unistd.h>

namespace dynamet::fuzz {

inline constexpr book::When kWhen{1795000000000, 0};

/// A folder in memory where the machine has one.
inline std::string scratchFolder() {
    namespace fs = std::filesystem;
    const fs::path base = fs::exists("/dev/shm") ? "/dev/shm" : fs::temp_directory_path();
    const fs::path out = base / ("dynamet-fuzz-" + std::to_string(::getpid()));
    fs::create_directories(out);
    return out.string();
}

template <class T>
T need(Result<T> result) {
    if (!result)
        std::fprintf(stderr, "the seed book: %s\n", result.error().message.c_str());
    MUST(result.has_value());
    if constexpr (!std::is_void_v<T>)
        return std::move(*result);
}

/// One of everything that a book can hold.
inline void fill(book::Book& book) {
    kitchen::Site site;
    site.id = site.name = "home";
    need(addSite(book, site, kWhen));
    kitchen::Instrument probe;
    probe.id = probe.name = "probe";
    probe.calibrations.push_back({"c", 1794000000000, 0.4, 1.001, 0.2});
    need(addInstrument(book, probe, kWhen));
    kitchen::Vessel pan;
    pan.id = pan.name = "pan";
    pan.material = "carbon steel";
    pan.massKg = 1.5;
    pan.baseDiameterM = 0.26;
    need(addVessel(book, pan, kWhen));
    need(addInsert(book, {"stone", "stone", kitchen::InsertKind::plate}, kWhen));
    for (const auto kind : {kitchen::ApplianceKind::stillOven, kitchen::ApplianceKind::gasHob}) {
        kitchen::Appliance a = *kitchen::typicalAppliance(kind);
        a.id = a.name = enumName(kind);
        a.siteId = "home";
        a.standardVesselId = "pan";
        need(addAppliance(book, a, kWhen));
    }
    const kitchen::Kitchen kitchen = need(loadKitchen(book));
    const kitchen::Appliance& oven = kitchen.appliances.front();
    book::TestRecord test;
    test.id = "test";
    test.applianceId = oven.id;
    test.siteId = "home";
    test.protocol = "preheat";
    test.zone = oven.zones.front().name;
    test.setting = settingText(oven.controls, kitchen::usualSetting(oven.controls));
    test.values = {{"set_C", 180}};
    test.typed = {{"set_C", "180"}};
    test.setStarted(kWhen);
    book::RecordedChannel air{"air", "air", "°C", "probe", {}, {}, 0.1};
    for (int i = 0; i < 40; ++i) {
        air.timeS.push_back(30.0 * i);
        air.asRecorded.push_back(i < 20 ? 20 + i * 8.1 : 182 + (i % 5) * 0.1);
    }
    test.channels.push_back(air);
    air.role = "wet";
    air.resolution = 0;
    test.channels.push_back(air);
    need(addTest(book, test, kWhen));
    const auto reduction = need(rating::reduce(inputOf(test, kitchen.instruments)));
    need(saveReduction(book, test.id, reduction, test.values, "", kWhen));
    test.id = "keyed";
    test.protocol = "zone-sweep";
    test.channels.clear();
    test.keyed["probe"] = {{480, "207"}, {485, "212"}};
    test.values.clear();
    need(addTest(book, test, kWhen));
    book::Choices choices = need(loadChoices(book));
    choices.schools["crust"] = "none";
    need(keepChoices(book, choices));
    recipe::Recipe recipe = book::beginRecipe(kitchen, choices);
    recipe.name = "loaf";
    need(addRecipe(book, recipe, kitchen, kWhen));
    need(saveTranslation(book, recipe.id, R"({"format":"x"})", 1, kWhen));
}

/// The bytes of such a book, its write-ahead log worked in.
inline const std::string& seedBook() {
    static const std::string bytes = [] {
        const std::string path = scratchFolder() + "/seed.dynamet";
        std::filesystem::remove(path);
        {
            auto book = need(book::Book::create(path, kWhen));
            fill(book);
            book.database().exec("PRAGMA wal_checkpoint(TRUNCATE)");
        }
        std::ifstream in(path, std::ios::binary);
        std::stringstream all;
        all << in.rdbuf();
        return all.str();
    }();
    return bytes;
}

/// Everything that the window reads when a book is opened and walked through; now and then worked
/// out again as well, which takes a hundred times as long.
inline void readAll(book::Book& book, bool reduced) {
    const auto kitchen = loadKitchen(book);
    (void)loadRetired(book);
    (void)loadChoices(book);
    (void)book::newestRatings(book);
    if (!kitchen)
        return;
    (void)listRecipes(book, *kitchen);
    if (const auto recipes = loadRecipes(book, *kitchen))
        for (const recipe::Recipe& recipe : *recipes)
            (void)listTranslations(book, recipe.id);
    for (const kitchen::Appliance& appliance : kitchen->appliances) {
        (void)loadHistory(book, appliance.id);
        for (const kitchen::Setting& setting : kitchen::possibleSettings(appliance.controls, 2, 3))
            (void)settingLabel(appliance.controls, setting, Units{});
        const auto tests = listTests(book, appliance.id);
        if (!tests)
            continue;
        for (const book::TestLine& line : *tests)
            if (const auto test = loadTest(book, line.id); test && reduced)
                (void)rating::reduce(inputOf(*test, kitchen->instruments));
    }
}

} // namespace dynamet::fuzz
