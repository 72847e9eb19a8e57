// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "book/bundle/base64.h"

#include "quantity/result.h"

#include <openssl/evp.h>

namespace dynamet::book {
namespace {

const unsigned char* octets(std::string_view bytes) {
    return reinterpret_cast<const unsigned char*>(bytes.data());
}

} // namespace

std::string base64(std::string_view bytes) {
    std::string out((bytes.size() + 2) / 3 * 4 + 1, '\0');
    const int length = EVP_EncodeBlock(reinterpret_cast<unsigned char*>(out.data()), octets(bytes),
                                       static_cast<int>(bytes.size()));
    out.resize(static_cast<std::size_t>(length));
    return out;
}

std::string fromBase64(std::string_view text) {
    std::string out(text.size() / 4 * 3 + 1, '\0');
    const int length = EVP_DecodeBlock(reinterpret_cast<unsigned char*>(out.data()), octets(text),
                                       static_cast<int>(text.size()));
    std::size_t padding = 0;
    while (padding < 2 && padding < text.size() && text[text.size() - 1 - padding] == '=')
        ++padding;
    if (length < static_cast<int>(padding))
        throw Error{Errc::corruptData, "bytes are not base64"};
    out.resize(static_cast<std::size_t>(length) - padding);
    if (base64(out) != text)
        throw Error{Errc::corruptData, "bytes are not base64"};
    return out;
}

} // namespace dynamet::book
