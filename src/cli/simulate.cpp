// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/simulate_case.h"
#include "formats/text_file.h"

#include <fmt/format.h>
#include <memory>

namespace dynamet::cli {
namespace {

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
    out.json = nlohmann::json::parse(formats::resultJson(*input, *result));
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

} // namespace

void addSimulate(CLI::App& app, Run& run) {
    auto* verb =
        app.add_subcommand("simulate", "cook a piece between boundaries (CASE.json, SI units)");
    auto path = std::make_shared<std::string>();
    verb->add_option("CASE", *path, "the case, JSON")->required();
    verb->callback([&run, path] { run = [path] { return simulate(*path); }; });
}

} // namespace dynamet::cli
