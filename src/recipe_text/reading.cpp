// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe_text/reading.h"

#include <algorithm>
#include <cmath>

namespace dynamet::recipe_text {
namespace {

/// Further than so many bytes no word bears on another: texts without stops are read in linear
/// time.
constexpr std::size_t kNear = 240;

bool isSpace(char c) {
    return c == ' ' || c == '\n' || c == '\t' || c == '\r';
}

/// Ends of sentences: a stop before a space or the end that is no "min.", "approx." or decimal, and
/// every empty line.
std::vector<std::size_t> endsOf(std::string_view text) {
    std::vector<std::size_t> out;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const bool last = i + 1 == text.size();
        if (text[i] == '\n')
            out.push_back(i + 1);
        else if ((text[i] == '.' || text[i] == '!' || text[i] == '?') &&
                 (last || isSpace(text[i + 1]))) {
            std::size_t next = i + 1;
            while (next < text.size() && isSpace(text[next]))
                ++next;
            if (next >= text.size() || !std::islower(static_cast<unsigned char>(text[next])))
                out.push_back(i + 1);
        }
    }
    if (out.empty() || out.back() != text.size())
        out.push_back(text.size());
    return out;
}

} // namespace

std::unique_ptr<re2::RE2> compiled(const std::string& pattern) {
    return std::make_unique<re2::RE2>("(?i)" + pattern);
}

bool holds(const std::string& text, const re2::RE2& pattern) {
    return re2::RE2::PartialMatch(text, pattern);
}

Reading::Reading(std::string_view text, std::optional<TemperatureUnit> scale)
    : text_(text), scale_(scale), claimed_(text.size(), false), sentences_(endsOf(text)) {}

void Reading::each(const re2::RE2& pattern, const std::function<void(const Groups&)>& found) const {
    const re2::StringPiece whole(text_.data(), text_.size());
    Groups groups(static_cast<std::size_t>(pattern.NumberOfCapturingGroups()) + 1);
    for (std::size_t from = 0;
         from <= whole.size() && pattern.Match(whole, from, whole.size(), re2::RE2::UNANCHORED,
                                               groups.data(), static_cast<int>(groups.size()));) {
        const std::size_t begin = at(groups[0]);
        if (groups[0].empty()) {
            from = begin + 1;
            continue;
        }
        if (isClaimed(begin, begin + groups[0].size())) {
            from = begin + 1;
            while (from < text_.size() && (static_cast<unsigned char>(text_[from]) & 0xC0) == 0x80)
                ++from;
            continue;
        }
        from = begin + groups[0].size();
        found(groups);
    }
}

std::size_t Reading::at(re2::StringPiece piece) const {
    return static_cast<std::size_t>(piece.data() - text_.data());
}

bool Reading::isClaimed(std::size_t begin, std::size_t end) const {
    for (std::size_t i = begin; i < end; ++i)
        if (claimed_[i])
            return true;
    return false;
}

void Reading::pass(re2::StringPiece piece) {
    const auto begin = claimed_.begin() + static_cast<std::ptrdiff_t>(at(piece));
    std::fill(begin, begin + static_cast<std::ptrdiff_t>(piece.size()), true);
}

Binding* Reading::claim(re2::StringPiece piece, BindingKind kind, std::optional<double> low,
                        std::optional<double> high) {
    while (!piece.empty() && isSpace(piece[0]))
        piece.remove_prefix(1);
    while (!piece.empty() && isSpace(piece[piece.size() - 1]))
        piece.remove_suffix(1);
    if (piece.empty() || isClaimed(at(piece), at(piece) + piece.size()))
        return nullptr;
    if ((low && !std::isfinite(*low)) || (high && !std::isfinite(*high)))
        return nullptr;
    pass(piece);
    Binding out;
    out.begin = at(piece);
    out.end = out.begin + piece.size();
    out.kind = kind;
    out.text = std::string(piece);
    out.low = low;
    out.high = high ? high : low;
    if (out.low && out.high && *out.low > *out.high)
        std::swap(*out.low, *out.high);
    bindings_.push_back(std::move(out));
    return &bindings_.back();
}

std::pair<std::size_t, std::size_t> Reading::sentenceOf(std::size_t place) const {
    const auto end = std::upper_bound(sentences_.begin(), sentences_.end(), place);
    return {end == sentences_.begin() ? 0 : *std::prev(end),
            end == sentences_.end() ? text_.size() : *end};
}

std::string Reading::part(std::size_t begin, std::size_t end) const {
    std::string out(text_.substr(begin, end - begin));
    for (char& c : out)
        c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    return out;
}

std::string Reading::before(std::size_t place) const {
    const std::size_t from = sentenceOf(place).first;
    return part(std::max(from, place - std::min(place, kNear)), place);
}

std::string Reading::behind(std::size_t place) const {
    return part(place, std::min(sentenceOf(place).second, place + kNear));
}

std::string Reading::clauseBefore(std::size_t place) const {
    const std::string all = before(place);
    const auto stop = all.find_last_of(",;:");
    return stop == std::string::npos ? all : all.substr(stop + 1);
}

std::string Reading::clauseBehind(std::size_t place) const {
    const std::string all = behind(place);
    return all.substr(0, all.find_first_of(",;:"));
}

} // namespace dynamet::recipe_text
