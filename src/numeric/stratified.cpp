// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "numeric/stratified.h"

#include "numeric/statistics.h"

#include <numeric>

namespace dynamet {

std::vector<double> stratifiedNormals(std::size_t samples, std::size_t inputs, Random& random) {
    std::vector<double> out(samples * inputs);
    std::vector<std::size_t> order(samples);
    for (std::size_t j = 0; j < inputs; ++j) {
        std::iota(order.begin(), order.end(), 0);
        for (std::size_t i = samples; i-- > 1;)
            std::swap(order[i], order[random.next() % (i + 1)]);
        for (std::size_t i = 0; i < samples; ++i)
            out[i * inputs + j] = normalQuantile(
                (static_cast<double>(order[i]) + random.uniform()) / static_cast<double>(samples));
    }
    return out;
}

} // namespace dynamet
