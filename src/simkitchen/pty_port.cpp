// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "simkitchen/pty_port.h"

#include <fcntl.h>
#include <poll.h>
#include <stdlib.h>
#include <termios.h>
#include <unistd.h>
#include <utility>

namespace simkitchen {
namespace {

constexpr std::size_t kMostWaiting = 256 * 1024;

} // namespace

PtyPort::PtyPort(std::string link) : link_(std::move(link)) {
    plug();
}

PtyPort::PtyPort(PtyPort&& other) noexcept
    : link_(std::move(other.link_)), waiting_(std::move(other.waiting_)),
      heard_(std::move(other.heard_)), master_(std::exchange(other.master_, -1)) {
    other.link_.clear();
}

PtyPort::~PtyPort() {
    unplug();
}

void PtyPort::unplug() {
    if (master_ < 0)
        return;
    close(master_);
    master_ = -1;
    if (!link_.empty())
        ::unlink(link_.c_str());
    waiting_.clear();
    heard_.clear();
}

void PtyPort::plug() {
    if (master_ >= 0)
        return;
    const int master = posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK | O_CLOEXEC);
    if (master < 0)
        return;
    char name[128];
    const bool ready =
        grantpt(master) == 0 && unlockpt(master) == 0 && ptsname_r(master, name, sizeof name) == 0;
    // Opened and closed once: from then on it tells whether anybody has it open.
    const int slave = ready ? open(name, O_RDWR | O_NOCTTY) : -1;
    termios raw{};
    if (slave >= 0 && tcgetattr(slave, &raw) == 0) {
        cfmakeraw(&raw);
        tcsetattr(slave, TCSANOW, &raw);
    }
    if (slave >= 0)
        close(slave);
    ::unlink(link_.c_str());
    if (slave < 0 || symlink(name, link_.c_str()) != 0) {
        close(master);
        return;
    }
    master_ = master;
}

bool PtyPort::isOpenElsewhere() const {
    pollfd at{master_, POLLOUT, 0};
    return master_ >= 0 && poll(&at, 1, 0) >= 0 && (at.revents & POLLHUP) == 0;
}

bool PtyPort::say(std::string_view line) {
    if (!isOpenElsewhere()) {
        waiting_.clear();
        return false;
    }
    if (waiting_.size() + line.size() > kMostWaiting)
        return false;
    waiting_ += line;
    flush();
    return true;
}

std::size_t PtyPort::flush() {
    while (master_ >= 0 && !waiting_.empty()) {
        const ssize_t sent = write(master_, waiting_.data(), waiting_.size());
        if (sent <= 0)
            break;
        waiting_.erase(0, static_cast<std::size_t>(sent));
    }
    return waiting_.size();
}

std::string PtyPort::hear() {
    char bytes[4096];
    while (master_ >= 0) {
        const ssize_t got = read(master_, bytes, sizeof bytes);
        if (got <= 0)
            break;
        heard_.append(bytes, static_cast<std::size_t>(got));
    }
    for (char& c : heard_)
        if (c == '\r')
            c = '\n';
    const std::size_t end = heard_.rfind('\n');
    if (end == std::string::npos)
        return {};
    std::string out = heard_.substr(0, end + 1);
    heard_.erase(0, end + 1);
    return out;
}

} // namespace simkitchen
