// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_store.h"
#include "cli/verb.h"
#include "formats/report_json.h"
#include "quantity/print.h"

#include <fmt/format.h>
#include <memory>

namespace dynamet::cli {
namespace {

struct Options {
    std::string book, appliance, setting, zone;
};

Result<Answer> field(const Options& options) {
    auto book = book::Book::open(options.book);
    if (!book)
        return tl::unexpected(book.error());
    const auto kitchen = loadKitchen(*book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto appliance = applianceNamed(*kitchen, options.appliance);
    if (!appliance)
        return tl::unexpected(appliance.error());
    std::vector<kitchen::Setting> settings;
    if (options.setting.empty()) {
        settings = possibleSettings(appliance->controls);
    } else {
        const auto one = parseSetting(appliance->controls, options.setting);
        if (!one)
            return tl::unexpected(one.error());
        settings.push_back(*one);
    }
    Answer out;
    out.json = {{"format", "dynamet-field"},
                {"version", 1},
                {"appliance", appliance->name},
                {"fields", nlohmann::json::array()}};
    out.text = appliance->name;
    for (const auto& setting : settings)
        for (const auto& zone : appliance->zones) {
            if (!options.zone.empty() && zone.name != options.zone)
                continue;
            const auto found = fieldAt(*kitchen, appliance->id, setting, zone.name);
            if (!found)
                return tl::unexpected(found.error());
            auto json = formats::fieldJson(*found);
            json["setting"] = settingText(appliance->controls, setting);
            json["zone"] = zone.name;
            out.json["fields"].push_back(json);
            const auto shown = representative(
                *found, placeOf(*kitchen, *appliance, zone.name).site.ambient.kelvin());
            out.text += fmt::format("\n  {:<36} {:<10} {:<14} {}",
                                    settingText(appliance->controls, setting), zone.name,
                                    printTemperature(Temperature::kelvin(shown.kelvin),
                                                     TemperatureUnit::celsius, 1.96 * shown.u),
                                    word(shown.provenance));
        }
    return out;
}

} // namespace

void addField(CLI::App& app, Run& run) {
    auto* verb = app.add_subcommand("field", "the heat of an appliance, setting by setting");
    auto options = std::make_shared<Options>();
    verb->add_option("BOOK", options->book, "the book")->required();
    verb->add_option("APPLIANCE", options->appliance, "its name")->required();
    verb->add_option("SETTING", options->setting, "e.g. oven=180C");
    verb->add_option("ZONE", options->zone, "e.g. indirect");
    verb->callback([&run, options] { run = [options] { return field(*options); }; });
}

} // namespace dynamet::cli
