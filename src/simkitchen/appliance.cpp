// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/appliance.h"

#include <limits>

namespace simkitchen {

double Appliance::watts() const {
    return std::numeric_limits<double>::quiet_NaN();
}
Appliance::Around Appliance::around() const {
    constexpr double kGrill = 18;
    const double c = at(points().front());
    return {c, c, kGrill};
}
double Appliance::kilograms() const {
    return std::numeric_limits<double>::quiet_NaN();
}

} // namespace simkitchen
