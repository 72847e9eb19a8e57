// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recipe/piece.h"

#include "quantity/enum_words.h"

namespace dynamet::recipe {
namespace {

constexpr std::array<const char*, 4> kSurfaces{"patted dry", "wet", "air-dried", "salted ahead"};

constexpr std::array<const char*, 3> kKnownBy{"eye", "ruler", "calipers"};

} // namespace

const char* enumName(KnownBy known) {
    return kKnownBy[static_cast<std::size_t>(known)];
}

std::optional<KnownBy> knownByOf(const std::string& word) {
    return enumOf<KnownBy>(kKnownBy, word);
}

const char* enumName(SurfaceState surface) {
    return kSurfaces[static_cast<std::size_t>(surface)];
}

std::optional<SurfaceState> surfaceOf(const std::string& text) {
    return enumOf<SurfaceState>(kSurfaces, text);
}

std::optional<double> coverOf(const FoodPiece& piece) {
    if (piece.coversM2 > 0)
        return piece.coversM2;
    if (piece.shape == heat::Shape::sphere) // in rows, each takes its square
        return piece.thicknessM * piece.thicknessM;
    if (piece.shape == heat::Shape::finiteCylinder)
        return piece.widthM * piece.widthM;
    return std::nullopt;
}

} // namespace dynamet::recipe
