// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <string>
#include <string_view>

namespace dynamet::book {

/// A digest of bytes that come in pieces: the first 128 bits of SHA-256 (FIPS 180-4) in hex.
class Digest {
  public:
    Digest();
    ~Digest();
    Digest& add(std::string_view bytes);
    /// Of all that was added; nothing can be added after it.
    std::string text();

  private:
    struct State;
    std::unique_ptr<State> state_;
};

std::string digestOf(std::string_view bytes);

} // namespace dynamet::book
