// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/qt_text.h"
#include "app/widgets/quantity_field.h"

namespace dynamet::app::kinds {

// What can be typed in a field, in the cook's units; limits in SI, outside them the field refuses.

QuantityKind length(const Units& units, double lowM, double highM, bool mayBeEmpty = false);
/// Above the sea: metres, or feet.
QuantityKind height(const Units& units);
QuantityKind temperature(const Units& units, double lowC, double highC, bool mayBeEmpty = false);
/// A difference of temperatures, K.
QuantityKind difference(const Units& units, double highK);
/// Of a pan or shelf: cm², or in².
QuantityKind area(const Units& units, double lowM2, double highM2, bool mayBeEmpty = false);
QuantityKind mass(double highKg, bool mayBeEmpty = false);
QuantityKind power(double highW, bool mayBeEmpty = false);
QuantityKind duration(double highS, bool mayBeEmpty = false);
/// A plain number with the unit that is shown behind it ("" = none), SI worth of one of it.
QuantityKind number(const QString& unit, double siPerUnit, double low, double high,
                    bool mayBeEmpty = false);

} // namespace dynamet::app::kinds
