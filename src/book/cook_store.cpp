// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/cook_store.h"

#include "book/log_store.h"
#include "book/table_row.h"
#include "book/test_store.h"

#include <algorithm>
#include <cmath>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

CookRecord cookOf(const RowReader& row, const kitchen::Kitchen& kitchen) {
    CookRecord out;
    out.id = row.text("id");
    out.runId = row.text("run_id");
    out.name = row.text("name");
    out.recipeId = row.text("recipe_id");
    out.foodId = row.text("food_id");
    out.applianceId = row.text("appliance_id");
    out.person = row.text("person");
    out.startsS = row.number("starts_s");
    out.serveS = row.maybe("serve_s");
    out.createdMs = row.whole("created_at_ms");
    if (auto planned = run::readPlanned(row.text("planned_json"), kitchen))
        out.planned = std::move(*planned);
    else
        out.unreadable = planned.error();
    if (const std::string text = row.text("judged_json"); !text.empty())
        if (auto judged = run::readJudged(text))
            out.judged = std::move(*judged);
    if (const std::string text = row.text("told_json"); !text.empty())
        if (auto told = run::readTold(text))
            out.told = std::move(*told);
    if (const auto accepted = row.maybe("accepted"))
        out.accepted = *accepted > 0;
    return out;
}

CookRun runOf(const RowReader& row) {
    CookRun out;
    out.id = row.text("id");
    out.name = row.text("name");
    out.menuId = row.text("menu_id");
    out.trialId = row.text("trial_id");
    out.began = {row.whole("began_at_ms"), static_cast<int>(row.whole("utc_offset_min"))};
    if (const auto ended = row.maybe("ended_at_ms"))
        out.endedMs = static_cast<std::int64_t>(*ended);
    return out;
}

std::vector<CookRecord> cooksOf(Database& db, const std::string& runId,
                                const kitchen::Kitchen& kitchen) {
    Statement s(db, "SELECT * FROM cook WHERE run_id=? AND withdrawn_at_ms IS NULL ORDER BY "
                    "position");
    s.bind(1, runId);
    const RowReader row(s);
    std::vector<CookRecord> out;
    while (s.executeStep())
        out.push_back(cookOf(row, kitchen));
    return out;
}

Trial trialOf(const RowReader& row) {
    return {row.text("id"),       row.text("name"),    row.text("recipe_id"),
            row.text("question"), row.text("verdict"), row.whole("created_at_ms")};
}

Row cellsOf(const Trial& trial) {
    return {{"name", trial.name},
            {"recipe_id", trial.recipeId},
            {"question", trial.question},
            {"verdict", trial.verdict}};
}

} // namespace

double minuteOfDay(const When& when) {
    constexpr double kMinuteMs = 60000, kDay = 24 * 60;
    return std::fmod(static_cast<double>(when.utcMs) / kMinuteMs + when.offsetMin + kDay, kDay);
}

CookRecord recordOf(const run::PlannedCook& planned, const std::string& name) {
    CookRecord out;
    out.name = name.empty() ? planned.recipe.name : name;
    out.recipeId = planned.recipe.id;
    out.foodId = planned.recipe.piece.food.id;
    out.applianceId = planned.recipe.last().place.applianceId;
    out.planned = planned;
    return out;
}

Result<void> beginCooks(Book& book, const CookRun& run, const kitchen::Kitchen& kitchen) {
    return inTransaction(book, [&](Database& db) {
        insertRow(db, "cook_run",
                  newRow(run.id, run.began.utcMs,
                         {{"name", run.name},
                          {"menu_id", run.menuId},
                          {"trial_id", cellOrNull(run.trialId)},
                          {"began_at_ms", run.began.utcMs},
                          {"utc_offset_min", std::int64_t{run.began.offsetMin}}}));
        std::int64_t position = 0;
        for (const CookRecord& cook : run.cooks) {
            insertRow(db, "cook",
                      newRow(cook.id, run.began.utcMs,
                             {{"run_id", run.id},
                              {"position", position++},
                              {"name", cook.name},
                              {"recipe_id", cook.recipeId},
                              {"food_id", cook.foodId},
                              {"appliance_id", cook.applianceId},
                              {"person", cook.person},
                              {"starts_s", cook.startsS},
                              {"serve_s", cellOf(cook.serveS)},
                              {"planned_json", plannedJson(cook.planned, kitchen)},
                              {"judged_json", std::string()},
                              {"told_json", std::string()}}));
            logCook(db, cook.id);
        }
    });
}

