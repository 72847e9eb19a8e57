// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/model.h"

namespace dynamet::plan {

/// Posts the constraints of a problem on a model that has its variables.
class ModelBuilder {
  public:
    ModelBuilder(Model& model, const Problem& problem);
    void build();
    static int countUses(const Problem& problem);

  private:
    struct UseVars {
        int dish = 0, way = 0;
        const Use* what = nullptr;
        Gecode::BoolVar active;
        Gecode::IntVar from, to;
        int index = 0;      ///< in the model's `heat`
        bool later = false; ///< a use of the same way on the same resource comes before it
    };
    void addDishes();
    void addUses();
    void addOrders(const std::vector<int>& onIt, const Resource& on);
    void addRoom(const std::vector<int>& onIt, const Resource& on);
    void addRoomOfZone(const std::vector<int>& inIt, int room);
    void addVessels();
    /// A stretch that takes of what there is so much of.
    struct Stretch {
        Gecode::IntVar from, to;
        std::optional<int> lasts; ///< none: as long as it comes to
        int demand = 1;
        Gecode::BoolVar active;
    };
    void keepWithin(int room, const std::vector<Stretch>& all);
    /// The minute that it is served, of a way that is taken.
    Gecode::IntVar untilServed(int dish, const Gecode::BoolVar& active);
    void addHeats(const std::vector<int>& onIt, const Resource& on);
    void addHands();
    void addCost();
    Gecode::IntVar shifted(const Gecode::IntVar& by, int minutes);
    /// Where `when` holds: a + apart ≤ b.
    void keepApart(const Gecode::BoolVar& when, const Gecode::IntVar& a, int apart,
                   const Gecode::IntVar& b);
    Gecode::BoolVar newBool() { return Gecode::BoolVar(model_, 0, 1); }
    const Gecode::BoolVar& order(int first, int second) const {
        return orders_[static_cast<std::size_t>(first) * uses_.size() +
                       static_cast<std::size_t>(second)];
    }

    Model& model_;
    const Problem& problem_;
    int horizon_;
    int longest_ = 0;                                ///< of any way, from its start
    std::vector<std::vector<Gecode::BoolVar>> made_; ///< [dish][way]
    std::vector<UseVars> uses_;
    std::vector<Gecode::BoolVar> orders_; ///< [first × uses + second]; empty handles where none
};

} // namespace dynamet::plan
