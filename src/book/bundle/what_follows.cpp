// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/what_follows.h"

#include "book/log_store.h"

#include <filesystem>
#include <vector>

namespace dynamet::book {

void renewWhatFollows(SQLite::Database& db) {
    db.exec("DELETE FROM newest_number");
    db.exec("INSERT INTO rated_place SELECT * FROM rated_place");
    std::vector<std::string> cooks;
    SQLite::Statement ids(db, "SELECT id FROM cook");
    while (ids.executeStep())
        cooks.push_back(ids.getColumn(0).getString());
    for (const std::string& cook : cooks)
        logCook(db, cook);
}

void discard(Book book) {
    const std::string path = book.path();
    { const Book closed = std::move(book); }
    std::error_code ignored;
    for (const char* end : {"", "-wal", "-shm", "-lock"})
        std::filesystem::remove(path + end, ignored);
}

} // namespace dynamet::book
