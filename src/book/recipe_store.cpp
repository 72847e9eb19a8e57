// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/recipe_store.h"

#include "book/piece_json.h"
#include "book/stages_json.h"
#include "book/table_row.h"

#include <algorithm>

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

inline constexpr int kModelVersion = 1;
/// Binds name, author, text, appliance, setting, zone and vessel, in the table's order, from
/// parameter `first` on.
void bindPlace(Statement& s, int first, const RecipeRecord& r) {
    s.bind(first, r.name);
    s.bind(first + 1, r.author);
    s.bind(first + 2, r.text);
    s.bind(first + 3, r.reference.applianceId);
    s.bind(first + 4, r.settingText);
    s.bind(first + 5, r.reference.zone);
    if (r.reference.vesselId.empty())
        s.bind(first + 6);
    else
        s.bind(first + 6, r.reference.vesselId);
}

/// Binds food, form, shape, thickness, start, core, moment of reading, band and words, in the
/// table's order, from parameter `first` on.
void bindPieceAndGoal(Statement& s, int first, const RecipeRecord& r) {
    s.bind(first, r.piece.food.id);
    s.bind(first + 1, word(r.piece.form));
    s.bind(first + 2, word(r.piece.shape));
    s.bind(first + 3, r.piece.thicknessM);
    s.bind(first + 4, r.piece.startK);
    s.bind(first + 5, r.goal.coreK);
    s.bind(first + 6, word(r.goal.readAt));
    s.bind(first + 7, r.goal.bandLowK);
    s.bind(first + 8, r.goal.bandHighK);
    s.bind(first + 9, r.goal.words);
}

} // namespace

Result<bool> addRecipe(Book& book, const RecipeRecord& r, const When& when) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO recipe VALUES (?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,"
                        "(SELECT COUNT(*) FROM recipe),?,NULL,?,?)");
        s.bind(1, r.id);
        bindPlace(s, 2, r);
        bindPieceAndGoal(s, 9, r);
        s.bind(19, when.utcMs);
        s.bind(20, pieceJson(r.piece));
        s.bind(21, stagesJson(r));
        s.exec();
    });
}

Result<bool> changeRecipe(Book& book, const RecipeRecord& r) {
    return inTransaction(book, [&](Database& db) {
        Statement s(db,
                    "UPDATE recipe SET name=?,author=?,text=?,appliance_id=?,setting=?,zone=?,"
                    "vessel_id=?,food_id=?,form=?,shape=?,thickness_m=?,start_k=?,core_k=?,"
                    "read_at=?,band_low_k=?,band_high_k=?,goal_words=?,piece_json=?,stages_json=? "
                    "WHERE id=?");
        bindPlace(s, 1, r);
        bindPieceAndGoal(s, 8, r);
        s.bind(18, pieceJson(r.piece));
        s.bind(19, stagesJson(r));
        s.bind(20, r.id);
        s.exec();
    });
}

Result<bool> withdrawRecipe(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "recipe", id, when);
}

