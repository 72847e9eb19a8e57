// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/piece.h"

#include "quantity/enum_words.h"

namespace dynamet::recipe {
namespace {

constexpr std::array<const char*, 4> kSurfaces{"patted dry", "wet", "air-dried", "salted ahead"};

} // namespace

const char* enumName(SurfaceState surface) {
    return kSurfaces[static_cast<std::size_t>(surface)];
}

std::optional<SurfaceState> surfaceOf(const std::string& text) {
    return enumOf<SurfaceState>(kSurfaces, text);
}

} // namespace dynamet::recipe
