// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "rating/reduce.h"

#include "rating/inputs/inputs.h"

#include <array>
#include <fmt/format.h>

namespace dynamet::rating {
namespace {

using From = Result<Reduction> (*)(const TestInput&);
struct Row {
    const char* id;
    From from;
};
constexpr std::array<Row, 16> kProtocols{{{"water-heat-up", waterHeatUpFrom},
                                          {"boil-off", boilOffFrom},
                                          {"dry-preheat", dryPreheatFrom},
                                          {"surface-map", surfaceMapFrom},
                                          {"load-dip", loadDipFrom},
                                          {"preheat", preheatFrom},
                                          {"block", blockFrom},
                                          {"block-pair", blockPairFrom},
                                          {"one-face-block", oneFaceBlockFrom},
                                          {"zone-sweep", zoneSweepFrom},
                                          {"cavity-map", cavityMapFrom},
                                          {"burn-down", burnDownFrom},
                                          {"coal-count", coalCountFrom},
                                          {"bath-loss", bathLossFrom},
                                          {"oil-heat-up", oilHeatUpFrom},
                                          {"instrument-check", instrumentCheckFrom}}};

} // namespace

Result<Reduction> reduce(const TestInput& test) {
    std::string known;
    for (const Row& row : kProtocols) {
        if (test.protocol == row.id)
            return row.from(test);
        known += (known.empty() ? "" : ", ") + std::string(row.id);
    }
    return fail(Errc::notFound, Finding{"no_such_protocol", {Name{test.protocol}, Name{known}}});
}

} // namespace dynamet::rating
