// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/csv_fields.h"

#include <array>
#include <charconv>
#include <cstdint>
#include <cstring>

namespace dynamet::formats {
namespace {

constexpr std::array<double, 19> kPowers{1,    1e1,  1e2,  1e3,  1e4,  1e5,  1e6,  1e7,  1e8, 1e9,
                                         1e10, 1e11, 1e12, 1e13, 1e14, 1e15, 1e16, 1e17, 1e18};

std::optional<double> bySystem(std::string_view field, bool decimalComma) {
    char copy[64];
    if (field.size() >= sizeof copy)
        return std::nullopt;
    std::memcpy(copy, field.data(), field.size());
    for (std::size_t i = 0; decimalComma && i < field.size(); ++i)
        if (copy[i] == ',')
            copy[i] = '.';
    double value = 0;
    const char* begin = copy[0] == '+' ? copy + 1 : copy;
    const auto [end, code] = std::from_chars(begin, copy + field.size(), value);
    if (code != std::errc{} || end != copy + field.size())
        return std::nullopt;
    return value;
}

} // namespace

std::string_view unquoted(std::string_view field) {
    while (!field.empty() && (field.front() == ' ' || field.front() == '\t'))
        field.remove_prefix(1);
    while (!field.empty() && (field.back() == ' ' || field.back() == '\t'))
        field.remove_suffix(1);
    if (field.size() >= 2 && field.front() == '"' && field.back() == '"')
        return unquoted(field.substr(1, field.size() - 2));
    return field;
}

/// Most readings are short decimals: digits with one point. They are exact as an integer over a
/// power of ten; anything else goes to std::from_chars.
std::optional<double> readDecimal(std::string_view raw, bool decimalComma) {
    const bool plain = !raw.empty() && raw.front() > ' ' && raw.back() > ' ' && raw.front() != '"';
    const std::string_view field = plain ? raw : unquoted(raw);
    const char point = decimalComma ? ',' : '.';
    std::int64_t digits = 0;
    int behind = -1, count = 0;
    std::size_t i = 0;
    const bool minus = !field.empty() && field[0] == '-';
    if (minus)
        i = 1;
    for (; i < field.size(); ++i) {
        const char c = field[i];
        if (c >= '0' && c <= '9') {
            if (++count > 15)
                return bySystem(field, decimalComma);
            digits = digits * 10 + (c - '0');
            behind += behind >= 0;
        } else if (c == point && behind < 0) {
            behind = 0;
        } else {
            return bySystem(field, decimalComma);
        }
    }
    if (count == 0)
        return std::nullopt;
    const double value =
        static_cast<double>(digits) / kPowers[static_cast<std::size_t>(behind > 0 ? behind : 0)];
    return minus ? -value : value;
}

bool isMissing(std::string_view raw) {
    const std::string_view field = unquoted(raw);
    if (field.empty())
        return true;
    std::string low(field);
    for (char& c : low)
        c = static_cast<char>(c >= 'A' && c <= 'Z' ? c + 32 : c);
    for (const char* word :
         {"-", "--", "---", "nan", "ol", "open", "err", "error", "n/a", "na", "null"})
        if (low == word)
            return true;
    return false;
}

void splitLine(std::string_view line, char delimiter, std::vector<std::string_view>& out) {
    out.clear();
    std::size_t begin = 0;
    if (std::memchr(line.data(), '"', line.size()) == nullptr) { // nearly every log
        const char *at = line.data(), *end = at + line.size();
        for (const char* c = at; c != end; ++c)
            if (*c == delimiter) {
                out.emplace_back(at, static_cast<std::size_t>(c - at));
                at = c + 1;
            }
        out.emplace_back(at, static_cast<std::size_t>(end - at));
        return;
    }
    bool quoted = false;
    for (std::size_t i = 0; i < line.size(); ++i) {
        if (line[i] == '"')
            quoted = !quoted;
        else if (line[i] == delimiter && !quoted) {
            out.push_back(line.substr(begin, i - begin));
            begin = i + 1;
        }
    }
    out.push_back(line.substr(begin));
}

std::string_view takeLine(std::string_view& text) {
    const void* at = std::memchr(text.data(), '\n', text.size());
    const std::size_t length =
        at ? static_cast<std::size_t>(static_cast<const char*>(at) - text.data()) : text.size();
    std::string_view line = text.substr(0, length);
    text.remove_prefix(at ? length + 1 : text.size());
    if (!line.empty() && line.back() == '\r')
        line.remove_suffix(1);
    return line;
}

} // namespace dynamet::formats