Result<std::int64_t> addEntry(Book& book, const std::string& cookId, const run::Entry& entry) {
    std::int64_t number = 0;
    const auto done = inTransaction(book, [&](Database& db) {
        Statement next(db, "SELECT coalesce(max(number), 0) + 1 FROM cook_entry WHERE cook_id=?");
        next.bind(1, cookId);
        next.executeStep();
        number = next.getColumn(0).getInt64();
        insertRow(db, "cook_entry",
                  {{"cook_id", cookId},
                   {"number", number},
                   {"at_s", entry.atS},
                   {"what", std::string(enumName(entry.what))},
                   {"value", entry.value},
                   {"words", entry.words}});
    });
    if (!done)
        return tl::unexpected(done.error());
    return number;
}

Result<void> addReadings(Book& book, const std::string& cookId,
                         const std::vector<run::CoreReading>& readings) {
    return inTransaction(book, [&](Database& db) {
        for (const run::CoreReading& one : readings)
            insertRow(db, "cook_reading",
                      {{"cook_id", cookId}, {"at_s", one.atS}, {"core_k", one.kelvin}},
                      IfThere::stays);
    });
}

Result<void> planAgain(Book& book, const CookRecord& cook, const kitchen::Kitchen& kitchen) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "cook", cook.id,
                  {{"starts_s", cook.startsS},
                   {"serve_s", cellOf(cook.serveS)},
                   {"person", cook.person},
                   {"appliance_id", cook.applianceId},
                   {"planned_json", plannedJson(cook.planned, kitchen)}});
        logCook(db, cook.id);
    });
}

Result<void> moveStart(Book& book, const std::string& cookId, double startsS,
                       std::optional<double> serveS) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "cook", cookId, {{"starts_s", startsS}, {"serve_s", cellOf(serveS)}});
    });
}

Result<void> endCooks(Book& book, const std::string& runId, const When& when) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "cook_run", runId, {{"ended_at_ms", when.utcMs}});
    });
}

Result<void> judgeCook(Book& book, const std::string& cookId, const run::Judged& judged) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "cook", cookId, {{"judged_json", judgedJson(judged)}});
        logCook(db, cookId);
    });
}

Result<void> keepTold(Book& book, const std::string& cookId, const std::string& toldJson,
                      std::optional<bool> accepted) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "cook", cookId, {{"told_json", toldJson}, {"accepted", cellOf(accepted)}});
    });
}

Result<void> withdrawCook(Book& book, const std::string& cookId, std::optional<When> when) {
    return setWithdrawn(book, "cook", cookId, when);
}

Result<std::vector<run::Entry>> loadEntries(Book& book, const std::string& cookId) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM cook_entry WHERE cook_id=? ORDER BY number");
        s.bind(1, cookId);
        const RowReader row(s);
        std::vector<run::Entry> out;
        while (s.executeStep())
            if (const auto what = run::whatOf(row.text("what"))) // a newer program's word
                out.push_back({row.whole("number"), row.number("at_s"), *what, row.number("value"),
                               row.text("words")});
        return out;
    });
}

Result<std::vector<run::CoreReading>> loadReadings(Book& book, const std::string& cookId) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT at_s, core_k FROM cook_reading WHERE cook_id=? ORDER BY at_s");
        s.bind(1, cookId);
        std::vector<run::CoreReading> out;
        while (s.executeStep())
            out.push_back({s.getColumn(0).getDouble(), s.getColumn(1).getDouble(), false});
        return out;
    });
}

Result<CookRecord> loadCook(Book& book, const std::string& cookId,
                            const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM cook WHERE id=?");
        s.bind(1, cookId);
        if (!s.executeStep())
            throw Error{Errc::notFound, "this cook is not in the book"};
        return cookOf(RowReader(s), kitchen);
    });
}

Result<CookRun> loadRun(Book& book, const std::string& runId, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM cook_run WHERE id=?");
        s.bind(1, runId);
        if (!s.executeStep())
            throw Error{Errc::notFound, "this run is not in the book"};
        CookRun out = runOf(RowReader(s));
        out.cooks = cooksOf(db, runId, kitchen);
        return out;
    });
}

