// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/log_store.h"

#include "book/table_row.h"
#include "run/judged.h"

namespace dynamet::book {
namespace {

using SQLite::Database;
using SQLite::Statement;

} // namespace

std::string searchOf(const std::string& typed) {
    std::string out, word;
    const auto end = [&](bool last) {
        if (!word.empty())
            out += (out.empty() ? "\"" : " \"") + word + (last ? "\"*" : "\"");
        word.clear();
    };
    for (const char c : typed) {
        if (c == ' ' || c == '\t' || c == '\n' || c == '"')
            end(false);
        else
            word += c;
    }
    end(true);
    return out;
}

void logCook(Database& db, const std::string& cookId) {
    Statement s(db, "SELECT * FROM cook WHERE id=?");
    s.bind(1, cookId);
    if (!s.executeStep())
        return;
    const RowReader row(s);
    std::string words;
    if (const auto judged = run::readJudged(row.text("judged_json")))
        for (const std::string* part :
             {&judged->verdict, &judged->reason, &judged->notes, &judged->nextTime})
            if (!part->empty())
                words += (words.empty() ? "" : "\n") + *part;
    Statement put(db, "INSERT INTO log_line(kind, ref, at_ms, appliance_id, food_id, person, "
                      "title, words, hidden) VALUES ('cook', ?, ?, ?, ?, ?, ?, ?, 0) ON "
                      "CONFLICT(kind, ref) DO UPDATE SET title = excluded.title, words = "
                      "excluded.words");
    put.bind(1, cookId);
    put.bind(2, row.whole("created_at_ms"));
    put.bind(3, row.text("appliance_id"));
    put.bind(4, row.text("food_id"));
    put.bind(5, row.text("person"));
    put.bind(6, row.text("name"));
    put.bind(7, words);
    put.exec();
}

Result<std::vector<LogLine>> logLines(Book& book, const LogFilter& filter) {
    return reading(book, [&](Database& db) {
        const std::string search = searchOf(filter.text);
        std::string sql = "SELECT l.* FROM log_line l WHERE l.hidden = 0";
        std::vector<CellValue> values;
        const auto narrow = [&](const char* clause, CellValue value) {
            sql += clause;
            values.push_back(std::move(value));
        };
        if (!search.empty())
            narrow(" AND l.id IN (SELECT rowid FROM log_text WHERE log_text MATCH ?)", search);
        if (!filter.kind.empty())
            narrow(" AND l.kind = ?", filter.kind);
        if (!filter.applianceId.empty())
            narrow(" AND l.appliance_id = ?", filter.applianceId);
        if (!filter.foodId.empty())
            narrow(" AND l.food_id = ?", filter.foodId);
        if (!filter.person.empty())
            narrow(" AND l.person = ?", filter.person);
        if (filter.fromMs > 0)
            narrow(" AND l.at_ms >= ?", filter.fromMs);
        if (filter.untilMs > 0)
            narrow(" AND l.at_ms < ?", filter.untilMs);
        narrow(" ORDER BY l.at_ms DESC LIMIT ?", std::int64_t{filter.most});
        Statement s(db, sql);
        for (std::size_t i = 0; i < values.size(); ++i) {
            const int at = static_cast<int>(i) + 1;
            if (const auto* text = std::get_if<std::string>(&values[i]))
                s.bind(at, *text);
            else
                s.bind(at, std::get<std::int64_t>(values[i]));
        }
        const RowReader row(s);
        std::vector<LogLine> out;
        while (s.executeStep())
            out.push_back({row.text("kind"), row.text("ref"), row.whole("at_ms"),
                           row.text("appliance_id"), row.text("food_id"), row.text("person"),
                           row.text("title"), row.text("words")});
        return out;
    });
}

Result<std::vector<std::string>> logPeople(Book& book) {
    return reading(book, [&](Database& db) {
        Statement s(db, "SELECT DISTINCT person FROM log_line WHERE person <> '' AND hidden = 0 "
                        "ORDER BY person");
        std::vector<std::string> out;
        while (s.executeStep())
            out.push_back(s.getColumn(0).getString());
        return out;
    });
}

} // namespace dynamet::book
