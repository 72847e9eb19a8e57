// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Runs a fuzz target where no coverage is measured: all inputs of the folders that are named, then
// changed ones until the time is up or so many were run. The same every time: seeded. Takes the
// options of libFuzzer that scripts/fuzz gives, and prints its count.
#include <algorithm>
#include <chrono>
#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <limits>
#include <random>
#include <string>
#include <vector>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size);
extern "C" int LLVMFuzzerInitialize(int* argc, char*** argv);

namespace {

using Input = std::vector<std::uint8_t>;

std::vector<Input> inputsIn(const std::string& folder) {
    std::vector<std::filesystem::path> files;
    for (const auto& entry : std::filesystem::directory_iterator(folder))
        if (entry.is_regular_file())
            files.push_back(entry.path());
    std::sort(files.begin(), files.end());
    std::vector<Input> out;
    for (const auto& file : files) {
        std::ifstream in(file, std::ios::binary);
        out.emplace_back(std::istreambuf_iterator<char>(in), std::istreambuf_iterator<char>());
    }
    return out;
}

/// Some bytes of an input are changed, cut, doubled or taken from another.
Input changed(Input input, const std::vector<Input>& all, std::mt19937_64& random) {
    const auto below = [&](std::size_t n) { return static_cast<std::size_t>(random() % n); };
    for (std::size_t times = 1 + below(4); times > 0; --times) {
        if (input.empty())
            input.push_back(static_cast<std::uint8_t>(random()));
        const auto at = static_cast<std::ptrdiff_t>(below(input.size()));
        switch (below(5)) {
        case 0:
            input[static_cast<std::size_t>(at)] ^= static_cast<std::uint8_t>(1U << below(8));
            break;
        case 1:
            input[static_cast<std::size_t>(at)] = static_cast<std::uint8_t>(random());
            break;
        case 2:
            input.resize(static_cast<std::size_t>(at));
            break;
        case 3:
            input.insert(input.begin() + at, static_cast<std::uint8_t>(random()));
            break;
        default: {
            const Input& other = all[below(all.size())];
            if (!other.empty())
                input.insert(input.begin() + at, other.begin(),
                             other.begin() +
                                 static_cast<std::ptrdiff_t>(
                                     1 + below(std::min<std::size_t>(other.size(), 64))));
        }
        }
    }
    return input;
}

} // namespace

int main(int argc, char** argv) {
    LLVMFuzzerInitialize(&argc, &argv);
    double seconds = std::numeric_limits<double>::infinity();
    long runs = std::numeric_limits<long>::max();
    std::vector<Input> all;
    for (int i = 1; i < argc; ++i) {
        const std::string word = argv[i];
        const std::string time = "-max_total_time=", times = "-runs=";
        if (word.starts_with(time))
            seconds = std::atof(word.c_str() + time.size());
        else if (word.starts_with(times))
            runs = std::atol(word.c_str() + times.size());
        else if (!word.starts_with("-"))
            for (Input& input : inputsIn(word))
                all.push_back(std::move(input));
    }
    if (all.empty()) { // changes of nothing would find nothing
        std::fprintf(stderr, "no inputs to begin from\n");
        return 1;
    }
    long count = 0;
    const auto run = [&](const Input& input) {
        LLVMFuzzerTestOneInput(input.data(), input.size());
        ++count;
    };
    for (const Input& input : all)
        run(input);
    std::mt19937_64 random(1);
    const auto begun = std::chrono::steady_clock::now();
    while (count < runs &&
           std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count() <
               seconds)
        run(changed(all[random() % all.size()], all, random));
    std::fprintf(stderr, "stat::number_of_executed_units: %ld\n", count);
    return 0;
}
