// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book.h"

#include <filesystem>
#include <gtest/gtest.h>

namespace dynamet::book::testing {

inline constexpr When kWhen{1795000000000, 60};

/// A test with a folder of its own for its books.
class BookFolder : public ::testing::Test {
  protected:
    void SetUp() override {
        folder_ = std::filesystem::temp_directory_path() / ("dynamet-book-" + newId());
        std::filesystem::create_directories(folder_);
    }
    void TearDown() override { std::filesystem::remove_all(folder_); }
    std::string path(const char* name = "k.dynamet") const { return (folder_ / name).string(); }

    std::filesystem::path folder_;
};

} // namespace dynamet::book::testing
