// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/simulate_case.h"
#include "formats/text_file.h"

#include <fmt/format.h>

namespace dynamet::cli {
Result<Answer> simulate(const std::string& path) {
    const auto text = formats::readTextFile(path);
    if (!text)
        return tl::unexpected(text.error());
    const auto input = formats::readCase(*text);
    if (!input)
        return tl::unexpected(input.error());
    const auto result = formats::runCase(*input);
    if (!result)
        return tl::unexpected(result.error());
    Answer out;
    out.json = formats::resultJson(*result);
    const bool slab = !result->topC.empty();
    out.text = slab ? "   time s   core °C    top °C bottom °C   mean °C"
                    : "   time s   core °C   side °C   mean °C";
    for (std::size_t i = 0; i < result->timeS.size(); ++i)
        out.text += slab ? fmt::format("\n{:9.1f} {:9.2f} {:9.2f} {:9.2f} {:9.2f}",
                                       result->timeS[i], result->coreC[i], result->topC[i],
                                       result->bottomC[i], result->meanC[i])
                         : fmt::format("\n{:9.1f} {:9.2f} {:9.2f} {:9.2f}", result->timeS[i],
                                       result->coreC[i], result->sideC[i], result->meanC[i]);
    return out;
}

} // namespace dynamet::cli
