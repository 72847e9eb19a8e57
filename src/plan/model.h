// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/problem.h"

#include <gecode/int.hh>
#include <gecode/minimodel.hh>
#include <gecode/search.hh>

namespace dynamet::plan {

/// What is looked at first: the latest beginnings, which of two comes first, or short waits.
enum class Look { backward, orders, waits };

/// A problem as constraints: per dish its way, cook, start and serving; per use when its heating up
/// begins; of two uses of one resource at two settings which is first. Private to the schedule.
class Model : public Gecode::IntMinimizeSpace {
  public:
    Model(const Problem& problem, Look look, unsigned seed);
    Model(Model& other);
    Gecode::Space* copy() override { return new Model(*this); }
    Gecode::IntVar cost() const override { return total; }
    /// The first dishes stay as they are in a plan of those alone.
    void keepFirst(const Plan& plan);
    /// Keeps all but a few dishes as they are in a plan; which are free is drawn.
    void keepMost(const Plan& known, unsigned draw);
    Plan plan() const;

    Gecode::IntVarArray way, cook, start, served;
    Gecode::IntVarArray waits;  ///< [dish] beyond its shortest rest
    Gecode::IntVarArray heat;   ///< [use]; the horizon where nothing is heated for it
    Gecode::BoolVarArray needs; ///< [use] heating up of its own
    Gecode::BoolVarArray orders;
    Gecode::IntVar total;

  private:
    const Problem* problem_;
};

} // namespace dynamet::plan
