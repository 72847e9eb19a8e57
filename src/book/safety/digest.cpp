// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/safety/digest.h"

#include <array>
#include <fmt/format.h>
#include <openssl/evp.h>

namespace dynamet::book {

struct Digest::State {
    std::unique_ptr<EVP_MD_CTX, decltype(&EVP_MD_CTX_free)> context{EVP_MD_CTX_new(),
                                                                    &EVP_MD_CTX_free};
};

Digest::Digest() : state_(std::make_unique<State>()) {
    EVP_DigestInit_ex(state_->context.get(), EVP_sha256(), nullptr);
}

Digest::~Digest() = default;

Digest& Digest::add(std::string_view bytes) {
    EVP_DigestUpdate(state_->context.get(), bytes.data(), bytes.size());
    return *this;
}

std::string Digest::text() {
    constexpr std::size_t kBytesKept = 16;
    std::array<unsigned char, EVP_MAX_MD_SIZE> bytes{};
    EVP_DigestFinal_ex(state_->context.get(), bytes.data(), nullptr);
    std::string out;
    for (std::size_t i = 0; i < kBytesKept; ++i)
        out += fmt::format("{:02x}", bytes[i]);
    return out;
}

std::string digestOf(std::string_view bytes) {
    return Digest().add(bytes).text();
}

} // namespace dynamet::book
