// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/random.h"

#include "numeric/statistics.h"

namespace dynamet {

std::uint64_t Random::next() {
    std::uint64_t z = (state_ += 0x9e3779b97f4a7c15ULL);
    z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9ULL;
    z = (z ^ (z >> 27)) * 0x94d049bb133111ebULL;
    return z ^ (z >> 31);
}

double Random::uniform() {
    return (static_cast<double>(next() >> 11) + 0.5) * 0x1.0p-53;
}

double Random::normal() {
    return normalQuantile(uniform());
}

} // namespace dynamet
