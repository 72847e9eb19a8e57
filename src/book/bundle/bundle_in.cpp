// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/bundle.h"
#include "book/bundle/entity_json.h"
#include "book/bundle/thing_was.h"
#include "book/bundle/what_follows.h"

#include <fmt/format.h>
#include <istream>

namespace dynamet::book {
namespace {

using nlohmann::json;

/// The head's values: what they say of who can read the rest.
void readHead(const std::string& key, const json& value, bool& format) {
    constexpr int kVersion = 2;
    if (key == "format") {
        if (value != "dynamet-bundle")
            throw Error{Errc::corruptData, "this is no Dynamet bundle"};
        format = true;
    }
    const bool number = value.is_number_integer();
    if ((key == "version" && (!number || value > kVersion)) ||
        (key == "book_format" && (!number || value > kSchemaVersion)))
        throw Error{Errc::corruptData,
                    "a newer Dynamet wrote this bundle; this one cannot read it"};
}

using Take = std::function<void(const TableShape&, const json&, const Digests& before)>;

/// Hands out each thing of a bundle as it is read, so that a large one is never in memory whole.
/// Throws `Error`.
void readThings(std::istream& in, const std::vector<TableShape>& shapes, const Take& take) {
    constexpr int kTop = 1, kTable = 3, kThing = 5; // depths of the three kinds of objects
    std::string key, table;
    bool format = false;
    const auto seen = [&](int depth, json::parse_event_t event, json& parsed) {
        if (event == json::parse_event_t::key) {
            if (depth == kTop || depth == kTable)
                key = parsed.get<std::string>();
        } else if (event == json::parse_event_t::value && depth == kTop) {
            readHead(key, parsed, format);
        } else if (event == json::parse_event_t::value && depth == kTable && key == "name") {
            table = parsed.get<std::string>();
        } else if (event == json::parse_event_t::object_end && depth == kThing - 1) {
            if (!format)
                throw Error{Errc::corruptData, "this is no Dynamet bundle"};
            const TableShape* shape = findShape(shapes, table);
            if (!shape || shape->id.empty())
                throw Error{Errc::corruptData,
                            fmt::format("\"{}\" is no table of a book; a newer program may "
                                        "have written it",
                                        table)};
            const Digests before = takeStates(*shape, parsed);
            checkEntity(shapes, *shape, parsed);
            take(*shape, parsed, before);
            return false;
        }
        return true;
    };
    try {
        const json rest = json::parse(in, seen);
        if (!format)
            throw Error{Errc::corruptData, "this is no Dynamet bundle"};
    } catch (const json::exception& exception) {
        throw Error{Errc::corruptData,
                    fmt::format("the bundle is damaged or cut off: {}", exception.what())};
    }
}

std::string shortened(const json& value) {
    constexpr std::size_t kMost = 60;
    std::string out = value.is_null()     ? "nothing"
                      : value.is_string() ? value.get<std::string>()
                      : value.is_array()  ? fmt::format("{} rows", value.size())
                                          : value.dump();
    if (out.size() > kMost) {
        std::size_t end = kMost; // never in the middle of a letter
        while (end > 0 && (static_cast<unsigned char>(out[end]) & 0xc0) == 0x80)
            --end;
        out.resize(end);
        out += "…";
    }
    return out.empty() ? "nothing" : out;
}

std::string nameOf(const TableShape& shape, const json& entity) {
    for (const char* column : {"name", "title", "protocol", "sentence", "key"})
        if (const auto at = entity.find(column);
            at != entity.end() && at->is_string() && !at->get_ref<const std::string&>().empty())
            return shortened(*at);
    for (const auto& [column, value] : entity.items())
        if (column.ends_with("_json") && value.is_string())
            if (const json inner = json::parse(value.get_ref<const std::string&>(), nullptr, false);
                inner.is_object() && inner.contains("name") && inner["name"].is_string())
                return shortened(inner["name"]);
    return entity.value(shape.id, "");
}

BundleConflict conflictOf(const TableShape& shape, const json& ours, const json& theirs) {
    BundleConflict out{
        {shape.name, ours.at(shape.id).get<std::string>()}, nameOf(shape, ours), {}, "", ""};
    std::set<std::string> names;
    for (const auto& side : {ours, theirs})
        for (const auto& [name, value] : side.items())
            names.insert(name);
    for (const std::string& name : names) {
        const json mine = ours.value(name, json()), other = theirs.value(name, json());
        if (mine == other)
            continue;
        if (out.differs.empty()) {
            out.ours = shortened(mine);
            out.theirs = shortened(other);
        }
        out.differs.push_back(name);
    }
    return out;
}

/// Of this book alone: another one's are never taken.
bool ofTheBook(const TableShape& shape, const std::string& id) {
    return shape.name == "book_info" &&
           (id == "id" || id == "created_at_ms" || id == "min_reader" || id == "test_day");
}

/// A run or a test that goes on at the other station: it comes when it is finished, else this one
/// would take it up.
bool isUnderWay(const TableShape& shape, const json& entity, std::set<std::string>& runs) {
    if (shape.name == "cook_run" && !entity.contains("ended_at_ms")) {
        runs.insert(entity.at("id").get<std::string>());
        return true;
    }
    if (shape.name == "cook")
        return runs.contains(entity.value("run_id", ""));
    const auto live = entity.find("live_run");
    return shape.name == "test" && live != entity.end() && !live->empty() &&
           !live->front().contains("ended_at_ms");
}

/// Goes through a bundle beside a book; `write` puts in. What only they changed counts as theirs
/// unless somebody chose.
BundleChanges compare(SQLite::Database& db, std::istream& bundle,
                      const std::optional<std::set<ThingRef>>& theirs, bool write) {
    const auto shapes = tableShapes(db);
    BundleChanges out;
    std::set<std::string> underWay;
    readThings(
        bundle, shapes, [&](const TableShape& shape, const json& entity, const Digests& before) {
            const std::string id = entity.at(shape.id).get<std::string>();
            if (ofTheBook(shape, id))
                return;
            const ThingRef thing{shape.name, id};
            const auto ours = entityJson(db, shapes, shape, id);
            if (!ours && isUnderWay(shape, entity, underWay))
                return;
            const std::string theirNow = digestOfThing(entity);
            bool take = !ours, decided = true;
            Digests known = before;
            known.insert(theirNow);
            if (!ours) {
                out.added.emplace_back(thing, nameOf(shape, entity));
            } else if (*ours == entity) {
                ++out.same;
            } else {
                const std::string ourNow = digestOfThing(*ours);
                const Since since =
                    sinceWhom(ourNow, statesOf(db, shape.name, id), theirNow, before);
                if (since == Since::ours) {
                    ++out.newerHere;
                } else {
                    out.conflicts.push_back(conflictOf(shape, *ours, entity));
                    out.conflicts.back().onlyTheirs = since == Since::theirs;
                }
                take = theirs ? theirs->contains(thing) : since == Since::theirs;
                decided = theirs || since != Since::both; // else it is asked again the next time
                known.insert(ourNow);
            }
            if (write && take)
                putEntity(db, shapes, shape, entity);
            if (write && decided)
                addStates(db, shape.name, id, known);
        });
    return out;
}

} // namespace

Result<BundleChanges> changesIn(Book& book, std::istream& bundle) {
    return reading(book,
                   [&](SQLite::Database& db) { return compare(db, bundle, std::nullopt, false); });
}

Result<BundleChanges> takeIn(Book& book, std::istream& bundle,
                             const std::optional<std::set<ThingRef>>& theirs) {
    BundleChanges out;
    try {
        const auto done = inTransaction(book, [&](SQLite::Database& db) {
            db.exec("PRAGMA defer_foreign_keys = ON");
            out = compare(db, bundle, theirs, true);
            renewWhatFollows(db);
            SQLite::Statement dangling(db, "SELECT \"table\" FROM pragma_foreign_key_check");
            if (dangling.executeStep())
                throw Error{Errc::corruptData,
                            fmt::format("the bundle is not whole: a {} names something that is in "
                                        "neither book; nothing was changed",
                                        dangling.getColumn(0).getString())};
        });
        if (!done)
            return tl::unexpected(done.error());
    } catch (const Error& error) {
        return tl::unexpected(error);
    }
    return out;
}

Result<void> bookFromBundle(const std::string& path, std::istream& bundle) {
    auto book = Book::create(path, {});
    if (!book)
        return tl::unexpected(book.error());
    const auto made = [&]() -> Result<void> {
        try {
            return inTransaction(*book, [&](SQLite::Database& db) {
                db.exec("PRAGMA defer_foreign_keys = ON");
                db.exec("DELETE FROM book_info");
                const auto shapes = tableShapes(db);
                readThings(bundle, shapes,
                           [&](const TableShape& shape, const json& entity, Digests before) {
                               putEntity(db, shapes, shape, entity);
                               before.insert(digestOfThing(entity));
                               addStates(db, shape.name, entity.at(shape.id).get<std::string>(),
                                         before);
                           });
                renewWhatFollows(db);
                SQLite::Statement id(db, "SELECT count(*) FROM book_info WHERE key='min_reader'");
                id.executeStep();
                if (id.getColumn(0).getInt() == 0)
                    throw Error{Errc::corruptData, "this is a part of a book and no whole one; "
                                                   "take it in to a book that is there"};
            });
        } catch (const Error& error) {
            return tl::unexpected(error);
        }
    }();
    if (!made)
        discard(std::move(*book));
    return made;
}

} // namespace dynamet::book
