// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/book_lock.h"

#include <cerrno>
#include <fcntl.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

namespace dynamet::book {
namespace {

constexpr int kElsewhere = -1, kImpossible = -2;

int lockFile(const std::string& path) {
    const int fd = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0644);
    if (fd < 0)
        return kImpossible;
    if (::flock(fd, LOCK_EX | LOCK_NB) == 0)
        return fd;
    const bool taken = errno == EWOULDBLOCK;
    ::close(fd);
    return taken ? kElsewhere : kImpossible;
}

/// Where every program of this machine looks: /run/lock, else /tmp. −2 where neither can be used
/// (somebody else's lock file, no such folder): then the lock beside the book has to do.
int lockByFile(const std::string& path) {
    struct stat what {};
    if (::stat(path.c_str(), &what) != 0)
        return kImpossible;
    for (const char* folder : {"/run/lock", "/tmp"}) {
        const int fd = lockFile(fmt::format("{}/dynamet-{:x}-{:x}.lock", folder,
                                            static_cast<unsigned long long>(what.st_dev),
                                            static_cast<unsigned long long>(what.st_ino)));
        if (fd != kImpossible)
            return fd;
    }
    return kImpossible;
}

} // namespace

BookLock BookLock::take(const std::string& path) {
    BookLock out;
    out.beside_ = lockFile(path + "-lock");
    if (out.beside_ < 0) {
        out.state_ = out.beside_ == kElsewhere ? State::elsewhere : State::impossible;
        return out;
    }
    out.byFile_ = lockByFile(path);
    out.state_ = out.byFile_ == kElsewhere ? State::elsewhere : State::held;
    return out;
}

BookLock::~BookLock() {
    for (const int fd : {byFile_, beside_})
        if (fd >= 0)
            ::close(fd);
}

} // namespace dynamet::book
