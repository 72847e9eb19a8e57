// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "fuzz/seeds.h"

#include <filesystem>
#include <fstream>
#include <iterator>

namespace dynamet::fuzz {

std::string fileOf(const std::string& path) {
    std::ifstream in(DYNAMET_TESTS_FOLDER "/" + path, std::ios::binary);
    MUST(in.good());
    return std::string(std::istreambuf_iterator<char>(in), {});
}

std::vector<std::string> linesOf(const std::string& path) {
    std::ifstream in(DYNAMET_TESTS_FOLDER "/" + path);
    MUST(in.good());
    std::vector<std::string> out;
    for (std::string line; std::getline(in, line);)
        out.push_back(line);
    return out;
}

} // namespace dynamet::fuzz

extern "C" int LLVMFuzzerInitialize(int*, char***);
extern "C" int LLVMFuzzerInitialize(int*, char***) {
    const char* folder = std::getenv("DYNAMET_FUZZ_SEEDS");
    if (!folder)
        return 0;
    std::filesystem::create_directories(folder);
    const auto all = dynamet::fuzz::seeds();
    MUST(!all.empty());
    for (std::size_t i = 0; i < all.size(); ++i)
        std::ofstream(std::string(folder) + "/" + std::to_string(i), std::ios::binary) << all[i];
    return 0;
}
