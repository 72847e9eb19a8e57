// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"

#include <algorithm>

namespace dynamet::kitchen {

/// Takes numbers out of a field with their curves and covariances: those whose key `goes`.
template <class Goes>
void forgetWhere(HeatField& field, Goes goes) {
    std::erase_if(field.numbers, [&](const FieldNumber& n) { return goes(n.key); });
    std::erase_if(field.curves, [&](const FieldCurve& c) { return goes(c.key); });
    std::erase_if(field.covariances,
                  [&](const FieldCovariance& c) { return goes(c.a) || goes(c.b); });
}

} // namespace dynamet::kitchen
