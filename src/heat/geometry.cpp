// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heat/geometry.h"

#include "quantity/enum_words.h"

#include <array>
#include <cmath>
#include <fmt/format.h>

namespace dynamet::heat {
namespace {

constexpr std::array<const char*, 5> kShapes{"slab", "cylinder", "sphere", "block",
                                             "finite_cylinder"};
constexpr std::array<const char*, 3> kBones{"none", "first face", "one side"};

/// Positions from a face (0) inwards to `length`, finer at the face.
std::vector<double> fromFace(std::size_t cells, double length, double grading) {
    std::vector<double> out;
    for (std::size_t i = 0; i <= cells; ++i) {
        const double s = static_cast<double>(i) / static_cast<double>(cells);
        out.push_back(length * s * (1 - grading + grading * s));
    }
    return out;
}

/// From the middle (0) out to a face at `length`.
std::vector<double> toFace(std::size_t cells, double length, double grading) {
    const auto inwards = fromFace(cells, length, grading);
    std::vector<double> out;
    for (std::size_t i = inwards.size(); i-- > 0;)
        out.push_back(length - inwards[i]);
    return out;
}

/// Face to face through `length`, finer at both.
std::vector<double> between(std::size_t cells, double length, double grading) {
    std::vector<double> out = fromFace(cells / 2, length / 2, grading);
    const auto second = toFace(cells / 2, length / 2, grading);
    for (std::size_t i = 1; i < second.size(); ++i)
        out.push_back(length / 2 + second[i]);
    return out;
}

/// Volumes and interface areas of an axis with r^m weights.
void weigh(const std::vector<double>& at, int m, std::vector<double>& volume,
           std::vector<double>& area) {
    const std::size_t n = at.size();
    double inner = at.front();
    for (std::size_t i = 0; i < n; ++i) {
        const double outer = i + 1 < n ? (at[i] + at[i + 1]) / 2 : at[i];
        volume.push_back((std::pow(outer, m + 1) - std::pow(inner, m + 1)) / (m + 1));
        if (i + 1 < n)
            area.push_back(std::pow(outer, m));
        inner = outer;
    }
}

bool sensible(double metres) {
    return metres >= 1e-4 && metres <= 1;
}

} // namespace

const char* enumName(Shape shape) {
    return kShapes[static_cast<std::size_t>(shape)];
}

const char* enumName(Bone bone) {
    return kBones[static_cast<std::size_t>(bone)];
}

std::optional<Bone> boneOf(const std::string& text) {
    return enumOf<Bone>(kBones, text);
}

Result<Shape> shapeOf(const std::string& text) {
    if (const auto shape = enumOf<Shape>(kShapes, text))
        return *shape;
    return fail(Errc::notFound, fmt::format("no shape \"{}\"", text));
}

Result<Grid> gridFor(const Piece& piece, int cells, int acrossCells, double grading) {
    if (!sensible(piece.thicknessM))
        return fail(Errc::invalidArgument,
                    fmt::format("a thickness of {} m is outside 0.1 mm to 1 m", piece.thicknessM));
    const bool section = isCrossSection(piece.shape);
    if (section && !sensible(piece.widthM))
        return fail(Errc::invalidArgument,
                    fmt::format("a width of {} m is outside 0.1 mm to 1 m", piece.widthM));
    if (cells < 4 || cells % 2 != 0 || cells > 20000)
        return fail(Errc::invalidArgument, "cells must be even, 4 to 20000");
    if (section && (acrossCells < 2 || acrossCells > 2000))
        return fail(Errc::invalidArgument, "cells across must be 2 to 2000");
    if (!(grading >= 0 && grading < 1))
        return fail(Errc::invalidArgument, "the grading must be from 0 to below 1");
    Grid g;
    const auto n = static_cast<std::size_t>(cells), across = static_cast<std::size_t>(acrossCells);
    if (hasTwoFaces(piece.shape)) {
        g.up = between(n, piece.thicknessM, grading);
        weigh(g.up, 0, g.volumeUp, g.areaUp);
        g.coreUp = n / 2;
        g.bottomArea = g.topArea = 1;
    } else { // from the centre out
        const int m = piece.shape == Shape::cylinder ? 1 : 2;
        g.up = toFace(n / 2, piece.thicknessM / 2, grading);
        weigh(g.up, m, g.volumeUp, g.areaUp);
        g.topArea = std::pow(piece.thicknessM / 2, m);
    }
    if (!section) {
        g.across = {0};
        g.volumeAcross = {1};
        return g;
    }
    const int m = piece.shape == Shape::finiteCylinder ? 1 : 0;
    if (piece.bone == Bone::oneSide && m == 0) {
        g.across = between(across * 2, piece.widthM, grading); // from the bone to the far side
        g.coreAcross = across;
    } else {
        g.across = toFace(across, piece.widthM / 2, grading);
    }
    weigh(g.across, m, g.volumeAcross, g.areaAcross);
    g.sideArea = std::pow(g.across.back(), m);
    return g;
}

} // namespace dynamet::heat
