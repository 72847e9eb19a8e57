// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/bundle.h"
#include "book/bundle/entity_json.h"
#include "book/bundle/what_follows.h"

#include <fmt/format.h>
#include <istream>

namespace dynamet::book {
namespace {

using nlohmann::json;

/// Hands out each thing of a bundle as it is read, so that a large one is never in memory whole.
/// Throws `Error`.
class BundleReader {
  public:
    BundleReader(const std::vector<TableShape>& shapes) : shapes_(shapes) {}

    void read(std::istream& in, const std::function<void(const TableShape&, const json&)>& take) {
        constexpr int kTop = 1, kTable = 3, kThing = 5; // depths of the three kinds of objects
        std::string key, table;
        bool format = false;
        const auto seen = [&](int depth, json::parse_event_t event, json& parsed) {
            if (event == json::parse_event_t::key) {
                if (depth == kTop || depth == kTable)
                    key = parsed.get<std::string>();
            } else if (event == json::parse_event_t::value && depth == kTop) {
                head(key, parsed, format);
            } else if (event == json::parse_event_t::value && depth == kTable && key == "name") {
                table = parsed.get<std::string>();
            } else if (event == json::parse_event_t::object_end && depth == kThing - 1) {
                if (!format)
                    throw Error{Errc::corruptData, "this is no Dynamet bundle"};
                const TableShape* shape = findShape(shapes_, table);
                if (!shape || shape->id.empty())
                    throw Error{Errc::corruptData,
                                fmt::format("\"{}\" is no table of a book; a newer program may "
                                            "have written it",
                                            table)};
                checkEntity(shapes_, *shape, parsed);
                take(*shape, parsed);
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

  private:
    static void head(const std::string& key, const json& value, bool& format) {
        if (key == "format") {
            if (value != "dynamet-bundle")
                throw Error{Errc::corruptData, "this is no Dynamet bundle"};
            format = true;
        }
        const bool number = value.is_number_integer();
        if ((key == "version" && (!number || value > 1)) ||
            (key == "book_format" && (!number || value > kSchemaVersion)))
            throw Error{Errc::corruptData,
                        "a newer Dynamet wrote this bundle; this one cannot read it"};
    }
    const std::vector<TableShape>& shapes_;
};

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

/// Goes through a bundle beside a book; `write` puts in.
BundleChanges compare(SQLite::Database& db, std::istream& bundle, const std::set<ThingRef>& theirs,
                      bool write) {
    const auto shapes = tableShapes(db);
    BundleChanges out;
    std::set<std::string> underWay;
    BundleReader(shapes).read(bundle, [&](const TableShape& shape, const json& entity) {
        const std::string id = entity.at(shape.id).get<std::string>();
        if (ofTheBook(shape, id))
            return;
        const ThingRef thing{shape.name, id};
        const auto ours = entityJson(db, shapes, shape, id);
        if (!ours && isUnderWay(shape, entity, underWay))
            return;
        if (ours && *ours == entity) {
            ++out.same;
            return;
        }
        if (ours)
            out.conflicts.push_back(conflictOf(shape, *ours, entity));
        else
            out.added.emplace_back(thing, nameOf(shape, entity));
        if (write && (!ours || theirs.contains(thing)))
            putEntity(db, shapes, shape, entity);
    });
    return out;
}

} // namespace

Result<BundleChanges> changesIn(Book& book, std::istream& bundle) {
    return reading(book, [&](SQLite::Database& db) { return compare(db, bundle, {}, false); });
}

Result<BundleChanges> takeIn(Book& book, std::istream& bundle, const std::set<ThingRef>& theirs) {
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
                BundleReader(shapes).read(bundle, [&](const TableShape& shape, const json& entity) {
                    putEntity(db, shapes, shape, entity);
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