Result<std::vector<RecipeRecord>> loadRecipes(Book& book, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        std::vector<RecipeRecord> out;
        Statement s(db, "SELECT "
                        "id,name,author,text,appliance_id,setting,zone,vessel_id,food_id,form,"
                        "shape,thickness_m,"
                        "start_k,core_k,read_at,band_low_k,band_high_k,goal_words,piece_json,"
                        "stages_json FROM recipe "
                        "WHERE withdrawn_at_ms "
                        "IS NULL ORDER BY position");
        while (s.executeStep()) {
            RecipeRecord r;
            r.id = s.getColumn(0).getString();
            r.name = s.getColumn(1).getString();
            r.author = s.getColumn(2).getString();
            r.text = s.getColumn(3).getString();
            r.reference.applianceId = s.getColumn(4).getString();
            r.settingText = s.getColumn(5).getString();
            r.reference.zone = s.getColumn(6).getString();
            r.reference.vesselId = s.getColumn(7).isNull() ? "" : s.getColumn(7).getString();
            const auto food = food::findFood(s.getColumn(8).getString());
            const auto* appliance = findAppliance(kitchen, r.reference.applianceId);
            if (!food || !appliance)
                continue;
            const auto setting = kitchen::parseSetting(appliance->controls, r.settingText);
            if (!setting)
                continue;
            r.reference.setting = *setting;
            r.piece.food = *food;
            r.piece.form = food::formOf(s.getColumn(9).getString()).value_or(food::Form::intact);
            r.piece.shape = heat::shapeOf(s.getColumn(10).getString()).value_or(heat::Shape::slab);
            r.piece.thicknessM = s.getColumn(11).getDouble();
            r.piece.startK = s.getColumn(12).getDouble();
            r.goal = {s.getColumn(13).getDouble(),
                      food::readAtOf(s.getColumn(14).getString()).value_or(food::ReadAt::peak),
                      s.getColumn(15).getDouble(), s.getColumn(16).getDouble(),
                      s.getColumn(17).getString()};
            readPieceJson(s.getColumn(18).getString(), r.piece);
            if (readStagesJson(s.getColumn(19).getString(), kitchen, r))
                out.push_back(r);
        }
        return out;
    });
}

Result<std::vector<RecipeLine>> listRecipes(Book& book, const kitchen::Kitchen& kitchen) {
    const auto whole = loadRecipes(book, kitchen);
    if (!whole)
        return tl::unexpected(whole.error());
    return reading(book, [&](Database& db) {
        std::vector<RecipeLine> out;
        Statement s(db,
                    "SELECT r.id,r.name,r.appliance_id,r.withdrawn_at_ms,(SELECT COUNT(*) FROM "
                    "translation t WHERE t.recipe_id=r.id AND t.withdrawn_at_ms IS NULL) AS kept "
                    "FROM recipe r ORDER BY r.position");
        const RowReader row(s);
        while (s.executeStep()) {
            RecipeLine line{row.text("id"), row.text("name"),
                            row.maybe("withdrawn_at_ms").has_value(), "",
                            static_cast<int>(row.whole("kept"))};
            const bool there = std::any_of(whole->begin(), whole->end(),
                                           [&](const auto& r) { return r.id == line.id; });
            if (!there && !line.retired)
                line.missing = findAppliance(kitchen, row.text("appliance_id"))
                                   ? "a stage rests on an appliance, a setting or a food that is "
                                     "no longer there"
                                   : "its appliance was retired: bring that back first";
            out.push_back(std::move(line));
        }
        return out;
    });
}

Result<std::string> saveTranslation(Book& book, const std::string& recipeId,
                                    const std::string& snapshotJson, std::uint64_t seed,
                                    const When& when) {
    const std::string id = newId();
    const auto done = inTransaction(book, [&](Database& db) {
        Statement s(db, "INSERT INTO translation VALUES (?,?,?,?,?,?,?,NULL)");
        s.bind(1, id);
        s.bind(2, recipeId);
        s.bind(3, snapshotJson);
        s.bind(4, kModelVersion);
        s.bind(5, static_cast<std::int64_t>(seed));
        s.bind(6, when.utcMs);
        s.bind(7, when.offsetMin);
        s.exec();
    });
    if (!done)
        return tl::unexpected(done.error());
    return id;
}

Result<bool> withdrawTranslation(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "translation", id, when);
}

Result<std::vector<TranslationLine>> listTranslations(Book& book, const std::string& recipeId) {
    return reading(book, [&](Database& db) {
        std::vector<TranslationLine> out;
        Statement s(db, "SELECT id,recipe_id,snapshot_json,created_at_ms FROM translation WHERE "
                        "recipe_id=? AND "
                        "withdrawn_at_ms IS NULL ORDER BY created_at_ms DESC, rowid DESC");
        s.bind(1, recipeId);
        while (s.executeStep())
            out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString(),
                           s.getColumn(2).getString(), s.getColumn(3).getInt64()});
        return out;
    });
}

} // namespace dynamet::book
