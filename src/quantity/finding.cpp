// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/finding.h"

#include <fmt/format.h>

namespace dynamet {
namespace {

struct Bare {
    std::string operator()(Temperature t) const { return fmt::format("{:.2f} K", t.kelvin()); }
    std::string operator()(KelvinDelta d) const { return fmt::format("{:.2f} K", d.kelvin()); }
    std::string operator()(Metres m) const { return fmt::format("{:.4f} m", m.value); }
    std::string operator()(Seconds s) const { return fmt::format("{:.0f} s", s.value); }
    std::string operator()(const Number& n) const {
        return fmt::format("{:.6g}{}{}", n.value, n.unit.empty() ? "" : " ", n.unit);
    }
    std::string operator()(const Estimate& e) const {
        return fmt::format("{:.6g} ± {:.2g} {}", e.value, e.halfWidth, e.unit);
    }
    std::string operator()(const Name& n) const { return n.text; }
};

} // namespace

std::string bareText(const Finding& finding) {
    std::string out = finding.code;
    for (std::size_t i = 0; i < finding.measures.size(); ++i)
        out += (i ? ", " : ": ") + std::visit(Bare{}, finding.measures[i]);
    return out;
}

} // namespace dynamet
