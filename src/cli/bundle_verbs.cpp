// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book out as open JSON and in again.
#include "book/bundle/bundle.h"
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "book/safety/salvage.h"
#include "cli/verb.h"
#include "formats/text_file.h"
#include "words/thing_words.h"

#include <fmt/format.h>
#include <fstream>
#include <map>
#include <nlohmann/json.hpp>
#include <sstream>

namespace dynamet::cli {
namespace {

using nlohmann::json;

/// What is exported: all, or one thing by its name.
Result<std::set<book::ThingRef>> wanted(book::Book& book, const BundleOptions& options) {
    std::set<book::ThingRef> out;
    if (options.appliance.empty() && options.recipe.empty())
        return out;
    const auto kitchen = loadKitchen(book);
    if (!kitchen)
        return tl::unexpected(kitchen.error());
    if (!options.appliance.empty()) {
        const auto one = applianceNamed(*kitchen, options.appliance);
        if (!one)
            return tl::unexpected(one.error());
        out.insert({"appliance", one->id});
    }
    if (!options.recipe.empty()) {
        const auto recipes = loadRecipes(book, *kitchen);
        if (!recipes)
            return tl::unexpected(recipes.error());
        const auto before = out.size();
        for (const auto& recipe : *recipes)
            if (recipe.name == options.recipe || recipe.id == options.recipe)
                out.insert({"recipe", recipe.id});
        if (out.size() == before)
            return fail(Errc::notFound, fmt::format("no recipe \"{}\"", options.recipe));
    }
    return out;
}

/// What became of a thing that differs; empty where nothing was written.
std::string becameOf(const book::BundleConflict& one, const BundleOptions& options) {
    if (options.look)
        return one.onlyTheirs ? "; only they changed it: it would be taken" : "";
    if (options.theirs || (one.onlyTheirs && !options.ours))
        return one.onlyTheirs ? "; only they changed it: theirs was taken" : "; theirs was taken";
    return options.ours ? "; ours was kept" : "; ours was kept until you choose (--theirs, --ours)";
}

Answer answerOf(const book::BundleChanges& changes, const BundleOptions& options) {
    Answer out;
    json added = json::array(), conflicts = json::array();
    std::map<std::string, std::size_t> counts;
    for (const auto& [thing, name] : changes.added) {
        added.push_back({{"table", thing.table}, {"id", thing.id}, {"name", name}});
        ++counts[thing.table];
    }
    std::string of;
    for (const auto& [table, count] : counts)
        of += (of.empty() ? "" : ", ") + words::thingsWords(table, count);
    out.text = fmt::format("{} {}; {} are alike in both", options.look ? "It would add" : "Added",
                           of.empty() ? "nothing" : of, changes.same);
    if (changes.newerHere > 0)
        out.text += fmt::format("; {} are newer here and stay", changes.newerHere);
    for (const auto& one : changes.conflicts) {
        conflicts.push_back({{"table", one.thing.table},
                             {"id", one.thing.id},
                             {"name", one.name},
                             {"differs", one.differs},
                             {"ours", one.ours},
                             {"theirs", one.theirs},
                             {"only_theirs", one.onlyTheirs}});
        out.text += fmt::format("\n{} {}: {} differs, ours {}, theirs {}{}",
                                words::thingWord(one.thing.table), one.name,
                                words::columnWord(one.differs.front()), one.ours, one.theirs,
                                becameOf(one, options));
    }
    out.json = json({{"format", "dynamet-bundle-changes"},
                     {"version", 1},
                     {"written", !options.look},
                     {"same", changes.same},
                     {"newer_here", changes.newerHere},
                     {"added", added},
                     {"conflicts", conflicts}})
                   .dump();
    return out;
}

Result<std::ifstream> opened(const std::string& path) {
    std::ifstream in(path);
    if (!in)
        return fail(Errc::io, fmt::format("{}: No such file, or it cannot be read", path));
    return in;
}

} // namespace

Result<Answer> exportBook(const BundleOptions& options) {
    auto book = book::Book::open(options.book); // it remembers what was sent
    if (!book)
        return tl::unexpected(book.error());
    const auto things = wanted(*book, options);
    if (!things)
        return tl::unexpected(things.error());
    std::ostringstream text;
    const auto made = things->empty() ? writeBundle(*book, text) : writePart(*book, *things, text);
    if (!made)
        return tl::unexpected(made.error());
    if (options.file.empty()) {
        std::string whole = text.str();
        whole.pop_back(); // the end of its last line comes with printing
        return Answer{whole, whole};
    }
    if (const auto written = formats::writeTextFile(options.file, text.str()); !written)
        return tl::unexpected(written.error());
    Answer out;
    out.json =
        json({{"format", "dynamet-bundle-written"}, {"version", 1}, {"path", options.file}}).dump();
    out.text = "Written: " + options.file;
    return out;
}

Result<Answer> takeIn(const BundleOptions& options) {
    auto book =
        options.look ? book::Book::openForReading(options.book) : book::Book::open(options.book);
    if (!book)
        return tl::unexpected(book.error());
    auto in = opened(options.file);
    if (!in)
        return tl::unexpected(in.error());
    auto changes = changesIn(*book, *in);
    if (!changes)
        return tl::unexpected(changes.error().in(options.file));
    if (options.look)
        return answerOf(*changes, options);
    std::optional<std::set<book::ThingRef>> theirs;
    if (options.theirs || options.ours)
        theirs.emplace();
    if (options.theirs)
        for (const auto& one : changes->conflicts)
            theirs->insert(one.thing);
    auto again = opened(options.file);
    if (!again)
        return tl::unexpected(again.error());
    changes = book::takeIn(*book, *again, theirs);
    if (!changes)
        return tl::unexpected(changes.error().in(options.file));
    return answerOf(*changes, options);
}

Result<Answer> bookFrom(const BundleOptions& options) {
    auto in = opened(options.file);
    if (!in)
        return tl::unexpected(in.error());
    if (const auto made = book::bookFromBundle(options.book, *in); !made)
        return tl::unexpected(made.error());
    Answer out;
    out.json =
        json({{"format", "dynamet-book-new"}, {"version", 1}, {"path", options.book}}).dump();
    out.text = options.book + " is made";
    return out;
}

Result<Answer> salvageBook(const BundleOptions& options) {
    const auto saved = book::salvage(options.book, options.file, now());
    if (!saved)
        return tl::unexpected(saved.error());
    Answer out;
    out.json = json({{"format", "dynamet-book-salvaged"},
                     {"version", 1},
                     {"path", options.file},
                     {"rows", saved->rows()},
                     {"left_out", saved->leftOut},
                     {"damaged", saved->damaged}})
                   .dump();
    std::string of;
    for (const std::string& table : saved->damaged)
        of += (of.empty() ? "" : ", ") + words::thingWord(table);
    out.text = fmt::format("{} rows were saved into {}; {}", saved->rows(), options.file,
                           of.empty() ? std::string("nothing is missing")
                                      : "some may be missing of: " + of);
    return out;
}

} // namespace dynamet::cli
