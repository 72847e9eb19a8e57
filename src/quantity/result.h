// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/open_sentence.h"

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
/// file is concerned, the 1-based line (0 = none).
struct Error {
    Errc code = Errc::invalidArgument;
    std::string message;
    int line = 0;
    OpenSentence sentence = {}; ///< the message with its measures open; empty = it has none
    /// The same failure with a few words of context put in front.
    Error in(const std::string& where) const {
        return {code, where + ": " + message, line,
                sentence.empty() ? OpenSentence() : sentence.after(where + ": ")};
    }
    /// The message in the reader's units (`message` itself is in °C and mm).
    std::string words(Units units) const { return sentence.empty() ? message : sentence.in(units); }
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
/// The same for a sentence with measures: each "{}" is one of them.
inline tl::unexpected<Error> fail(Errc code, std::string_view pattern,
                                  std::vector<Measure> measures) {
    OpenSentence sentence(pattern, std::move(measures));
    std::string message = sentence.in({});
    return tl::unexpected<Error>(Error{code, std::move(message), 0, std::move(sentence)});
}

} // namespace dynamet
