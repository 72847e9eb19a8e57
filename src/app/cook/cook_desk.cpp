// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/cook_desk.h"

#include "book/recipe_request.h"
#include "quantity/parse_duration.h"

#include <algorithm>
#include <cmath>

namespace dynamet::app {
namespace {

constexpr int kFlushMs = 500, kTickMs = 1000;
/// A live forecast is made anew so often.
constexpr double kAgainS = 10, kAgainAloneS = 60;
constexpr double kMillis = 1000;

/// As the channel shows it, in kelvins.
std::optional<double> kelvinOf(const device::ChannelSpec& spec, double value) {
    if (!std::isfinite(value))
        return std::nullopt;
    if (spec.unit == "°C")
        return Temperature::celsius(value).kelvin();
    if (spec.unit == "°F")
        return Temperature::fahrenheit(value).kelvin();
    return spec.unit == "K" ? std::optional(value) : std::nullopt;
}

} // namespace

CookDesk::CookDesk(Document& document, LineDesk& desk, QObject* parent)
    : QObject(parent), document_(document), desk_(desk) {
    flush_.setInterval(kFlushMs);
    tick_.setInterval(kTickMs);
    connect(&flush_, &QTimer::timeout, this, &CookDesk::flush);
    connect(&tick_, &QTimer::timeout, this, &CookDesk::tick);
    connect(&desk_, &LineDesk::reading, this,
            [this](const std::string& path, const device::Reading& reading, double) {
                readingCame(path, reading);
            });
    connect(&worker_, &ForecastWorker::forecast, this,
            [this](std::size_t at, const Result<run::Forecast>& made) {
                if (at >= dishes_.size())
                    return;
                DishNow& dish = dishes_[at];
                dish.trouble.reset();
                if (made) {
                    dish.forecast = *made;
                    if (isWarned(*made) && dish.actions.empty() && !dish.standing().pulled)
                        worker_.askActions(at, questionOf(dish), *made, dish.seen);
                } else
                    dish.trouble = made.error();
                reflow();
                emit forecastMade(at);
                emit changed();
            });
    connect(&worker_, &ForecastWorker::actions, this,
            [this](std::size_t at, const Result<std::vector<run::Action>>& made) {
                if (at >= dishes_.size())
                    return;
                dishes_[at].actions = made.value_or(std::vector<run::Action>{});
                emit actionsMade(at);
                emit changed();
            });
    connect(&planner_, &PlanWorker::answered, this,
            [this](const std::shared_ptr<const PlanAnswer>& answer) {
                if (run_ && answer->last)
                    takePlan(*answer);
            });
    connect(&document_, &Document::opened, this, [this] {
        run_.reset();
        dishes_.clear();
        worker_.cancel();
        planner_.forget();
        takeUp();
        emit changed();
    });
}

void CookDesk::takeUp() {
    if (!document_.isOpen())
        return;
    auto open = openRun(document_.book(), document_.kitchen());
    if (!open) {
        document_.say(toQt(open.error(), document_.units()));
        return;
    }
    if (!*open)
        return;
    run_ = std::move(**open);
    dishes_.clear();
    for (const book::CookRecord& cook : run_->cooks) {
        dishes_.emplace_back();
        dishes_.back().cook = cook;
        readDish(dishes_.back());
    }
    if (document_.isWritable())
        flush_.start();
    tick_.start();
    for (std::size_t i = 0; i < dishes_.size(); ++i)
        refresh(i);
    emit begun();
}

void CookDesk::readDish(DishNow& dish) {
    const auto entries = loadEntries(document_.book(), dish.cook.id);
    const auto readings = loadReadings(document_.book(), dish.cook.id);
    if (!entries || !readings)
        document_.say(toQt(!entries ? entries.error() : readings.error(), document_.units()));
    dish.all = entries.value_or(std::vector<run::Entry>{});
    dish.entries = run::standing(dish.all);
    dish.readings = readings.value_or(std::vector<run::CoreReading>{});
}

Result<void> CookDesk::begin(const std::string& name, std::vector<book::CookRecord> cooks,
                             const std::string& menuId, const std::string& trialId) {
    if (run_)
        return fail(Errc::refused, "a run is under way: end it first (Cook)");
    book::CookRun made;
    made.id = book::newId();
    made.name = name;
    made.menuId = menuId;
    made.trialId = trialId;
    made.began = document_.now();
    for (book::CookRecord& cook : cooks) {
        cook.id = book::newId();
        cook.runId = made.id;
    }
    made.cooks = std::move(cooks);
    if (const auto kept = beginCooks(document_.book(), made, document_.kitchen()); !kept)
        return kept;
    takeUp();
    return {};
}

double CookDesk::nowS() const {
    if (!run_)
        return 0;
    double out = static_cast<double>(document_.now().utcMs - run_->began.utcMs) / kMillis;
    for (const DishNow& dish : dishes_) // a clock that was set back does not undo what was done
        for (const run::Entry& entry : dish.all)
            out = std::max(out, entry.atS);
    return std::max(0.0, out);
}

words::RunClock CookDesk::clock() const {
    return run_ ? words::RunClock{run_->began.utcMs, run_->began.offsetMin} : words::RunClock{};
}

std::vector<run::Move> CookDesk::moves() const {
    std::vector<run::Move> out;
    const double now = nowS();
    for (std::size_t i = 0; i < dishes_.size(); ++i) {
        const DishNow& dish = dishes_[i];
        const auto of =
            movesOf(dish.cook.planned, dish.entries, dish.forecast, dish.cook.startsS, now, i);
        out.insert(out.end(), of.begin(), of.end());
    }
    run::sortMoves(out);
    return out;
}

run::Question CookDesk::questionOf(const DishNow& dish) const {
    run::Question out;
    out.request = requestOf(dish.cook.planned.recipe, document_.kitchen(), document_.choices());
    out.request.units = document_.units();
    out.planned = dish.cook.planned;
    out.entries = dish.entries;
    out.readings = dish.readings;
    out.nowS = nowS();
    if (dish.probe && dish.probeS > 0)
        out.probeSilentS = out.nowS - dish.probeS;
    else if (!dish.readings.empty() && dish.standing().begun)
        out.probeSilentS = out.nowS - dish.standing().foodInS - dish.readings.back().atS;
    return out;
}

Result<void> CookDesk::log(std::size_t at, run::What what, double value, const std::string& words,
                           double agoS) {
    DishNow& dish = dishes_[at];
    run::Entry entry{0, std::max(0.0, nowS() - agoS), what, value, words};
    const auto number = addEntry(document_.book(), dish.cook.id, entry);
    if (!number)
        return tl::unexpected(number.error());
    entry.number = *number;
    dish.all.push_back(entry);
    dish.entries = run::standing(dish.all);
    if (what != run::What::saw)
        dish.actions.clear();
    refresh(at);
    emit changed();
    return {};
}

Result<void> CookDesk::takeBack(std::size_t at) {
    std::int64_t newest = 0;
    for (const run::Entry& entry : dishes_[at].entries)
        newest = std::max(newest, entry.number);
    if (newest == 0)
        return fail(Errc::notFound, "nothing was noted yet");
    return log(at, run::What::takenBack, static_cast<double>(newest));
}

void CookDesk::look(std::size_t at, std::optional<run::Seen> seen) {
    DishNow& dish = dishes_[at];
    dish.seen = seen;
    dish.actions.clear();
    if (seen)
        if (const auto kept = log(at, run::What::saw, 0, run::enumName(*seen)); !kept)
            document_.say(toQt(kept.error(), document_.units()));
    if (dish.forecast)
        worker_.askActions(at, questionOf(dish), *dish.forecast, seen);
    emit changed();
}

Result<void> CookDesk::take(std::size_t at, std::size_t which) {
    if (which >= dishes_[at].actions.size())
        return fail(Errc::notFound, "this is not offered any more");
    const run::Action action = dishes_[at].actions[which];
    for (const run::Entry& entry : action.entries) {
        const bool later = entry.what == run::What::resumed; // done by hand when it is time
        if (later)
            continue;
        if (const auto kept = log(at, entry.what, entry.value, entry.words); !kept)
            return kept;
    }
    dishes_[at].actions.clear();
    dishes_[at].seen.reset();
    emit changed();
    return {};
}

void CookDesk::setProbe(std::size_t at, const std::optional<device::ChannelId>& probe) {
    dishes_[at].probe = probe;
    dishes_[at].probeS = 0;
    if (probe)
        desk_.remember(*probe, "core");
    emit changed();
}

void CookDesk::refresh(std::size_t at) {
    DishNow& dish = dishes_[at];
    if (dish.cook.unreadable) {
        dish.trouble = dish.cook.unreadable;
        return;
    }
    if (dish.standing().served)
        return;
    dish.askedS = nowS();
    worker_.ask(at, questionOf(dish));
}

void CookDesk::readingCame(const std::string& path, const device::Reading& reading) {
    if (!run_)
        return;
    const double now = nowS();
    for (std::size_t at = 0; at < dishes_.size(); ++at) {
        DishNow& dish = dishes_[at];
        const run::Standing stands = dish.standing();
        if (!dish.probe || dish.probe->instrument != path || !stands.begun || stands.served)
            continue;
        for (const LineDesk::Channel& channel : desk_.channels()) {
            if (!(channel.id == *dish.probe))
                continue;
            for (const device::Value& value : reading.values)
                if (value.channel == channel.id.channel)
                    if (const auto kelvin = kelvinOf(channel.spec, value.value)) {
                        const run::CoreReading one{now - stands.foodInS, *kelvin, false};
                        dish.readings.push_back(one);
                        waiting_[at].push_back(one);
                        dish.probeS = now;
                    }
        }
    }
}

void CookDesk::flush() {
    if (!run_)
        return;
    for (auto& [at, readings] : waiting_) {
        if (readings.empty())
            continue;
        if (const auto kept = addReadings(document_.book(), dishes_[at].cook.id, readings); !kept) {
            document_.say(toQt(kept.error(), document_.units()));
            return; // they wait on
        }
        readings.clear();
    }
}

void CookDesk::tick() {
    if (!run_)
        return;
    const double now = nowS();
    for (std::size_t at = 0; at < dishes_.size(); ++at) {
        DishNow& dish = dishes_[at];
        const double every = dish.probe ? kAgainS : kAgainAloneS;
        if (now - dish.askedS >= every && worker_.isIdle())
            refresh(at);
    }
    emit changed();
}

Result<void> CookDesk::end() {
    if (!run_)
        return {};
    flush();
    if (const auto kept = endCooks(document_.book(), run_->id, document_.now()); !kept)
        return kept;
    const std::string id = run_->id;
    run_.reset();
    dishes_.clear();
    waiting_.clear();
    worker_.cancel();
    planner_.forget();
    flush_.stop();
    tick_.stop();
    document_.reload();
    emit ended(id);
    emit changed();
    return {};
}

} // namespace dynamet::app
