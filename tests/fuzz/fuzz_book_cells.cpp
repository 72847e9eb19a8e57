// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book in whose cells anything may stand: numbers for texts, broken JSON, references to nobody.
#include "fuzz/seeds.h"
#include "fuzz/small_book.h"

using namespace dynamet;

namespace {

struct Cell {
    std::string table, column;
};

std::vector<Cell> cellsOf(SQLite::Database& db) {
    std::vector<Cell> out;
    SQLite::Statement s(db, "SELECT m.name, c.name FROM sqlite_master m, pragma_table_info(m.name) "
                            "c WHERE m.type='table' AND m.name NOT LIKE 'sqlite_%'");
    while (s.executeStep())
        out.push_back({s.getColumn(0).getString(), s.getColumn(1).getString()});
    return out;
}

/// The column, how the value is meant, and the value.
void change(SQLite::Database& db, const std::vector<Cell>& cells, std::string_view input) {
    if (input.size() < 3)
        return;
    const auto byte = [&](std::size_t i) { return static_cast<unsigned char>(input[i]); };
    const Cell& cell = cells[static_cast<std::size_t>(byte(0) << 8 | byte(1)) % cells.size()];
    const std::string value(input.substr(3));
    try {
        SQLite::Statement s(db, "UPDATE " + cell.table + " SET " + cell.column + "=?");
        switch (byte(2) % 6) {
        case 0:
            s.bind(1, value);
            break;
        case 1:
            s.bind(1, std::strtod(value.c_str(), nullptr));
            break;
        case 2:
            s.bind(1, value.data(), static_cast<int>(value.size()));
            break;
        case 3:
            s.bind(1, std::string());
            break;
        case 4:
            s.bind(1, static_cast<std::int64_t>(std::strtoll(value.c_str(), nullptr, 10)));
            break;
        default:
            s.bind(1);
        }
        s.exec();
    } catch (const SQLite::Exception&) { // the table itself refuses it
    }
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    std::vector<std::string> out;
    for (const char* value : {"oven", "1e23", "-1", "{}", "[1,2]", "oven=180C", "", "2027-01-01"})
        for (int at = 0; at < 200; at += 40)
            out.push_back(std::string{0, static_cast<char>(at), static_cast<char>(out.size() % 6)} +
                          value);
    return out;
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const std::string path = fuzz::scratchFolder() + "/cells.dynamet";
    static std::unique_ptr<book::Book> book;
    static std::vector<Cell> cells;
    if (!book) {
        std::filesystem::remove(path);
        book = std::make_unique<book::Book>(fuzz::need(book::Book::create(path, fuzz::kWhen)));
        fuzz::fill(*book);
        cells = cellsOf(book->database());
        book->database().exec("PRAGMA foreign_keys = OFF");
        book->database().exec("PRAGMA ignore_check_constraints = ON");
    }
    SQLite::Database& db = book->database();
    db.exec("BEGIN");
    const std::string_view input = textOf(data, size);
    const auto half = input.find('\0');
    change(db, cells, input.substr(0, half));
    if (half != std::string_view::npos)
        change(db, cells, input.substr(half + 1));
    fuzz::readAll(*book, size % 16 == 0);
    db.exec("ROLLBACK");
    return 0;
}
