// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_store.h"
#include "cli/verb.h"
#include "formats/report_json.h"
#include "kitchen/hob_use.h"
#include "kitchen/rate_sheet.h"
#include "quantity/print.h"
#include "words/hob_words.h"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {

Result<kitchen::Kitchen> kitchenOf(const std::string& bookPath) {
    auto book = book::Book::openForReading(bookPath);
    return book ? loadKitchenAt(*book, now().utcMs) : tl::unexpected(book.error());
}

Result<Answer> field(const FieldOptions& options) {
    const auto kitchen = kitchenOf(options.book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    const auto appliance = applianceNamed(*kitchen, options.appliance);
    if (!appliance)
        return tl::unexpected(appliance.error());
    std::vector<kitchen::Setting> settings;
    if (options.setting.empty()) {
        // A pan's preheat is the cook's: each mark once.
        settings = isHob(appliance->kind) ? sheetSettings(*appliance, {})
                                          : possibleSettings(appliance->controls);
    } else {
        const auto one = parseSetting(appliance->controls, options.setting);
        if (!one)
            return tl::unexpected(one.error());
        settings.push_back(*one);
    }
    if (!options.zone.empty() && !findZone(*appliance, options.zone)) {
        std::string known;
        for (const auto& zone : appliance->zones)
            known += (known.empty() ? "" : ", ") + zone.name;
        return fail(Errc::notFound, fmt::format("{} has no zone \"{}\"; it has {}", appliance->name,
                                                options.zone, known));
    }
    Answer out;
    nlohmann::json all{{"format", "dynamet-field"},
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
            all["fields"].push_back(json);
            const kitchen::Site site = placeOf(*kitchen, *appliance, zone.name).site;
            const auto shown = representative(*found, site.ambient.kelvin());
            const std::string heat = printTemperature(Temperature::kelvin(shown.kelvin),
                                                      TemperatureUnit::celsius, halfWidthK(shown));
            const kitchen::FieldNumber* power =
                find(*found, {kitchen::Face::all, kitchen::Term::power});
            out.text += fmt::format(
                "\n  {:<36} {:<10} {:<14} {}", settingText(appliance->controls, setting), zone.name,
                power && isHob(appliance->kind)
                    ? words::hobLine(*power, kitchen::litreBoilsS(power->value, site), heat)
                    : heat,
                enumName(shown.provenance));
        }
    out.json = all.dump();
    return out;
}

} // namespace dynamet::cli
