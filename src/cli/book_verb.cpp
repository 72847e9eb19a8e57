// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/kitchen_store.h"
#include "book/safety/seal.h"
#include "cli/verb.h"

#include <chrono>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace dynamet::cli {

book::When now() {
    const auto t = std::chrono::system_clock::now().time_since_epoch();
    return {std::chrono::duration_cast<std::chrono::milliseconds>(t).count(), 0};
}

Result<Answer> checkBook(const std::string& path) {
    auto book = book::Book::openForReading(path);
    if (!book)
        return tl::unexpected(book.error());
    const auto found = book::checkBook(*book);
    if (!found)
        return tl::unexpected(found.error());
    const auto kitchen = loadKitchen(*book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    if (*found != "ok")
        return fail(Errc::corruptData, fmt::format("{}: {}", path, *found));
    const bool outside = book::changedOutside(path).value_or(false);
    Answer out;
    out.json = nlohmann::json({{"format", "dynamet-book-check"},
                               {"version", 1},
                               {"ok", true},
                               {"changed_outside", outside},
                               {"appliances", kitchen->appliances.size()}})
                   .dump();
    out.text = fmt::format(
        "{} is whole: {} appliances, {} sites{}", path, kitchen->appliances.size(),
        kitchen->sites.size(),
        book->access() == book::Book::Access::newer ? ". It was written by a newer Dynamet" : "");
    if (outside)
        out.text += ". But the file is not as Dynamet left it when it closed the book: another "
                    "program, a bad copy or a failing disk changed something; compare it with a "
                    "copy of the last days";
    return out;
}

Result<Answer> newBook(const NewBookOptions& options) {
    kitchen::Site site;
    site.id = book::newId();
    site.name = options.site;
    site.altitudeM = options.altitude;
    if (const auto pressure = standardPressurePa(options.altitude); !pressure)
        return tl::unexpected(pressure.error());
    auto book = book::Book::create(options.path, now());
    if (!book)
        return tl::unexpected(book.error());
    if (const auto added = addSite(*book, site, now()); !added)
        return tl::unexpected(added.error());
    Answer out;
    out.json =
        nlohmann::json({{"format", "dynamet-book-new"}, {"version", 1}, {"path", options.path}})
            .dump();
    out.text = fmt::format("{} is ready, with the site {} at {} m", options.path, site.name,
                           site.altitudeM);
    return out;
}

} // namespace dynamet::cli
