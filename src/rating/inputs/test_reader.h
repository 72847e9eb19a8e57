// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "rating/reduce.h"

#include <array>
#include <utility>

namespace dynamet::rating {

/// Reads a test into a protocol's own struct, by the protocol's descriptor: what is missing, of
/// another name, out of its range or no known choice is refused by name, and the first such
/// complaint is kept until `reduced`. The keys are the names of data/protocols.json.
class TestReader {
  public:
    explicit TestReader(const TestInput& test);

    /// The channel of a role; missing ones are a complaint, or leave an optional one empty.
    void log(const char* role, Series& into);
    void log(const char* role, std::optional<Series>& into);
    /// A scale's log, as it is.
    void weights(const char* role, std::optional<Series>& into);
    /// Of two roles the later one that is there; whether it is that one.
    bool eitherLog(const char* usual, const char* other, Series& into);
    /// Readings that were typed, or a column of them; the second may stay empty.
    void readings(const char* role, std::vector<double>& into);
    void readingsIfAny(const char* role, std::vector<double>& into);

    /// Numbers in the unit of their name, temperatures in K.
    void value(const char* name, double& into);
    void value(const char* name, int& into);
    void value(const char* name, std::optional<double>& into);
    template <class Enum, std::size_t N>
    void choice(const char* name, Enum& into,
                const std::array<std::pair<const char*, Enum>, N>& all) {
        const std::string chosen = chosenWord(name);
        for (const auto& [word, meaning] : all)
            if (chosen == word)
                into = meaning;
    }
    /// Whether a choice of two is its second one.
    bool isSecond(const char* name);

    /// Air pressure from pressure_Pa, else from altitude_m, else standard.
    double pressurePa();
    /// Energy that went in, J, from the electricity meter, the gas meter or weighed fuel.
    std::optional<double> inputEnergyJ();

    /// What was taken out of the readings, or looks wrong in them.
    const std::vector<Finding>& doubts() const { return doubts_; }

    /// Nothing was wrong with the input; else the first complaint.
    Result<void> checked() const;
    template <class Test>
    Result<Reduction> reduced(const Test& test, Result<Reduction> (*reduce)(const Test&)) const {
        if (const auto ok = checked(); !ok)
            return tl::unexpected(ok.error());
        auto found = reduce(test);
        if (found)
            found->warnings.insert(found->warnings.end(), doubts_.begin(), doubts_.end());
        return found;
    }

  private:
    std::optional<double> number(const char* name);
    std::string chosenWord(const char* name);
    void missing(const char* role);
    void complain(Error error);
    Series screened(const std::string& role, const Series& log);
    void checkFall(const std::string& role, const Series& log);
    void checkDip(const std::string& role, const Series& log);
    const TestInput& test_;
    const Protocol& protocol_;
    std::optional<Error> complaint_;
    std::vector<Finding> doubts_;
};

/// Is this number one that the value can have? invalidArgument names it and its range.
Result<void> checkRange(const ValueSpec& spec, double named);
/// Does the value have this choice? invalidArgument lists them.
Result<void> checkChoice(const ValueSpec& spec, const std::string& word);

} // namespace dynamet::rating
