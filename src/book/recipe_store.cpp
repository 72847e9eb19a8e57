// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/recipe_store.h"

#include "book/table_row.h"
#include "recipe/recipe_json.h"

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

inline constexpr int kModelVersion = 1;

} // namespace

Result<void> addRecipe(Book& book, const recipe::Recipe& r, const kitchen::Kitchen& kitchen,
                       const When& when) {
    return inTransaction(book, [&](Database& db) {
        const auto position = db.execAndGet("SELECT COUNT(*) FROM recipe").getInt64();
        insertRow(db, "recipe",
                  newRow(r.id, when.utcMs,
                         {{"position", position}, {"recipe_json", recipeJson(r, kitchen)}}));
    });
}

Result<void> changeRecipe(Book& book, const recipe::Recipe& r, const kitchen::Kitchen& kitchen) {
    return inTransaction(book, [&](Database& db) {
        updateRow(db, "recipe", r.id, {{"recipe_json", recipeJson(r, kitchen)}});
    });
}

Result<void> withdrawRecipe(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "recipe", id, when);
}

Result<std::vector<recipe::Recipe>> loadRecipes(Book& book, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        std::vector<recipe::Recipe> out;
        Statement s(db, "SELECT id, recipe_json FROM recipe WHERE withdrawn_at_ms IS NULL ORDER BY "
                        "position");
        const RowReader row(s);
        while (s.executeStep())
            if (auto recipe = recipe::readRecipe(row.text("recipe_json"), kitchen)) {
                recipe->id = row.text("id");
                out.push_back(std::move(*recipe));
            }
        return out;
    });
}

Result<std::vector<RecipeLine>> listRecipes(Book& book, const kitchen::Kitchen& kitchen) {
    return reading(book, [&](Database& db) {
        std::vector<RecipeLine> out;
        Statement s(db,
                    "SELECT r.id, r.withdrawn_at_ms, r.recipe_json, iif(json_valid(recipe_json), "
                    "json_extract(recipe_json, '$.name'), NULL) AS name, (SELECT COUNT(*) FROM "
                    "translation t WHERE t.recipe_id=r.id AND t.withdrawn_at_ms IS NULL) AS kept "
                    "FROM recipe r ORDER BY r.position");
        const RowReader row(s);
        while (s.executeStep()) {
            RecipeLine line{row.text("id"),
                            row.text("name"),
                            row.maybe("withdrawn_at_ms").has_value(),
                            {},
                            static_cast<int>(row.whole("kept"))};
            if (line.name.empty())
                line.name = "(a recipe without a name)";
            if (const auto whole = recipe::readRecipe(row.text("recipe_json"), kitchen);
                !whole && !line.retired)
                line.missing = whole.error();
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
        insertRow(db, "translation",
                  newRow(id, when.utcMs,
                         {{"recipe_id", recipeId},
                          {"snapshot_json", snapshotJson},
                          {"model_version", std::int64_t{kModelVersion}},
                          {"seed", static_cast<std::int64_t>(seed)},
                          {"utc_offset_min", std::int64_t{when.offsetMin}}}));
    });
    if (!done)
        return tl::unexpected(done.error());
    return id;
}

Result<void> withdrawTranslation(Book& book, const std::string& id, std::optional<When> when) {
    return setWithdrawn(book, "translation", id, when);
}

Result<std::vector<TranslationLine>> listTranslations(Book& book, const std::string& recipeId) {
    return reading(book, [&](Database& db) {
        std::vector<TranslationLine> out;
        Statement s(db, "SELECT * FROM translation WHERE recipe_id=? AND withdrawn_at_ms IS NULL "
                        "ORDER BY created_at_ms DESC, rowid DESC");
        s.bind(1, recipeId);
        const RowReader row(s);
        while (s.executeStep())
            out.push_back({row.text("id"), row.text("recipe_id"), row.text("snapshot_json"),
                           row.whole("created_at_ms")});
        return out;
    });
}

} // namespace dynamet::book
