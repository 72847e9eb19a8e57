// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/print.h"

#include <QString>

namespace dynamet::app {

inline QString text(const std::string& s) {
    return QString::fromStdString(s);
}
inline std::string plain(const QString& s) {
    return s.toStdString();
}

} // namespace dynamet::app
