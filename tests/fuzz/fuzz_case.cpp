// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A case to be simulated, as JSON: read within its bounds or refused; never run here.
#include "formats/simulate_case.h"
#include "fuzz/seeds.h"

std::vector<std::string> dynamet::fuzz::seeds() {
    return {R"~({"piece": {"shape": "slab", "thickness_m": 0.03,
 "properties": {"k": 0.45, "rho": 1050, "c": 3500}, "start_C": 5},
 "stages": [{"duration_s": 900, "top": {"air_C": 200, "h": 15}, "bottom": {"plate": {"C": 230, "contact": 400}}, "turn_after": false}],
 "report_every_s": 30, "pressure_Pa": 101325})~",
            R"~({"piece": {"shape": "slab", "thickness_m": 0.028, "start_C": 5,
 "properties": {"composition": {"water": 0.72, "protein": 0.20, "fat": 0.07, "carbohydrate": 0, "fibre": 0, "ash": 0.01}}},
 "stages": [{"duration_s": 200, "top": {"air_C": 40, "h": 8, "radiant_C": 40, "emissivity_view": 0.9, "evaporation": {"vapour_Pa": 2000}},
 "bottom": {"plate": {"C": 210, "contact": 300}}, "turn_after": true}], "report_every_s": 100})~"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const auto read = dynamet::formats::readCase(std::string(textOf(data, size)));
    MUST(read.has_value() || !read.error().message.empty());
    return 0;
}
