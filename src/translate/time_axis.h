// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "translate/row.h"

#include <vector>

namespace dynamet::translate {

/// The moment of a slider's place out of so many, s.
double momentAt(double lastS, int place, int places);
/// Marks of a time axis at round times from 0 on, s; `most` at most.
std::vector<double> axisMarks(double endS, int most);
/// Latest moment that any row shows, s: the end of the common time axis.
double axisEndS(const std::vector<Row>& rows);

} // namespace dynamet::translate
