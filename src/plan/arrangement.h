// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/problem.h"

#include <cstdint>

namespace dynamet::plan {

/// Some of a problem's dishes at their places. One can be taken out, looked at elsewhere and put
/// there, a hundred thousand times a second. What stands here holds for `broken` too; heating up
/// begins as late as it can, sooner where hands are taken.
class Arrangement {
  public:
    explicit Arrangement(const Problem& problem);

    const Placed& at(std::size_t dish) const { return placed_[dish]; }
    void take(std::size_t dish);
    /// Whether it can stand there is not asked again. The dish must be out.
    void put(std::size_t dish, const Placed& placed);
    /// What all of it costs with this dish there too, as `costOf` would; none where it cannot stand
    /// beside the others. The dish must be out.
    std::optional<int> costWith(std::size_t dish, const Placed& placed);
    /// What those cost that are in; none where they cannot stand together.
    std::optional<int> cost();
    /// With the heats; asked for when all dishes are in and `cost` has just been asked.
    Plan plan() const;

  private:
    struct Standing {
        std::size_t dish, use;
        const Use* what;
        Span span;
    };
    template <class Things, class Each>
    bool eachMinute(Things Way::*things, std::size_t dish, const Placed& placed, Each each) const;
    template <class Each>
    bool eachHands(std::size_t dish, const Placed& placed, Each each) const;
    template <class Each>
    bool eachPan(std::size_t dish, const Placed& placed, Each each) const;
    bool handsAreFree(std::size_t dish, const Placed& placed);
    bool pansAreFree(std::size_t dish, const Placed& placed) const;
    void list(int resource);
    bool holds(const Resource& on) const;
    bool heatUp(const Resource& on, int& cost, int& first);
    std::optional<int> heatingOf(const Resource& on, std::size_t j);

    const Problem& problem_;
    std::vector<Placed> placed_;
    std::vector<bool> there_;
    std::vector<std::vector<std::uint8_t>> busy_; ///< [cook][minute] by the dishes' own work
    std::vector<std::vector<std::uint8_t>> free_; ///< that, and heating up
    std::vector<std::vector<std::uint8_t>> held_; ///< [vessel][minute] how many of it
    int over_ = 0;              ///< minutes at which more of a vessel is held than there is
    std::vector<Standing> row_; ///< on one resource, by their beginnings
};

} // namespace dynamet::plan
