// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/open_sentence.h"

#include "quantity/print.h"

namespace dynamet {
namespace {

constexpr char kMark = '\x01'; // stands in no text that is typed

struct Print {
    Units units;
    std::string operator()(Temperature t) const { return printTemperature(t, units.temperature()); }
    std::string operator()(KelvinDelta d) const { return printDifference(d, units.temperature()); }
    std::string operator()(Metres m) const { return printLength(m.value, units.inches); }
};

} // namespace

OpenSentence::OpenSentence(std::string_view pattern, std::vector<Measure> measures)
    : measures_(std::move(measures)) {
    for (std::size_t i = 0; i < pattern.size(); ++i) {
        const bool open = pattern.substr(i, 2) == "{}";
        text_ += open ? kMark : pattern[i];
        i += open;
    }
}

OpenSentence OpenSentence::after(const std::string& words) const {
    OpenSentence out = *this;
    out.text_ = words + text_;
    return out;
}

std::string OpenSentence::in(Units units) const {
    std::string out;
    std::size_t next = 0;
    for (const char c : text_) {
        if (c == kMark && next < measures_.size())
            out += std::visit(Print{units}, measures_[next++]);
        else
            out += c;
    }
    return out;
}

} // namespace dynamet
