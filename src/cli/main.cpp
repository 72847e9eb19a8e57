// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "cli/verb.h"
#include "formats/report_json.h"

#include <cstdio>

/// Exit status: 0 done, 1 the work could not be done, 2 wrong use.
int main(int argc, char** argv) {
    using namespace dynamet;
    CLI::App app{"Dynamet on the command line: what the window does, as text or JSON"};
    app.require_subcommand(1);
    app.set_version_flag("--version", "dynamet-cli 0.1.0");
    bool asJson = false;
    cli::Run run;
    cli::addSimulate(app, run);
    cli::addRate(app, run);
    cli::addTranslate(app, run);
    cli::addField(app, run);
    cli::addBook(app, run);
    for (CLI::App* verb : app.get_subcommands({}))
        verb->fallthrough()->add_flag("--json", asJson, "print JSON");
    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : 2;
    }
    const auto answer = run();
    if (!answer) {
        const Error& error = answer.error();
        if (asJson)
            std::printf("%s\n", formats::errorJson(error).dump().c_str());
        if (error.line > 0)
            std::fprintf(stderr, "dynamet-cli: line %d: %s\n", error.line, error.message.c_str());
        else
            std::fprintf(stderr, "dynamet-cli: %s\n", error.message.c_str());
        return error.code == Errc::invalidArgument ? 2 : 1;
    }
    std::printf("%s\n", asJson ? answer->json.dump().c_str() : answer->text.c_str());
    return 0;
}
