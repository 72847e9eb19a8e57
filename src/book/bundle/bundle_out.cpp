// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/bundle.h"
#include "book/bundle/entity_json.h"
#include "book/bundle/thing_was.h"

#include <deque>
#include <fmt/format.h>
#include <map>
#include <ostream>

namespace dynamet::book {
namespace {

using nlohmann::json;

/// One thing a line, so that a change shows as one.
Result<void> write(Book& book, std::ostream& out,
                   const std::function<bool(const ThingRef&)>& wanted, bool whole) {
    std::vector<std::pair<ThingRef, std::string>> sent;
    const auto written = reading(book, [&](SQLite::Database& db) {
        SQLite::Transaction still(db); // one state of the book, whatever is written meanwhile
        const auto shapes = tableShapes(db);
        out << fmt::format("{{\"format\":\"dynamet-bundle\",\"version\":2,\"book_format\":{},"
                           "\"whole\":{},\"tables\":[",
                           kSchemaVersion, whole);
        bool firstTable = true;
        for (const TableShape& shape : shapes) {
            if (shape.id.empty())
                continue;
            out << (firstTable ? "\n" : ",\n") << "{\"name\":\"" << shape.name << "\",\"rows\":[";
            firstTable = false;
            bool first = true;
            for (const std::string& id : idsOf(db, shape)) {
                if (!wanted({shape.name, id}))
                    continue;
                try {
                    auto entity = entityJson(db, shapes, shape, id).value();
                    const std::string digest = digestOfThing(entity);
                    Digests before = statesOf(db, shape.name, id);
                    if (!before.contains(digest))
                        sent.push_back({{shape.name, id}, digest});
                    before.erase(digest);
                    if (!before.empty())
                        entity[kWasBefore] = before;
                    out << (first ? "\n" : ",\n") << entity.dump();
                } catch (const json::exception&) {
                    throw Error{Errc::corruptData,
                                fmt::format("{} {}: a text is no UTF-8", shape.name, id)};
                }
                first = false;
            }
            out << "]}";
        }
        out << "\n]}\n";
        return true;
    });
    if (!written)
        return tl::unexpected(written.error());
    if (!out.flush())
        return fail(Errc::io, "the bundle could not be written; is the disk full?");
    if (!book.writable() || sent.empty())
        return {};
    return inTransaction(book, [&](SQLite::Database& db) {
        for (const auto& [thing, digest] : sent)
            addStates(db, thing.table, thing.id, {digest});
    });
}

/// Every text of a thing that may be an id, with those inside its JSON columns.
void textsOf(const json& value, std::set<std::string>& out) {
    constexpr std::size_t kLongestId = 64;
    if (value.is_string()) {
        const auto& text = value.get_ref<const std::string&>();
        if (text.size() <= kLongestId)
            out.insert(text);
        if (text.starts_with('{') || text.starts_with('['))
            if (const json inner = json::parse(text, nullptr, false); !inner.is_discarded())
                textsOf(inner, out);
    } else if (value.is_structured()) {
        for (const auto& one : value)
            textsOf(one, out);
    }
}

/// The things that some need: whatever they name, and an appliance's tests with their reductions.
std::set<ThingRef> neededBy(SQLite::Database& db, const std::set<ThingRef>& things) {
    const auto shapes = tableShapes(db);
    std::map<std::string, std::string> tableOf;
    for (const TableShape& shape : shapes)
        if (!shape.id.empty() && shape.name != "book_info")
            for (const std::string& id : idsOf(db, shape))
                tableOf[id] = shape.name;
    const auto idsWhere = [&](const char* query, const std::string& id) {
        SQLite::Statement rows(db, query);
        rows.bind(1, id);
        std::vector<std::string> out;
        while (rows.executeStep())
            out.push_back(rows.getColumn(0).getString());
        return out;
    };
    std::set<ThingRef> out = things;
    std::deque<ThingRef> open(things.begin(), things.end());
    const auto add = [&](const ThingRef& one) {
        if (out.insert(one).second)
            open.push_back(one);
    };
    while (!open.empty()) {
        const ThingRef now = open.front();
        open.pop_front();
        const TableShape* shape = findShape(shapes, now.table);
        const auto entity = shape ? entityJson(db, shapes, *shape, now.id) : std::nullopt;
        if (!entity)
            throw Error{Errc::notFound, fmt::format("no {} {}", now.table, now.id)};
        std::set<std::string> texts;
        textsOf(*entity, texts);
        for (const std::string& text : texts)
            if (const auto at = tableOf.find(text); at != tableOf.end())
                add({at->second, text});
        if (now.table == "appliance")
            for (const auto& id : idsWhere("SELECT id FROM test WHERE appliance_id=?", now.id))
                add({"test", id});
        if (now.table == "test")
            for (const auto& id : idsWhere("SELECT id FROM reduction WHERE test_id=?", now.id))
                add({"reduction", id});
    }
    return out;
}

} // namespace

Result<void> writeBundle(Book& book, std::ostream& out) {
    return write(
        book, out, [](const ThingRef&) { return true; }, true);
}

Result<void> writePart(Book& book, const std::set<ThingRef>& things, std::ostream& out) {
    const auto needed = reading(book, [&](SQLite::Database& db) { return neededBy(db, things); });
    if (!needed)
        return tl::unexpected(needed.error());
    return write(
        book, out, [&](const ThingRef& one) { return needed->contains(one); }, false);
}

} // namespace dynamet::book
