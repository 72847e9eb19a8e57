// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "json/strict_json.h"

#include <algorithm>
#include <cmath>
#include <cstring>
#include <fmt/format.h>

namespace dynamet::json {

Error StrictJson::wrong(const std::string& why) const {
    return {Errc::invalidArgument, fmt::format("{}: {}", place_.empty() ? "the text" : place_, why),
            0};
}

void StrictJson::onlyKeys(std::initializer_list<const char*> keys) const {
    if (!value_->is_object())
        throw wrong("should be an object");
    for (const auto& item : value_->items())
        if (std::find(keys.begin(), keys.end(), item.key()) == keys.end())
            throw wrong(fmt::format("the key \"{}\" is not known here", item.key()));
}

bool StrictJson::has(const char* key) const {
    return value_->is_object() && value_->contains(key);
}

StrictJson StrictJson::at(const char* key) const {
    if (!has(key))
        throw wrong(fmt::format("\"{}\" is missing", key));
    return {value_->at(key), place_.empty() ? key : place_ + "." + key};
}

std::vector<StrictJson> StrictJson::list() const {
    if (!value_->is_array())
        throw wrong("should be a list");
    std::vector<StrictJson> out;
    for (std::size_t i = 0; i < value_->size(); ++i)
        out.emplace_back(value_->at(i), fmt::format("{}[{}]", place_, i));
    return out;
}

std::vector<std::string> StrictJson::keys() const {
    if (!value_->is_object())
        throw wrong("should be an object");
    std::vector<std::string> out;
    for (const auto& [key, value] : value_->items())
        out.push_back(key);
    return out;
}

double StrictJson::number() const {
    if (!value_->is_number() || !std::isfinite(value_->get<double>()))
        throw wrong("should be a number");
    return value_->get<double>();
}

double StrictJson::above(double limit) const {
    const double value = number();
    if (!(value > limit))
        throw wrong(fmt::format("{} should be above {}", value, limit));
    return value;
}

double StrictJson::atLeast(double limit) const {
    const double value = number();
    if (!(value >= limit))
        throw wrong(fmt::format("{} should be at least {}", value, limit));
    return value;
}

double StrictJson::numberOr(const char* key, double fallback) const {
    return has(key) ? at(key).number() : fallback;
}

std::string StrictJson::textOr(const char* key, const std::string& fallback) const {
    return has(key) ? at(key).text() : fallback;
}

bool StrictJson::booleanOr(const char* key, bool fallback) const {
    return has(key) ? at(key).boolean() : fallback;
}

bool StrictJson::boolean() const {
    if (!value_->is_boolean())
        throw wrong("should be true or false");
    return value_->get<bool>();
}

std::string StrictJson::text() const {
    if (!value_->is_string())
        throw wrong("should be a text");
    return value_->get<std::string>();
}

} // namespace dynamet::json
