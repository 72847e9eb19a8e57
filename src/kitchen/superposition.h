// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/rated_field.h"

#include <optional>

namespace dynamet::kitchen {

/// A burner set nobody tested, from tests of single burners: the rises over ambient add up, scaled
/// by how tested combinations came out against the same sum; the misfit of those is the
/// uncertainty (a quarter of the rise while no combination was tested). nullopt unless every lit
/// burner was tested alone at its level in this zone.
std::optional<FieldNumber> superposed(FieldKey key, const Appliance& appliance,
                                      const Setting& setting, const Place& place,
                                      std::span<const RatedNumber> rated);

} // namespace dynamet::kitchen
