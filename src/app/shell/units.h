// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"

#include <QString>

namespace dynamet::app {

inline QString text(const std::string& s) {
    return QString::fromStdString(s);
}
/// An error's sentence in the reader's units.
inline QString text(const Error& error, const Units& units) {
    return text(error.words(units));
}
inline std::string plain(const QString& s) {
    return s.toStdString();
}

} // namespace dynamet::app