Result<std::optional<CookRun>> openRun(Book& book, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM cook_run WHERE ended_at_ms IS NULL AND withdrawn_at_ms IS "
                        "NULL ORDER BY began_at_ms DESC LIMIT 1");
        std::optional<CookRun> out;
        if (s.executeStep()) {
            out = runOf(RowReader(s));
            out->cooks = cooksOf(db, out->id, kitchen);
        }
        return out;
    });
}

Result<std::vector<CookRecord>> listCooks(Book& book, const kitchen::Kitchen& kitchen,
                                          const std::string& recipeId) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT c.* FROM cook c JOIN cook_run r ON r.id = c.run_id WHERE "
                        "c.withdrawn_at_ms IS NULL AND r.ended_at_ms IS NOT NULL AND (?1 = '' OR "
                        "c.recipe_id = ?1) ORDER BY c.created_at_ms DESC, c.position");
        s.bind(1, recipeId);
        const RowReader row(s);
        std::vector<CookRecord> out;
        while (s.executeStep())
            out.push_back(cookOf(row, kitchen));
        return out;
    });
}

Result<std::string> lastNextTime(Book& book, const std::string& recipeId) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT judged_json FROM cook WHERE recipe_id=? AND judged_json <> '' AND "
                        "withdrawn_at_ms IS NULL ORDER BY created_at_ms DESC LIMIT 20");
        s.bind(1, recipeId);
        while (s.executeStep())
            if (const auto judged = run::readJudged(s.getColumn(0).getString());
                judged && !judged->nextTime.empty())
                return judged->nextTime;
        return std::string();
    });
}

Result<void> addTrial(Book& book, const Trial& trial, const When& when) {
    return inTransaction(book, [&](Database& db) {
        insertRow(db, "trial", newRow(trial.id, when.utcMs, cellsOf(trial)));
    });
}

Result<void> changeTrial(Book& book, const Trial& trial) {
    return inTransaction(book,
                         [&](Database& db) { updateRow(db, "trial", trial.id, cellsOf(trial)); });
}

Result<std::vector<Trial>> listTrials(Book& book) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM trial WHERE withdrawn_at_ms IS NULL ORDER BY created_at_ms "
                        "DESC");
        const RowReader row(s);
        std::vector<Trial> out;
        while (s.executeStep())
            out.push_back(trialOf(row));
        return out;
    });
}

Result<evidence::Belief> learned(Book& book, const kitchen::Kitchen& kitchen,
                                 const std::map<std::string, std::int64_t>& newestRatings) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT * FROM cook WHERE told_json <> '' AND accepted IS NOT NULL AND "
                        "withdrawn_at_ms IS NULL ORDER BY created_at_ms");
        const RowReader row(s);
        std::vector<evidence::Block> blocks;
        std::vector<evidence::Observation> observations;
        while (s.executeStep()) {
            auto told = run::readTold(row.text("told_json"));
            if (!told)
                continue;
            const std::string id = row.text("id");
            const std::int64_t madeMs = row.whole("created_at_ms");
            for (const kitchen::Appliance& on : kitchen.appliances) {
                const auto rated = newestRatings.find(on.id);
                if (rated != newestRatings.end() && rated->second > madeMs)
                    run::fieldsAreItsOwn(*told, on.name, id);
            }
            told->observation.setAside = row.whole("accepted") == 0;
            for (evidence::Block& block : told->blocks)
                if (std::none_of(blocks.begin(), blocks.end(), [&](const evidence::Block& one) {
                        return one.unknowns == block.unknowns;
                    }))
                    blocks.push_back(std::move(block));
            observations.push_back(std::move(told->observation));
        }
        return evidence::Belief(std::move(blocks), std::move(observations));
    });
}

Result<Choices> loadChoicesAndLearned(Book& book, const kitchen::Kitchen& kitchen) {
    auto out = loadChoices(book);
    const auto newest = newestRatings(book);
    if (!out || !newest)
        return out ? tl::unexpected(newest.error()) : out;
    auto belief = learned(book, kitchen, *newest);
    if (!belief)
        return tl::unexpected(belief.error());
    out->learned = std::move(*belief);
    return out;
}

} // namespace dynamet::book
