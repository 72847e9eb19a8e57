// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/report_json.h"
#include "words/say.h"

#include <CLI/CLI.hpp>
#include <cstdio>
#include <functional>
#include <nlohmann/json.hpp>

namespace {

using namespace dynamet;
using Run = std::function<Result<cli::Answer>()>;

/// Everything that can be typed; filled by the parser.
struct Typed {
    std::string path;
    cli::RateOptions rate;
    cli::TranslateOptions translate;
    cli::FieldOptions field;
    cli::FindOptions find;
    cli::CoalsOptions coals;
    cli::WordsOptions words;
    cli::PlanOptions plan;
    cli::RewriteOptions rewrite;
    cli::NewBookOptions book;
    cli::BundleOptions bundle;
    bool json = false;
    Run run;
};

void addRate(CLI::App& app, Typed& typed) {
    auto* verb =
        app.add_subcommand("rate", "reduce a test to rated quantities with their uncertainty");
    verb->add_option("PROTOCOL", typed.rate.protocol,
                     "water-heat-up, block and others; a wrong one lists them")
        ->required();
    verb->add_option("--log", typed.rate.log, "the log, CSV");
    verb->add_option("--key", typed.rate.keyed,
                     "ROLE=readings typed in a row, as probe=\"142 139\"");
    verb->add_option("--column", typed.rate.columns, "NAME=ROLE, for each column that is used");
    verb->add_option("--interval", typed.rate.interval,
                     "how far apart readings without times are, s");
    verb->add_option("--time", typed.rate.time, "how times are written: elapsed_min_s and others");
    verb->add_option("--unit", typed.rate.unit, "of readings that name none: C, F or K");
    verb->add_option(
        "--with", typed.rate.with,
        "NAME=VALUE in the unit of the name, or a choice's word; `protocols` lists them");
    verb->add_flag("--no-lid", typed.rate.noLid, "water-heat-up without a lid");
    verb->add_flag("--fan", typed.rate.fan, "block in forced air");
    verb->callback([&typed] { typed.run = [&typed] { return cli::rate(typed.rate); }; });
}

void addProtocols(CLI::App& app, Typed& typed) {
    auto* verb = app.add_subcommand("protocols", "what each test takes: readings and values");
    verb->add_option("PROTOCOL", typed.path, "one of them; all without it");
    verb->callback([&typed] { typed.run = [&typed] { return cli::protocols(typed.path); }; });
}

void addTranslate(CLI::App& app, Typed& typed) {
    auto* verb = app.add_subcommand("translate", "carry a recipe of the book to other appliances");
    verb->add_option("BOOK", typed.translate.book, "the book")->required();
    auto* recipe = verb->add_option("--recipe", typed.translate.recipe, "name of the recipe");
    verb->add_option("--quick", typed.translate.quick,
                     "a line instead: \"salmon 25 mm, 200 C 12 min, wall oven\"")
        ->excludes(recipe);
    verb->add_option("--to", typed.translate.to, "an appliance, or all");
    verb->add_option("--method", typed.translate.method,
                     "straight (through), or all: the best two or three ways on each")
        ->check(CLI::IsMember({"straight", "all"}));
    verb->add_option("--stage", typed.translate.stage,
                     "the stage that moves, counted from 1, the others stay as written; without "
                     "it the whole cook moves")
        ->check(CLI::PositiveNumber);
    verb->add_flag("--fahrenheit", typed.translate.fahrenheit,
                   "print and round pull temperatures in °F");
    verb->add_option("--site", typed.translate.site, "a place whose weather on the day follows");
    verb->add_option("--air", typed.translate.air, "its air, as 3C or 37F");
    verb->add_option("--wind", typed.translate.wind, "its wind, m/s");
    verb->add_option("--altitude", typed.translate.altitude, "how high it is cooked, m");
    verb->callback([&typed] { typed.run = [&typed] { return cli::translate(typed.translate); }; });
}

/// A verb on one row of a translation.
void addRowVerb(CLI::App& app, Typed& typed, const char* name, const char* says,
                Result<cli::Answer> (*does)(const cli::TranslateOptions&)) {
    auto* verb = app.add_subcommand(name, says);
    verb->add_option("BOOK", typed.translate.book, "the book")->required();
    auto* recipe = verb->add_option("--recipe", typed.translate.recipe, "name of the recipe");
    verb->add_option("--quick", typed.translate.quick, "a line instead")->excludes(recipe);
    auto* to = verb->add_option("--to", typed.translate.to, "the appliance");
    if (std::string(name) == "card")
        to->required();
    verb->add_flag("--fahrenheit", typed.translate.fahrenheit, "print in °F and inches");
    verb->callback(
        [&typed, does] { typed.run = [&typed, does] { return does(typed.translate); }; });
}

void addRewrite(CLI::App& app, Typed& typed) {
    auto* verb =
        app.add_subcommand("rewrite", "a recipe's text, with the words of another appliance");
    verb->add_option("BOOK", typed.rewrite.book, "the book")->required();
    verb->add_option("--text", typed.rewrite.text, "the recipe, as of `words`")->required();
    verb->add_option("--from", typed.rewrite.from, "the appliance it was written for")->required();
    verb->add_option("--to", typed.rewrite.to, "the appliance it goes to")->required();
    verb->add_option("--scale", typed.rewrite.scale, "C or F, of numbers that name none")
        ->check(CLI::IsMember({"C", "F"}));
    verb->callback([&typed] { typed.run = [&typed] { return cli::rewrite(typed.rewrite); }; });
}

void addCoals(CLI::App& app, Typed& typed) {
    auto* verb = app.add_subcommand(
        "coals", "count the coals under and on an iron oven, or under an open grate");
    verb->add_option("BOOK", typed.coals.book, "the book")->required();
    verb->add_option("OVEN", typed.coals.oven, "an iron oven of it; with --open what burns coals")
        ->required();
    verb->add_option("--inside", typed.coals.inside, "temperature inside, as 180C or 350F");
    verb->add_option("--stacked", typed.coals.stacked, "ovens on one another (1)");
    verb->add_flag("--open", typed.coals.open, "coals under an open grate");
    verb->add_option("--chimney", typed.coals.chimney, "chimneys lit for it, as 0.5 (1)");
    verb->add_option("--layout", typed.coals.layout, "even, banked or half");
    verb->add_option("--age", typed.coals.age, "since they were lit through, as 20min");
    verb->add_option("--job", typed.coals.job, "bake, roast, simmer or fry");
    verb->add_option("--site", typed.coals.site, "another place of the book than the oven's own");
    verb->add_option("--inches", typed.coals.inches, "the oven's size, inches across (12)");
    verb->add_flag("--deep", typed.coals.deep, "a deep oven");
    verb->add_option("--lasts", typed.coals.lasts, "how long the cook takes, as 45min");
    verb->add_flag("--fahrenheit", typed.coals.fahrenheit, "print in °F");
    verb->callback([&typed] { typed.run = [&typed] { return cli::coals(typed.coals); }; });
}

void addPlan(CLI::App& app, Typed& typed) {
    auto* verb = app.add_subcommand("plan", "a whole menu on the table at once");
    verb->add_option("BOOK", typed.plan.book, "the book")->required();
    verb->add_option("--menu", typed.plan.menu, "name of the menu")->required();
    verb->add_option("--serve", typed.plan.serve,
                     "when it is served, as 18:30; else as the menu says");
    verb->add_option("--from", typed.plan.from, "nothing is begun before, as 15:00");
    verb->add_option("--ics", typed.plan.calendar, "write it as iCalendar to this file too");
    verb->add_option("--day", typed.plan.day, "of the serving, as 2026-12-01; of the calendar");
    verb->add_flag("--fahrenheit", typed.plan.fahrenheit, "print in °F");
    verb->callback([&typed] { typed.run = [&typed] { return cli::plan(typed.plan); }; });
}

void addWords(CLI::App& app, Typed& typed) {
    auto* verb = app.add_subcommand("words", "what a recipe's text says of heat, time and food");
    verb->add_option("--text", typed.words.text,
                     "the recipe: plain text, schema.org JSON-LD, or a page that holds one")
        ->required();
    verb->add_option("--scale", typed.words.scale, "C or F, of numbers that name none")
        ->check(CLI::IsMember({"C", "F"}));
    verb->callback([&typed] { typed.run = [&typed] { return cli::words(typed.words); }; });
}

void addBook(CLI::App& app, Typed& typed) {
    auto* verb =
        app.add_subcommand("book", "check a kitchen book, begin one, export it, take another in");
    verb->require_subcommand(1);
    auto* check = verb->add_subcommand("check", "is the book whole?");
    check->add_option("BOOK", typed.path, "the book")->required();
    check->callback([&typed] { typed.run = [&typed] { return cli::checkBook(typed.path); }; });
    auto* begin = verb->add_subcommand("new", "begin a new book");
    begin->add_option("BOOK", typed.book.path, "the file to make")->required();
    begin->add_option("--site", typed.book.site, "name of the site");
    begin->add_option("--altitude", typed.book.altitude, "metres above the sea");
    begin->callback([&typed] { typed.run = [&typed] { return cli::newBook(typed.book); }; });
    auto* out = verb->add_subcommand("export", "write a book, or a part of it, as open JSON");
    out->add_option("BOOK", typed.bundle.book, "the book")->required();
    out->add_option("--to", typed.bundle.file, "a file; without it, standard output");
    out->add_option("--appliance", typed.bundle.appliance, "this one with its tests alone");
    out->add_option("--recipe", typed.bundle.recipe, "this one with its appliances alone");
    out->callback([&typed] { typed.run = [&typed] { return cli::exportBook(typed.bundle); }; });
    auto* in = verb->add_subcommand("take-in", "take in what another book exported");
    in->add_option("BOOK", typed.bundle.book, "the book")->required();
    in->add_option("FILE", typed.bundle.file, "what was exported")->required();
    in->add_flag("--look", typed.bundle.look, "say what it would change, and change nothing");
    auto* theirs =
        in->add_flag("--theirs", typed.bundle.theirs, "where both differ, theirs counts");
    in->add_flag("--ours", typed.bundle.ours, "where both differ, ours counts")->excludes(theirs);
    in->callback([&typed] { typed.run = [&typed] { return cli::takeIn(typed.bundle); }; });
    auto* make = verb->add_subcommand("from", "make a new book of what was exported");
    make->add_option("FILE", typed.bundle.file, "a whole book, exported")->required();
    make->add_option("BOOK", typed.bundle.book, "the file to make")->required();
    make->callback([&typed] { typed.run = [&typed] { return cli::bookFrom(typed.bundle); }; });
    auto* save = verb->add_subcommand("salvage", "save what can be read of a damaged book");
    save->add_option("BOOK", typed.bundle.book, "the damaged book; it stays as it is")->required();
    save->add_option("NEW", typed.bundle.file, "the file to make")->required();
    save->callback([&typed] { typed.run = [&typed] { return cli::salvageBook(typed.bundle); }; });
    for (CLI::App* inner : {check, begin, out, in, make, save})
        inner->add_flag("--json", typed.json, "print JSON");
}

void addVerbs(CLI::App& app, Typed& typed) {
    auto* simulate =
        app.add_subcommand("simulate", "cook a piece between boundaries (CASE.json, SI units)");
    simulate->add_option("CASE", typed.path, "the case, JSON")->required();
    simulate->callback([&typed] { typed.run = [&typed] { return cli::simulate(typed.path); }; });
    addRate(app, typed);
    addProtocols(app, typed);
    addTranslate(app, typed);
    auto* field = app.add_subcommand("field", "the heat of an appliance, setting by setting");
    field->add_option("BOOK", typed.field.book, "the book")->required();
    field->add_option("APPLIANCE", typed.field.appliance, "its name")->required();
    field->add_option("SETTING", typed.field.setting, "e.g. oven=180C");
    field->add_option("ZONE", typed.field.zone, "e.g. indirect");
    field->callback([&typed] { typed.run = [&typed] { return cli::field(typed.field); }; });
    auto* find =
        app.add_subcommand("find", "setups of an appliance that make a zone as hot as wanted");
    find->add_option("BOOK", typed.find.book, "the book")->required();
    find->add_option("APPLIANCE", typed.find.appliance, "its name")->required();
    find->add_option("--zone", typed.find.zones, "a zone; may be given more than once")->required();
    find->add_option("--between", typed.find.between, "LOW..HIGH for it, e.g. 110C..125C or 240C..")
        ->required();
    find->callback([&typed] { typed.run = [&typed] { return cli::find(typed.find); }; });
    addRowVerb(app, typed, "card", "one row of a translation as a card", &cli::card);
    addRowVerb(app, typed, "narrow",
               "what would narrow a row's window; without a recipe, what to rate next",
               &cli::narrow);
    addRewrite(app, typed);
    addCoals(app, typed);
    addPlan(app, typed);
    addWords(app, typed);
    addBook(app, typed);
    for (CLI::App* verb : app.get_subcommands({}))
        verb->add_flag("--json", typed.json, "print JSON");
}

} // namespace

/// Exit status: 0 done, 1 the work could not be done, 2 wrong use.
int main(int argc, char** argv) {
    CLI::App app{"Dynamet on the command line: what the window does, as text or JSON"};
    app.require_subcommand(1);
    app.set_version_flag("--version", "dynamet-cli " DYNAMET_VERSION);
    Typed typed;
    addVerbs(app, typed);
    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : 2;
    }
    const auto answer = typed.run();
    if (answer) {
        std::printf("%s\n", (typed.json ? answer->json : answer->text).c_str());
        if (std::fflush(stdout) == 0 && !std::ferror(stdout))
            return 0;
        std::fprintf(stderr, "dynamet-cli: the answer could not be written\n");
        return 1;
    }
    const Error& error = answer.error();
    const std::string says = words::text(error, {});
    if (typed.json)
        std::printf("%s\n", formats::errorJson(error).dump().c_str());
    if (error.line > 0)
        std::fprintf(stderr, "dynamet-cli: line %d: %s\n", error.line, says.c_str());
    else
        std::fprintf(stderr, "dynamet-cli: %s\n", says.c_str());
    return error.code == Errc::invalidArgument ? 2 : 1;
}
