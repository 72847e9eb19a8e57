// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "book/book_folder.h"

namespace dynamet::book::testing {

/// A folder with copies of the demo kitchen: all kinds of things, readings, cooks, a menu.
class DemoFolder : public BookFolder {
  protected:
    std::string demo(const char* name = "k.dynamet") const {
        std::filesystem::copy_file(DEMO_BOOK, path(name));
        std::filesystem::permissions(path(name), std::filesystem::perms::owner_all);
        return path(name);
    }
};

} // namespace dynamet::book::testing
