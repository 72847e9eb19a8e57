// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

namespace dynamet::book {

/// What was read, or an Error thrown that names where in the book the damage is (see `reading`).
template <class T>
T damagedOr(Result<T> read, const std::string& where) {
    if (read)
        return std::move(*read);
    throw Error{Errc::corruptData,
                where + " is damaged in the book (" + read.error().message +
                    "); it was left as it is. Open its newest copy (.bak)",
                0};
}

inline void damagedOr(const Result<void>& checked, const std::string& where) {
    if (!checked)
        damagedOr(Result<bool>(tl::unexpected(checked.error())), where);
}

} // namespace dynamet::book
