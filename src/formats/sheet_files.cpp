// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/sheet_files.h"

#include <charconv>
#include <cmath>
#include <filesystem>
#include <optional>
#include <xlsxwriter.h>

namespace dynamet::formats {
namespace {

std::string escaped(const std::string& text) {
    std::string out;
    for (const char c : text)
        switch (c) {
        case '&':
            out += "&amp;";
            break;
        case '<':
            out += "&lt;";
            break;
        case '>':
            out += "&gt;";
            break;
        case '"':
            out += "&quot;";
            break;
        default:
            out += c;
        }
    return out;
}

/// A cell that is a number and nothing else, so that a spreadsheet can count with it.
std::optional<double> numberIn(const std::string& cell) {
    double out = 0;
    const auto [end, code] = std::from_chars(cell.data(), cell.data() + cell.size(), out);
    if (cell.empty() || code != std::errc{} || end != cell.data() + cell.size() ||
        !std::isfinite(out))
        return std::nullopt;
    return out;
}

constexpr const char* kStyle =
    "body{font-family:B612,sans-serif;color:#1b2426;margin:16px}table{border-collapse:collapse}"
    "th{text-align:left;border-bottom:2px solid #1b2426}th,td{padding:4px 10px;vertical-align:top}"
    "td{border-bottom:1px solid #c6cfd0}td:first-child{font-weight:bold}p{margin:4px 0}";

} // namespace

std::string sheetHtml(const words::Sheet& sheet) {
    std::string out = "<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><title>" +
                      escaped(sheet.title) + "</title><style>" + kStyle +
                      "</style></head><body>\n<h1>" + escaped(sheet.title) + "</h1>\n";
    for (const std::string& line : sheet.lead)
        out += "<p>" + escaped(line) + "</p>\n";
    out += "<table width=\"100%\">\n<tr>";
    for (const std::string& head : sheet.headers)
        out += "<th>" + escaped(head) + "</th>";
    out += "</tr>\n";
    for (const auto& row : sheet.rows) {
        out += "<tr>";
        for (const std::string& cell : row)
            out += "<td>" + escaped(cell) + "</td>";
        out += "</tr>\n";
    }
    out += "</table>\n";
    for (const std::string& line : sheet.notes)
        out += "<p>" + escaped(line) + "</p>\n";
    return out + "</body></html>\n";
}

std::string sheetCsv(const words::Sheet& sheet) {
    std::string out;
    const auto line = [&](const std::vector<std::string>& cells) {
        for (std::size_t i = 0; i < cells.size(); ++i) {
            out += i > 0 ? "," : "";
            if (cells[i].find_first_of(",\"\r\n") == std::string::npos) {
                out += cells[i];
                continue;
            }
            out += '"';
            for (const char c : cells[i])
                out += c == '"' ? std::string("\"\"") : std::string(1, c);
            out += '"';
        }
        out += "\r\n";
    };
    line(sheet.headers);
    for (const auto& row : sheet.rows)
        line(row);
    return out;
}

Result<void> writeSheetXlsx(const words::Sheet& sheet, const std::string& path) {
    const std::string beside = path + ".part";
    lxw_workbook* book = workbook_new(beside.c_str());
    if (!book)
        return fail(Errc::io, "the spreadsheet could not be begun");
    lxw_worksheet* page = workbook_add_worksheet(book, "Sheet");
    lxw_format* bold = workbook_add_format(book);
    format_set_bold(bold);
    lxw_format* wrapped = workbook_add_format(book);
    format_set_text_wrap(wrapped);
    format_set_align(wrapped, LXW_ALIGN_VERTICAL_TOP);
    lxw_row_t at = 0;
    worksheet_write_string(page, at++, 0, sheet.title.c_str(), bold);
    for (const std::string& line : sheet.lead)
        worksheet_write_string(page, at++, 0, line.c_str(), nullptr);
    ++at;
    for (std::size_t i = 0; i < sheet.headers.size(); ++i)
        worksheet_write_string(page, at, static_cast<lxw_col_t>(i), sheet.headers[i].c_str(), bold);
    worksheet_freeze_panes(page, at + 1, 1);
    ++at;
    for (const auto& row : sheet.rows) {
        for (std::size_t i = 0; i < row.size(); ++i) {
            const auto column = static_cast<lxw_col_t>(i);
            if (const auto number = numberIn(row[i]))
                worksheet_write_number(page, at, column, *number, wrapped);
            else
                worksheet_write_string(page, at, column, row[i].c_str(), wrapped);
        }
        ++at;
    }
    constexpr double kFirstWide = 34, kOthersWide = 18;
    worksheet_set_column(page, 0, 0, kFirstWide, nullptr);
    if (sheet.headers.size() > 1)
        worksheet_set_column(page, 1, static_cast<lxw_col_t>(sheet.headers.size() - 1), kOthersWide,
                             nullptr);
    for (const std::string& line : sheet.notes)
        worksheet_write_string(page, ++at, 0, line.c_str(), nullptr);
    std::error_code gone;
    if (const lxw_error problem = workbook_close(book); problem != LXW_NO_ERROR) {
        std::filesystem::remove(beside, gone);
        return fail(Errc::io,
                    std::string("the spreadsheet could not be written: ") + lxw_strerror(problem));
    }
    std::error_code error;
    std::filesystem::rename(beside, path, error);
    if (error) {
        std::filesystem::remove(beside, gone);
        return fail(Errc::io, error.message());
    }
    return {};
}

} // namespace dynamet::formats
