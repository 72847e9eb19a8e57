// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "heat/boundary.h"

#include <array>
#include <span>

namespace dynamet::cook {

/// What a food's face is, for its crust.
struct CrustTraits {
    double waterKgM3 = 750; ///< at the start; 0 = none: browns as it gets hot
    double dryRatio = 0.3;  ///< fat-free dry matter per water at the start
    double supply = 1;      ///< how fast water comes to the face, beside lean meat
    double browning = 1;    ///< how fast it browns beside lean meat
};

/// What goes on at a face at a moment.
struct CrustMoment {
    double timeS = 0;
    const heat::FaceBoundary* around = nullptr;
    double touchK = 0, touch = 0; ///< a plate or stone against it, K and W/m²K; 0 = none
    double touchedShare = 1;      ///< of the face that it touches
    double frontK = 293.15;       ///< of the outermost wet food
    double inwardFlux = 0;        ///< W/m², conducted from there into the food
    double waterLeft = 1;         ///< share of its water there
    bool driedThrough = false;    ///< no wet food is left below: the face is as hot as `frontK`
    bool filmed = false;          ///< water still stands on it
};

/// The crust of one face: a dry layer over a moist one, five equal parts of the face that get less
/// and more heat than its mean. Colour forms by temperature and dryness and saturates, char comes
/// on top. docs/physics.md, "Crust".
class FaceCrust {
  public:
    static constexpr std::size_t kParts = 5;
    FaceCrust() = default;
    /// A face that dried beforehand has lost this much water, kg/m², half of it from a skin. Fewer
    /// parts are quicker and good enough to compare with their like.
    FaceCrust(double startK, double driedKgM2, double waterKgM3, std::size_t parts = kParts);
    void advance(const CrustMoment& at, const CrustTraits& traits, const heat::Vapour& vapour,
                 double seconds);

    /// 1 golden, 2 dark, above 3 scorched, above 5 charred; mean over the face.
    double index() const;
    /// Standard deviation of the index over the face.
    double spread() const;
    double charredShare() const;
    /// Mean thickness of the dry layer, m: thinner again after a while under a lid or foil.
    double dryLayerM() const;
    /// Of the parts that ridges touch, where they touch some only: their share, and the index
    /// there.
    double markedShare() const { return markedShare_; }
    double markIndex() const;
    /// Turned crosswise: the parts that got most heat get least from now on.
    void quarterTurn() { crossed_ = !crossed_; }
    /// Of the top of the layer at the mean heat.
    double topK() const { return parts_[count_ / 2].topK; }
    bool operator==(const FaceCrust&) const = default;

  private:
    struct Shared;
    struct Gets { ///< a part's share of the mean heat, by how it comes
        double touch, sight, flow;
    };
    struct Part {
        double missing = 0.01; ///< kg/m² of water gone from the moist layer
        double dryM = 0;
        double topK = 293.15;
        double steam = 0; ///< kg/m²s that leaves now
        double colour = 0, charred = 0;
        double index() const;
        void heatUp(const Shared& shared, const Gets& gets, double seconds);
        double dryOut(const Shared& shared, double seconds);
        bool operator==(const Part&) const = default;
    };
    static void advance(Part& part, const Gets& gets, Shared shared, double seconds);
    void warmUp(const Shared& shared, double seconds);
    std::span<const Part> parts() const { return {parts_.data(), count_}; }
    std::array<Part, kParts> parts_;
    std::size_t count_ = kParts;
    bool crossed_ = false;
    double markedShare_ = 0;
    std::array<bool, kParts> marked_{};
    /// How far the face has warmed, K: its front's temperature and, while that boils, as if it went
    /// on rising as fast; parts with more heat than the mean are ahead of it.
    double startK_ = 293.15, warmedK_ = 293.15, warmedForS_ = 0;
};

} // namespace dynamet::cook
