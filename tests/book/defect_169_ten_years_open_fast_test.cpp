// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book of ten years took thirteen times as long to open as a new one: every number ever rated was
// read, the newest of a place sought among them. The book now keeps which one that is; whatever is
// done to tests and reductions, it must say the same as looking through all of them.
#include "book/book_folder.h"
#include "book/kitchen_store.h"
#include "book/rated_numbers.h"
#include "book/test_store.h"

#include <map>
#include <random>
#include <tuple>

namespace {

using namespace dynamet;
using namespace dynamet::book;
using book::testing::kWhen;
using kitchen::RatedNumber;

class TenYears : public book::testing::BookFolder {
  protected:
    void fill(Book& book) {
        kitchen::Site site;
        site.id = site.name = "s";
        ASSERT_TRUE(addSite(book, site, kWhen));
        oven_ = *kitchen::typicalAppliance(kitchen::ApplianceKind::stillOven);
        oven_.id = oven_.name = "a";
        oven_.siteId = "s";
        ASSERT_TRUE(addAppliance(book, oven_, kWhen));
        kitchen::Insert stone;
        stone.id = stone.name = "stone";
        ASSERT_TRUE(addInsert(book, stone, kWhen));
    }

    std::size_t one(std::size_t count) { return static_cast<std::size_t>(dice_()) % count; }

    void rateOrRateAgain(Book& book) {
        const auto when = When{kWhen.utcMs + static_cast<std::int64_t>(one(1000)), 0};
        std::string supersedes;
        if (tests_.empty() || one(2) == 0) {
            TestRecord t;
            t.id = "test " + std::to_string(tests_.size());
            t.applianceId = "a";
            t.protocol = "preheat";
            t.siteId = "s";
            t.zone = oven_.zones.front().name;
            t.insertId = one(3) == 0 ? "stone" : "";
            const auto settings = possibleSettings(oven_.controls, 3);
            t.setting = settingText(oven_.controls, settings[one(settings.size())]);
            t.startedMs = static_cast<std::int64_t>(one(12)); // many at the same moment
            ASSERT_TRUE(addTest(book, t, when));
            tests_.push_back(t.id);
        } else if (!reductions_.empty() && one(2) == 0) {
            supersedes = reductions_[one(reductions_.size())];
        }
        const std::string test =
            supersedes.empty() ? tests_[one(tests_.size())] : testOf_.at(supersedes);
        rating::Reduction reduction;
        using kitchen::Face, kitchen::Term;
        if (one(3) > 0)
            reduction.fieldNumbers.push_back(
                {{Face::all, Term::air}, 450.0 + double(dice_() % 9), 2});
        if (one(3) > 0)
            reduction.fieldNumbers.push_back({{Face::all, Term::radiant}, 460, 3});
        const auto id = saveReduction(book, test, reduction, {}, supersedes, when);
        ASSERT_TRUE(id) << id.error().message;
        reductions_.push_back(*id);
        testOf_[*id] = test;
    }

    void withdrawOrRestore(Book& book) {
        const bool test = one(2) == 0;
        const auto& ids = test ? tests_ : reductions_;
        if (ids.empty())
            return;
        const std::optional<When> when =
            one(2) == 0 ? std::optional<When>(kWhen) : std::optional<When>();
        ASSERT_TRUE(test ? withdrawTest(book, ids[one(ids.size())], when)
                         : withdrawReduction(book, ids[one(ids.size())], when));
    }

    std::vector<RatedNumber> lookedThrough(Book& book) {
        using Place = std::tuple<std::string, std::string, std::string, std::string, std::string>;
        std::map<Place, RatedNumber> last;
        const auto all = loadRatedHistory(book, oven_);
        EXPECT_TRUE(all) << all.error().message;
        if (!all)
            return {};
        for (const RatedNumber& n : *all)
            last.insert_or_assign({settingText(oven_.controls, n.setting), n.zone, n.insertId,
                                   n.vesselId, kitchen::keyName(n.number.key)},
                                  n);
        std::vector<RatedNumber> out;
        for (const auto& [place, number] : last)
            out.push_back(number);
        return out;
    }

    void expectSame(Book& book, const char* after) {
        const auto kept = loadKitchen(book)->rated["a"];
        const auto looked = lookedThrough(book);
        EXPECT_TRUE(std::is_permutation(kept.begin(), kept.end(), looked.begin(), looked.end()))
            << after << ": " << kept.size() << " kept, " << looked.size() << " found";
        EXPECT_TRUE(std::is_sorted(kept.begin(), kept.end(), [](const auto& x, const auto& y) {
            return x.measuredMs < y.measuredMs;
        }));
    }

    std::mt19937 dice_{7};
    kitchen::Appliance oven_;
    std::vector<std::string> tests_, reductions_;
    std::map<std::string, std::string> testOf_;
};

TEST_F(TenYears, Defect169TheNewestNumbersFollowWhateverIsDone) {
    std::size_t most = 0;
    {
        auto book = *Book::create(path(), kWhen);
        fill(book);
        for (int i = 0; i < 250; ++i) {
            one(3) > 0 ? rateOrRateAgain(book) : withdrawOrRestore(book);
            expectSame(book, ("change " + std::to_string(i)).c_str());
            most = std::max(most, loadKitchen(book)->rated["a"].size());
            if (HasFailure())
                return;
        }
        EXPECT_GT(loadRatedHistory(book, oven_)->size(), 2 * most) << "some were overtaken";
        book.database().exec("PRAGMA user_version = 6"); // a book from before it was kept
        book.database().exec("DELETE FROM newest_number");
    }
    auto again = *Book::open(path());
    EXPECT_GT(loadKitchen(again)->rated["a"].size(), 3u);
    expectSame(again, "an older book opened");
}

TEST_F(TenYears, Defect169OnlyTheNewestNumbersAreRead) {
    auto book = *Book::create(path(), kWhen);
    SQLite::Statement plan(book.database(),
                           "EXPLAIN QUERY PLAN SELECT * FROM newest_number p JOIN reduction r ON "
                           "r.id=p.reduction_id JOIN test t ON t.id=r.test_id WHERE "
                           "p.appliance_id='a'");
    while (plan.executeStep())
        EXPECT_EQ(plan.getColumn(3).getString().rfind("SEARCH", 0), 0u)
            << plan.getColumn(3).getString();
}

} // namespace
