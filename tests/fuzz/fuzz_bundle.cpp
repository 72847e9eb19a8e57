// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// A bundle is foreign bytes: taken in whole or not at all. Short inputs are edits of a good bundle
// (place, length, bytes); long ones stand for a bundle themselves.
#include "book/bundle/bundle.h"
#include "fuzz/seeds.h"
#include "fuzz/small_book.h"

#include <tuple>

using namespace dynamet;

namespace {

std::string bundleOf(book::Book& book) {
    std::ostringstream out;
    fuzz::need(writeBundle(book, out));
    return out.str();
}

book::Book& emptyBook() {
    static book::Book out = [] {
        const std::string path = fuzz::scratchFolder() + "/into.dynamet";
        std::filesystem::remove(path);
        return fuzz::need(book::Book::create(path, fuzz::kWhen));
    }();
    return out;
}

std::string goodBundle() {
    const std::string path = fuzz::scratchFolder() + "/from.dynamet";
    std::filesystem::remove(path);
    auto book = fuzz::need(book::Book::create(path, fuzz::kWhen));
    fuzz::fill(book);
    return bundleOf(book);
}

} // namespace

std::vector<std::string> fuzz::seeds() {
    return {goodBundle(), std::string("\0\x20\1", 3) + "9", std::string("\1\x44\2", 3) + "null",
            std::string("\3\7\0", 3) + "\"\":"};
}

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const std::string good = goodBundle();
    book::Book& book = emptyBook();
    static const std::string before = bundleOf(book);
    std::string text(textOf(data, size));
    constexpr std::size_t kEdit = 24;
    if (size >= 3 && size < kEdit) {
        const std::size_t at = (data[0] * 256u + data[1]) * 31u % good.size();
        text = good;
        text.replace(at, data[2] % 8u, std::string(textOf(data + 3, size - 3)));
    }
    std::istringstream look(text), in(text);
    const auto seen = changesIn(book, look);
    // Taken in inside a transaction that is let go: the next one meets an empty book again.
    std::ignore = book::together(book, [&]() -> Result<void> {
        const auto taken = takeIn(book, in);
        MUST(seen.has_value() || !taken.has_value());
        if (taken)
            fuzz::readAll(book, false);
        return fail(Errc::refused, "not kept");
    });
    MUST(bundleOf(book) == before);
    return 0;
}
