// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/finding.h"

#include <string>
#include <tl/expected.hpp>

namespace dynamet {

/// Why something could not be done; the few kinds a caller acts on.
enum class Errc {
    invalidArgument, ///< the input itself is wrong (range, unit, missing value)
    parse,           ///< a text, file or number could not be read
    notFound,        ///< what was named does not exist
    refused,         ///< the data do not support a result (never settled, probe at its limit…)
    corruptData,     ///< a file is damaged or not ours; it was left alone
    readOnly,        ///< the book may be looked at, not written
    io,              ///< the operating system said no (disk full, permission)
    notConverged,    ///< an iteration hit its limit
    unsupported,     ///< meaningful, but not built yet
};

/// Short stable word of a code for JSON and logs ("parse", "not_found"…).
const char* errcWord(Errc code);

/// An expected failure: code, a plain sentence that names the input and the limit, and, where a
/// file is concerned, the 1-based line (0 = none). Where quantities are in it, it is a finding, and
/// words/ makes the sentence in the reader's units.
struct Error {
    Errc code = Errc::invalidArgument;
    std::string message; ///< of a finding: its bare text
    int line = 0;
    Finding finding = {};   ///< code empty = the message says it all
    std::string where = {}; ///< context in front of a finding
    /// The same failure with a few words of context put in front.
    Error in(const std::string& context) const {
        return {code, context + ": " + message, line, finding,
                finding.code.empty() ? where : context + ": " + where};
    }
};

/// What was asked for, or why it could not be done; never to be dropped without a look.
template <class T>
class [[nodiscard]] Result : public tl::expected<T, Error> {
  public:
    using tl::expected<T, Error>::expected;
    Result() = default;
    Result(tl::expected<T, Error> from) : tl::expected<T, Error>(std::move(from)) {}
};

/// Makes the failing side of a Result.
inline tl::unexpected<Error> fail(Errc code, std::string message, int line = 0) {
    return tl::unexpected<Error>(Error{code, std::move(message), line});
}
/// The same for a finding.
inline tl::unexpected<Error> fail(Errc code, Finding finding) {
    std::string message = bareText(finding);
    return tl::unexpected<Error>(Error{code, std::move(message), 0, std::move(finding)});
}

} // namespace dynamet
