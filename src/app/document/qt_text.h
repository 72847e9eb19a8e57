// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"
#include "words/say.h"

#include <QString>

namespace dynamet::app {

inline QString toQt(const std::string& s) {
    return QString::fromStdString(s);
}
/// An error's sentence in the reader's units.
inline QString toQt(const Error& error, const Units& units) {
    return toQt(words::text(error, units));
}
inline std::string toStd(const QString& s) {
    return s.toStdString();
}

} // namespace dynamet::app
