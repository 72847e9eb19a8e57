// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The simulated kitchen: instruments on pseudo terminals in a folder, a control line beside them.
#include "simkitchen/service.h"

#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <sys/stat.h>

namespace {

volatile bool stopped = false;

void stop(int) {
    stopped = true;
}

constexpr const char* kHelp =
    "dynamet-simkitchen: a kitchen to practise on, without a real instrument\n"
    "  --dir FOLDER   where thermometer, bench, scale, meter and control are linked\n"
    "  --speed N      so many times as fast as real time (1)\n"
    "  --seed N       another hidden kitchen (1)\n"
    "  --for S        ends after so many real seconds\n"
    "On FOLDER/control: list | set oven dial 180 | put oven block | take oven block |\n"
    "  plug thermometer 1 oven air | unplug thermometer | replug thermometer |\n"
    "  wind 3 | air 12 | now | truth | speed 60 | run 600 | quit\n";

} // namespace

int main(int count, char** words) {
    std::string folder;
    double speed = 1, seconds = 0;
    unsigned seed = 1;
    for (int i = 1; i < count; ++i) {
        const bool more = i + 1 < count;
        if (std::strcmp(words[i], "--dir") == 0 && more)
            folder = words[++i];
        else if (std::strcmp(words[i], "--speed") == 0 && more)
            speed = std::atof(words[++i]);
        else if (std::strcmp(words[i], "--seed") == 0 && more)
            seed = static_cast<unsigned>(std::atoi(words[++i]));
        else if (std::strcmp(words[i], "--for") == 0 && more)
            seconds = std::atof(words[++i]);
        else {
            std::fputs(kHelp, std::strcmp(words[i], "--help") == 0 ? stdout : stderr);
            return std::strcmp(words[i], "--help") == 0 ? 0 : 2;
        }
    }
    if (folder.empty()) {
        const char* home = std::getenv("XDG_RUNTIME_DIR");
        folder = std::string(home ? home : "/tmp") + "/dynamet-simkitchen";
    }
    if (!(speed >= 0)) {
        std::fputs("the speed is a number from 0 on\n", stderr);
        return 2;
    }
    mkdir(folder.c_str(), 0700);
    std::signal(SIGINT, stop);
    std::signal(SIGTERM, stop);
    simkitchen::Kitchen kitchen(seed);
    simkitchen::Service service(kitchen, folder, speed);
    if (const std::string problem = service.problem(); !problem.empty()) {
        std::fprintf(stderr, "%s\n", problem.c_str());
        return 1;
    }
    std::printf("%s\n", folder.c_str());
    std::fflush(stdout);
    service.serve(seconds, stopped);
    return 0;
}
