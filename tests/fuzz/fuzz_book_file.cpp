// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A book whose file is damaged anywhere: it opens or is refused, and is never read out of bounds.
#include "fuzz/seeds.h"
#include "fuzz/small_book.h"

using namespace dynamet;

/// Each five bytes of the input change one byte of the book: where (of its length), and to what.
std::vector<std::string> fuzz::seeds() {
    return {std::string("\0\0\0\x10\xff", 5), std::string("\0\1\0\x64\x05\0\0\x20\0\xff", 10),
            std::string(8, '\x40')};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const std::string path = fuzz::scratchFolder() + "/file.dynamet";
    std::string bytes = fuzz::seedBook();
    for (std::size_t i = 0; i + 5 <= size && i < 200; i += 5) {
        std::uint32_t at = 0;
        for (std::size_t b = 0; b < 4; ++b)
            at = at << 8 | data[i + b];
        bytes[at % bytes.size()] = static_cast<char>(data[i + 4]);
    }
    if (size % 5 == 3) // cut off
        bytes.resize(bytes.size() * (1 + data[0]) / 257);
    for (const char* end : {"-wal", "-shm"})
        ::unlink((path + end).c_str());
    std::ofstream(path, std::ios::binary) << bytes;
    if (auto book = book::Book::open(path)) {
        fuzz::readAll(*book, size % 16 == 0);
        kitchen::Site late;
        late.id = "late";
        const auto added = addSite(*book, late, fuzz::kWhen);
        MUST(added.has_value() || !added.error().message.empty());
        (void)checkBook(*book);
    }
    return 0;
}
