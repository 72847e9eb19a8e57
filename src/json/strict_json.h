// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <initializer_list>
#include <map>
#include <nlohmann/json.hpp>
#include <string>
#include <vector>

namespace dynamet::json {

/// A JSON value with its place in the file, read without forgiveness: an unknown key, a missing one
/// or a wrong type throws an Error (invalidArgument) that names the place. Only inside
/// `readStrictly`, which turns it into a Result.
class StrictJson {
  public:
    StrictJson(const nlohmann::json& value, std::string place)
        : value_(&value), place_(std::move(place)) {}
    const nlohmann::json& json() const { return *value_; }
    Error wrong(const std::string& why) const;
    void onlyKeys(std::initializer_list<const char*> keys) const;
    bool has(const char* key) const;
    StrictJson at(const char* key) const;
    std::vector<StrictJson> list() const;
    /// Of an object, in their order.
    std::vector<std::string> keys() const;
    double number() const;
    double above(double limit) const;
    double atLeast(double limit) const;
    double numberOr(const char* key, double fallback) const;
    std::string textOr(const char* key, const std::string& fallback) const;
    bool booleanOr(const char* key, bool fallback) const;
    bool boolean() const;
    std::string text() const;

  private:
    const nlohmann::json* value_;
    std::string place_;
};

/// The one place where JSON becomes a result: broken text, a number that is none and what `read`
/// finds wrong (a StrictJson's complaint) come back as errors, with the line or the key.
template <class Read>
auto readStrictly(const std::string& text, Read read)
    -> Result<decltype(read(std::declval<StrictJson>()))> {
    try {
        const nlohmann::json root = nlohmann::json::parse(text);
        return read(StrictJson(root, ""));
    } catch (const Error& error) {
        return tl::unexpected(error);
    } catch (const nlohmann::json::parse_error& error) {
        int line = 1;
        for (std::size_t i = 0; i + 1 < error.byte && i < text.size(); ++i)
            line += text[i] == '\n';
        return fail(Errc::parse, "this is not JSON: " + std::string(error.what()), line);
    } catch (const nlohmann::json::exception& error) { // a number too large for any double
        return fail(Errc::parse, "this is not JSON: " + std::string(error.what()));
    }
}

/// An object whose values are all read alike: by key, as `read` reads one.
template <class Read>
auto readObject(const std::string& text, Read read) {
    return readStrictly(text, [&](const StrictJson& root) {
        std::map<std::string, decltype(read(root))> out;
        for (const std::string& key : root.keys())
            out[key] = read(root.at(key.c_str()));
        return out;
    });
}

} // namespace dynamet::json
