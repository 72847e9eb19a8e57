// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "quantity/result.h"

namespace dynamet {

const char* errcWord(Errc code) {
    switch (code) {
    case Errc::invalidArgument:
        return "invalid_argument";
    case Errc::parse:
        return "parse";
    case Errc::notFound:
        return "not_found";
    case Errc::refused:
        return "refused";
    case Errc::corruptData:
        return "corrupt_data";
    case Errc::readOnly:
        return "read_only";
    case Errc::io:
        return "io";
    case Errc::notConverged:
        return "not_converged";
    case Errc::unsupported:
        return "unsupported";
    }
    return "unknown";
}

} // namespace dynamet
