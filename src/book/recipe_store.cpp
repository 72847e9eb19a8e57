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
            RecipeLine line{row.text("id"), row.text("name"),
                            row.maybe("withdrawn_at_ms").has_value(), "",
                            static_cast<int>(row.whole("kept"))};
            if (line.name.empty())
                line.name = "(a recipe without a name)";
            if (const auto whole = recipe::readRecipe(row.text("recipe_json"), kitchen);
                !whole && !line.retired)
                line.missing = whole.error().message;
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

Result<void> withdrawTranslation(Book& book, const std::string& id, std::optional<When> when) {
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
