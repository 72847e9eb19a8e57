// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/service.h"

#include <algorithm>
#include <chrono>
#include <cstdlib>
#include <poll.h>
#include <sstream>
#include <vector>

namespace simkitchen {
namespace {

using Clock = std::chrono::steady_clock;

constexpr std::size_t kBehind = 16 * 1024; ///< bytes that may wait while it goes on

double since(Clock::time_point then) {
    return std::chrono::duration<double>(Clock::now() - then).count();
}

/// Lines of a text, without their ends.
std::vector<std::string> linesOf(const std::string& text) {
    std::vector<std::string> out;
    std::istringstream in(text);
    for (std::string line; std::getline(in, line);)
        if (!line.empty())
            out.push_back(line);
    return out;
}

} // namespace

Service::Service(Kitchen& kitchen, std::string folder, double speed)
    : kitchen_(kitchen), folder_(std::move(folder)), speed_(speed), control_(folder_ + "/control") {
    for (const Instrument& one : kitchen_.instruments())
        ports_.emplace(one.id, PtyPort(folder_ + "/" + one.id));
}

std::string Service::problem() const {
    if (!control_.isThere())
        return "no pseudo terminal could be made in " + folder_;
    for (const auto& [id, port] : ports_)
        if (!port.isThere())
            return "no pseudo terminal could be made for the " + id;
    return "";
}

void Service::ask(Instrument& instrument, const std::string& line) {
    PtyPort& port = ports_.at(instrument.id);
    if (!instrument.scpi) {
        if (line == "?")
            port.say(helloLines(instrument));
    } else if (line == "*IDN?") {
        port.say(identity(instrument));
    } else if (line == "READ?" || line == "FETC?" || line == "FETCH?") {
        port.say(readingLine(instrument, kitchen_.nowS(), kitchen_.random()));
    }
}

/// What concerns time and lines is done here, all else by the kitchen.
void Service::answer(const std::string& line) {
    std::istringstream in(line);
    std::string verb;
    double value = 0;
    in >> verb;
    const bool number = static_cast<bool>(in >> value);
    std::string out;
    if (verb == "speed" && number && value >= 0) {
        speed_ = value;
        out = "ok";
    } else if (verb == "run" && number && value >= 0) {
        advance(value);
        catchUp(0);
        out = kitchen_.control("now");
    } else if (verb == "quit") {
        quit_ = true;
        out = "ok";
    } else {
        out = kitchen_.control(line);
    }
    for (const Instrument& one : kitchen_.instruments())
        one.plugged ? ports_.at(one.id).plug() : ports_.at(one.id).unplug();
    control_.say(out + "\n");
}

void Service::listen() {
    for (const std::string& line : linesOf(control_.hear()))
        answer(line);
    for (Instrument& one : kitchen_.instruments())
        for (const std::string& line : linesOf(ports_.at(one.id).hear()))
            ask(one, line);
    control_.flush();
}

void Service::emit() {
    for (Instrument& one : kitchen_.instruments()) {
        if (one.nextS > kitchen_.nowS() + 1e-9)
            continue;
        one.nextS = kitchen_.nowS() + one.everyS;
        if (one.plugged && !one.scpi)
            ports_.at(one.id).say(readingLine(one, kitchen_.nowS(), kitchen_.random()));
    }
}

void Service::catchUp(std::size_t mostBehind) {
    constexpr double kLongest = 2; // without anything being read
    for (auto& [id, port] : ports_) {
        auto moved = Clock::now();
        for (std::size_t left = port.flush(); left > mostBehind && since(moved) < kLongest;) {
            pollfd at{port.descriptor(), POLLOUT, 0};
            poll(&at, 1, 10);
            const std::size_t now = port.flush();
            if (now < left)
                moved = Clock::now();
            left = now;
        }
    }
}

void Service::advance(double seconds) {
    const double until = kitchen_.nowS() + seconds;
    while (kitchen_.nowS() + 1e-9 < until) {
        kitchen_.step(std::min(Kitchen::kStepS, until - kitchen_.nowS()));
        emit();
        catchUp(kBehind);
    }
}

void Service::serve(double forS, const volatile bool& stop) {
    constexpr int kTickMs = 5;
    constexpr double kLongestTick = 0.02; // of work, so that the control line is heard
    auto before = Clock::now();
    const auto began = before;
    double owed = 0;
    while (!stop && !quit_ && (forS <= 0 || since(began) < forS)) {
        std::vector<pollfd> all{{control_.descriptor(), POLLIN, 0}};
        for (const auto& [id, port] : ports_)
            all.push_back({port.descriptor(), POLLIN, 0});
        for (pollfd& one : all) // a line that nobody has open would wake it at once
            if (pollfd at{one.fd, POLLIN, 0};
                one.fd >= 0 && poll(&at, 1, 0) > 0 && (at.revents & POLLHUP))
                one.fd = -1;
        poll(all.data(), all.size(), kTickMs);
        listen();
        owed += since(before) * speed_;
        before = Clock::now();
        while (owed >= Kitchen::kStepS && since(before) < kLongestTick) {
            advance(Kitchen::kStepS);
            owed -= Kitchen::kStepS;
        }
        owed = std::min(owed, speed_); // what cannot be kept up with is not owed for ever
        for (auto& [id, port] : ports_)
            port.flush();
    }
}

} // namespace simkitchen
