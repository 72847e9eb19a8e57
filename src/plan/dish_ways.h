// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/menu.h"
#include "plan/problem.h"
#include "translate/translate.h"

#include <memory>
#include <stop_token>

namespace dynamet::plan {

/// What hands do in a dish.
enum class Task {
    takeOut,
    putIn,
    wash,
    look,
    turn,
    attend,
    leaveStage,
    nextStage,
    pull,
    serve,
    dry
};
const char* enumName(Task task);

/// Work of hands with what it is, minutes from the way's start or before the serving.
struct Work {
    Task task = Task::putIn;
    Hands hands;
    std::size_t stage = 0;
};

/// Between cold and hot holding: how long the core is there until its rest may end, and each minute
/// that it waits on.
struct Exposure {
    double cookS = 0;                 ///< tempering, the cook and the shortest rest
    std::optional<double> safeUntilS; ///< of the wait beyond that: warm enough until then; none =
                                      ///< it stays above the limit as long as was looked
    double ofWait(double waitS) const {
        return safeUntilS && waitS > *safeUntilS ? waitS - *safeUntilS : 0;
    }
};

/// One way to make a dish, with what the scheduler does not know of it.
struct DishWay {
    Way way;
    std::vector<Work> work; ///< beside `way.hands`
    translate::Row row;
    std::vector<recipe::Stage> stages;
    std::vector<Span> straight;   ///< of its stages without slack, minutes from the way's start
    std::vector<Span> stageSpans; ///< with it: the last of several stages begins when the plan
                                  ///< says, and the food waits for it under foil
    int straightLookAt = 0;
    std::vector<std::string> vessels; ///< as the way's holdings
    std::vector<int> heatsBefore; ///< of each, minutes that it stands on its burner before the food
    std::optional<recipe::Place> waitsIn; ///< none: on a board, under foil
    std::vector<int> waitCosts; ///< hundredths of a noticed difference after so many minutes beyond
                                ///< the shortest rest, counted from when it is expected
    int batches = 1;
    int expectedAt = 0; ///< minute from the start at which its rest would begin, expected; the
                        ///< way's `readyAt` has slack on top
    int lookAt = 0;     ///< and at which it is looked at first
    double lnSd = 0, neverShare = 0; ///< of ln(cooking time)
    int foodInAt = 0, tempersFrom = 0;
    int dries = 0;        ///< minutes that its face dries in the refrigerator, salted or not
    bool raw = false;     ///< it goes in raw: what it touched is washed
    bool reheats = false; ///< it was cooked before: it goes in chilled
    Exposure exposure;
};

/// All ways to make one dish of a menu, the best first. Their uses follow the stages, then where it
/// waits; which resource, setting and zone that is comes with the problem.
struct DishWays {
    std::string dishId;
    std::shared_ptr<const translate::Prepared> prepared;
    std::vector<DishWay> ways;
    std::vector<std::string> without; ///< in words: rows that no way was made of, and why
    std::optional<Error> failed;      ///< nothing could be computed of it
};

/// At most so many rows become ways.
inline constexpr std::size_t kMostRows = 4;
/// What a minute late costs the table beside what a minute's wait costs a dish, in hundredths of a
/// noticed difference. Our choice.
inline constexpr double kLateHundredths = 30;
/// Standard deviations of slack between when a dish is expected and when the plan counts on it:
/// where a minute more costs its waiting as much as it saves of being late (the newsvendor's
/// fractile); a stew gets much, a steak little. 0 to 1.5.
double slackOf(const DishWay& way);

/// From a recipe's request, rows solved with their windows. The places of the menu's site only.
DishWays waysOf(const MenuDish& dish, const Menu& menu, const Result<translate::Request>& request,
                std::stop_token stop = {});

/// The same way with a share of its slack (see `slackOf`): 0 counts on what is expected.
void setSlack(DishWay& way, double share);

} // namespace dynamet::plan
