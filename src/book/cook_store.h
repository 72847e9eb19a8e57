// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/choices_store.h"
#include "run/judged.h"

namespace dynamet::book {

/// One dish that is cooked, or was.
struct CookRecord {
    std::string id, runId, name, recipeId, foodId, applianceId, person;
    double startsS = 0;           ///< when it should go in, s from the run's beginning
    std::optional<double> serveS; ///< and be served
    run::PlannedCook planned;
    std::optional<Error> unreadable; ///< why its plan cannot be read any more: it is only listed
    run::Judged judged;
    std::optional<run::Told> told;
    std::optional<bool> accepted; ///< as evidence; none = not asked yet
    std::int64_t createdMs = 0;
};
struct CookRun {
    std::string id, name, menuId, trialId;
    When began;
    std::optional<std::int64_t> endedMs;
    std::vector<CookRecord> cooks;
};
/// Several cooks of one food, judged beside each other.
struct Trial {
    std::string id, name, recipeId, question, verdict;
    std::int64_t createdMs = 0;
};

/// Minutes after midnight of the wall clock there.
double minuteOfDay(const When& when);

/// A dish that is about to be cooked as it was planned; its id comes as the run begins.
CookRecord recordOf(const run::PlannedCook& planned, const std::string& name = {});

/// Begins a run with its dishes; on disk when it returns.
Result<void> beginCooks(Book& book, const CookRun& run, const kitchen::Kitchen& kitchen);
/// Adds an entry to a dish's log; returns its number.
Result<std::int64_t> addEntry(Book& book, const std::string& cookId, const run::Entry& entry);
/// What a probe read, s from food in; a moment that is there already stays.
Result<void> addReadings(Book& book, const std::string& cookId,
                         const std::vector<run::CoreReading>& readings);
/// A dish that is not begun is cooked as a plan that was solved again says.
Result<void> planAgain(Book& book, const CookRecord& cook, const kitchen::Kitchen& kitchen);
/// A dish that slipped begins later.
Result<void> moveStart(Book& book, const std::string& cookId, double startsS,
                       std::optional<double> serveS);
Result<void> endCooks(Book& book, const std::string& runId, const When& when);
/// What came out; it is found by its words from then on.
Result<void> judgeCook(Book& book, const std::string& cookId, const run::Judged& judged);
/// What it says, and whether the kitchen learns from it.
Result<void> keepTold(Book& book, const std::string& cookId, const std::string& toldJson,
                      std::optional<bool> accepted);
Result<void> withdrawCook(Book& book, const std::string& cookId, std::optional<When> when);

/// All entries, also those that were taken back.
Result<std::vector<run::Entry>> loadEntries(Book& book, const std::string& cookId);
Result<std::vector<run::CoreReading>> loadReadings(Book& book, const std::string& cookId);
/// notFound when it is not there.
Result<CookRecord> loadCook(Book& book, const std::string& cookId, const kitchen::Kitchen& kitchen);
Result<CookRun> loadRun(Book& book, const std::string& runId, const kitchen::Kitchen& kitchen);
/// A run that nobody ended: the program was killed, or the power went. None = nothing is cooking.
Result<std::optional<CookRun>> openRun(Book& book, const kitchen::Kitchen& kitchen);
/// Finished cooks that stand, newest first; of one recipe where an id is given.
Result<std::vector<CookRecord>> listCooks(Book& book, const kitchen::Kitchen& kitchen,
                                          const std::string& recipeId = {});

/// "Next time" of the newest cook of a recipe that has one; empty = none.
Result<std::string> lastNextTime(Book& book, const std::string& recipeId);

Result<void> addTrial(Book& book, const Trial& trial, const When& when);
Result<void> changeTrial(Book& book, const Trial& trial);
Result<std::vector<Trial>> listTrials(Book& book);

/// What all accepted cooks have shown, for `Request::belief`; what they say of a heat that was
/// rated anew since is about the old rating and counts apart.
Result<evidence::Belief> learned(Book& book, const kitchen::Kitchen& kitchen,
                                 const std::map<std::string, std::int64_t>& newestRatings);

/// The book's choices, with what its cooks have shown.
Result<Choices> loadChoicesAndLearned(Book& book, const kitchen::Kitchen& kitchen);

} // namespace dynamet::book
