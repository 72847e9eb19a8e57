// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/power_cut_vfs.h"

#include <algorithm>
#include <cstring>
#include <map>
#include <memory>
#include <sqlite3.h>
#include <string>
#include <vector>

namespace power_cut {
namespace {

using Bytes = std::vector<unsigned char>;

/// A file as the program sees it; the real one has what was synced.
struct Seen {
    Bytes bytes;
};
struct State {
    sqlite3_vfs* real = nullptr;
    std::size_t writes = 0, after = 0;
    bool gone = false;
    std::map<std::string, std::shared_ptr<Seen>> files;
} state;

struct File {
    sqlite3_file base;
    std::shared_ptr<Seen>* seen; ///< none: passed on (shared memory, temporary files)
    sqlite3_file* real() { return reinterpret_cast<sqlite3_file*>(this + 1); }
};
File& of(sqlite3_file* file) {
    return *reinterpret_cast<File*>(file);
}
/// One write more; false when the power is gone.
bool powered() {
    if (state.gone)
        return false;
    ++state.writes;
    if (state.after > 0 && state.writes > state.after)
        state.gone = true;
    return !state.gone;
}

int close(sqlite3_file* f) {
    File& file = of(f);
    delete file.seen;
    return file.real()->pMethods ? file.real()->pMethods->xClose(file.real()) : SQLITE_OK;
}
int read(sqlite3_file* f, void* to, int count, sqlite3_int64 at) {
    File& file = of(f);
    if (!file.seen)
        return file.real()->pMethods->xRead(file.real(), to, count, at);
    const Bytes& bytes = (*file.seen)->bytes;
    const auto size = static_cast<sqlite3_int64>(bytes.size());
    const auto have = static_cast<int>(std::clamp<sqlite3_int64>(size - at, 0, count));
    if (have > 0)
        std::memcpy(to, bytes.data() + at, static_cast<std::size_t>(have));
    if (have == count)
        return SQLITE_OK;
    std::memset(static_cast<char*>(to) + have, 0, static_cast<std::size_t>(count - have));
    return SQLITE_IOERR_SHORT_READ;
}
int write(sqlite3_file* f, const void* from, int count, sqlite3_int64 at) {
    File& file = of(f);
    if (!file.seen)
        return file.real()->pMethods->xWrite(file.real(), from, count, at);
    if (!powered())
        return SQLITE_IOERR_WRITE;
    Bytes& bytes = (*file.seen)->bytes;
    const auto end = static_cast<std::size_t>(at + count);
    if (bytes.size() < end)
        bytes.resize(end);
    std::memcpy(bytes.data() + at, from, static_cast<std::size_t>(count));
    return SQLITE_OK;
}
int truncate(sqlite3_file* f, sqlite3_int64 size) {
    File& file = of(f);
    if (!file.seen)
        return file.real()->pMethods->xTruncate(file.real(), size);
    if (!powered())
        return SQLITE_IOERR_TRUNCATE;
    (*file.seen)->bytes.resize(static_cast<std::size_t>(size));
    return SQLITE_OK;
}
int sync(sqlite3_file* f, int flags) {
    File& file = of(f);
    sqlite3_file* real = file.real();
    if (!file.seen)
        return real->pMethods->xSync(real, flags);
    if (!powered())
        return SQLITE_IOERR_FSYNC;
    const Bytes& bytes = (*file.seen)->bytes;
    constexpr std::size_t kAtOnce = 65536; // SQLite's own writes at most twice that
    for (std::size_t at = 0; at < bytes.size(); at += kAtOnce)
        if (const int done = real->pMethods->xWrite(
                real, bytes.data() + at, static_cast<int>(std::min(kAtOnce, bytes.size() - at)),
                static_cast<sqlite3_int64>(at)))
            return done;
    return real->pMethods->xTruncate(real, static_cast<sqlite3_int64>(bytes.size()));
}
int fileSize(sqlite3_file* f, sqlite3_int64* size) {
    File& file = of(f);
    if (!file.seen)
        return file.real()->pMethods->xFileSize(file.real(), size);
    *size = static_cast<sqlite3_int64>((*file.seen)->bytes.size());
    return SQLITE_OK;
}
int lock(sqlite3_file* f, int level) {
    return of(f).real()->pMethods->xLock(of(f).real(), level);
}
int unlock(sqlite3_file* f, int level) {
    return of(f).real()->pMethods->xUnlock(of(f).real(), level);
}
int checkReserved(sqlite3_file* f, int* out) {
    return of(f).real()->pMethods->xCheckReservedLock(of(f).real(), out);
}
int control(sqlite3_file* f, int what, void* with) {
    return what == SQLITE_FCNTL_MMAP_SIZE
               ? SQLITE_NOTFOUND
               : of(f).real()->pMethods->xFileControl(of(f).real(), what, with);
}
int sectorSize(sqlite3_file* f) {
    return of(f).real()->pMethods->xSectorSize(of(f).real());
}
int characteristics(sqlite3_file*) {
    return 0; // nothing is promised
}
int shmMap(sqlite3_file* f, int page, int size, int extend, void volatile** out) {
    return of(f).real()->pMethods->xShmMap(of(f).real(), page, size, extend, out);
}
int shmLock(sqlite3_file* f, int offset, int n, int flags) {
    return of(f).real()->pMethods->xShmLock(of(f).real(), offset, n, flags);
}
void shmBarrier(sqlite3_file* f) {
    of(f).real()->pMethods->xShmBarrier(of(f).real());
}
int shmUnmap(sqlite3_file* f, int gone) {
    return of(f).real()->pMethods->xShmUnmap(of(f).real(), gone);
}
const sqlite3_io_methods kMethods = {
    2,        close,         read,    write,      truncate,        sync,   fileSize, lock,
    unlock,   checkReserved, control, sectorSize, characteristics, shmMap, shmLock,  shmBarrier,
    shmUnmap, nullptr,       nullptr};

Bytes contentOf(sqlite3_file* real) {
    sqlite3_int64 size = 0;
    real->pMethods->xFileSize(real, &size);
    Bytes out(static_cast<std::size_t>(size));
    if (size > 0)
        real->pMethods->xRead(real, out.data(), static_cast<int>(size), 0);
    return out;
}

int open(sqlite3_vfs*, sqlite3_filename name, sqlite3_file* f, int flags, int* got) {
    File& file = of(f);
    file.base.pMethods = nullptr;
    file.seen = nullptr;
    const int done = state.real->xOpen(state.real, name, file.real(), flags, got);
    if (done != SQLITE_OK)
        return done;
    const bool kept = flags & (SQLITE_OPEN_MAIN_DB | SQLITE_OPEN_WAL | SQLITE_OPEN_MAIN_JOURNAL);
    if (kept && name) {
        auto& seen = state.files[name];
        if (!seen) {
            seen = std::make_shared<Seen>();
            seen->bytes = contentOf(file.real());
        }
        file.seen = new std::shared_ptr<Seen>(seen);
    }
    file.base.pMethods = &kMethods;
    return SQLITE_OK;
}
int remove(sqlite3_vfs*, const char* name, int sync) {
    if (!powered())
        return SQLITE_IOERR_DELETE;
    state.files.erase(name);
    return state.real->xDelete(state.real, name, sync);
}

sqlite3_vfs shim;

} // namespace

void on(std::size_t afterWrites) {
    if (!state.real) {
        state.real = sqlite3_vfs_find(nullptr);
        shim = *state.real;
        shim.zName = "power-cut";
        shim.szOsFile = static_cast<int>(sizeof(File)) + state.real->szOsFile;
        shim.xOpen = open;
        shim.xDelete = remove;
    }
    state.writes = 0;
    state.after = afterWrites;
    state.gone = false;
    state.files.clear();
    sqlite3_vfs_register(&shim, 1);
}

void off() {
    sqlite3_vfs_unregister(&shim);
    sqlite3_vfs_register(state.real, 1);
    state.files.clear();
}

std::size_t writes() {
    return state.writes;
}
bool gone() {
    return state.gone;
}

} // namespace power_cut
