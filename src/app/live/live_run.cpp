// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/live_run.h"

#include "rating/inputs/recorded_test.h"
#include "rating/reduce.h"

#include <algorithm>
#include <cmath>

namespace dynamet::app {
namespace {

constexpr int kFlushMs = 400, kWorkMs = 500;
/// The reduction may take a fifth of the time that passes.
constexpr double kWorkShare = 5, kLeastBetweenS = 1;

} // namespace

LiveRun::LiveRun(Document& document, LineDesk& desk, QObject* parent)
    : QObject(parent), document_(document), desk_(desk) {
    flush_.setInterval(kFlushMs);
    work_.setInterval(kWorkMs);
    connect(&flush_, &QTimer::timeout, this, &LiveRun::flush);
    connect(&work_, &QTimer::timeout, this, &LiveRun::work);
    connect(&desk_, &LineDesk::reading, this, &LiveRun::take);
}

LiveRun::~LiveRun() {
    ++id_;
    beside_.finish();
    flush(); // what came in the last moment; the run is offered again
}

void LiveRun::prepare(const rating::Protocol& protocol, const book::TestRecord& test) {
    protocol_ = &protocol;
    test_ = test;
    course_ = rating::courseOf(protocol);
    step_ = 0;
    stepOver_ = false;
    log_.reset();
    keyedOn_ = false;
    drawn_.clear();
    reduction_.reset();
    refusal_.reset();
    settles_.reset();
    settled_ = enoughSaid_ = false;
    spread_.clear();
    earlier_.clear();
    beforeS_ = stepBeganS_ = 0;
    emit advanced();
}

double LiveRun::nowS() const {
    if (!isRunning())
        return 0;
    return beforeS_ + std::max(desk_.nowS() - beganS_, log_ ? log_->lastS() : 0);
}

const std::vector<device::Marked>& LiveRun::marks() const {
    static const std::vector<device::Marked> none;
    return log_ ? log_->marks() : none;
}

Result<void> LiveRun::begin(const std::map<device::ChannelId, std::string>& roles) {
    if (!protocol_)
        return fail(Errc::invalidArgument, "choose a test first");
    const auto measures = [&](const std::string& role) {
        return std::any_of(roles.begin(), roles.end(),
                           [&](const auto& one) { return one.second == role; });
    };
    if (!protocol_->roles.empty() && !measures(protocol_->roles.front()))
        return fail(Errc::invalidArgument, "nothing measures \"" + protocol_->roles.front() +
                                               "\": choose above which probe that is");
    beforeS_ = 0;
    start(roles);
    test_.id = book::newId();
    test_.setStarted(document_.now());
    test_.channels = recorded().channels;
    if (auto begun = book::beginRun(document_.book(), test_, document_.now()); !begun) {
        log_.reset();
        return begun;
    }
    flush_.start();
    work_.start();
    if (step_ < course_.size() && course_[step_].what == rating::Until::What::hand)
        for (std::size_t i = 0; i < course_.size(); ++i)
            if (course_[i].what == rating::Until::What::start)
                step_ = i;
    followCourse();
    emit advanced();
    return {};
}

Result<void> LiveRun::beginKeyed() {
    if (!protocol_ || protocol_->keyed.empty())
        return fail(Errc::invalidArgument, "this test has no readings that are typed");
    test_.id = book::newId();
    test_.setStarted(document_.now());
    test_.channels.clear();
    test_.keyed.clear();
    if (auto begun = book::beginRun(document_.book(), test_, document_.now()); !begun)
        return begun;
    keyedOn_ = true;
    beganS_ = desk_.nowS();
    work_.start();
    emit advanced();
    return {};
}

Result<void> LiveRun::key(const rating::KeyedRole& role, const std::string& typed) {
    const auto read = rating::parseKeyed(role, typed, document_.units().temperature());
    if (!read)
        return tl::unexpected(read.error());
    auto& readings = test_.keyed[role.role];
    readings.insert(readings.end(), read->begin(), read->end());
    keepKeyed();
    return {};
}

void LiveRun::unkey(const std::string& role) {
    auto at = test_.keyed.find(role);
    if (at == test_.keyed.end() || at->second.empty())
        return;
    at->second.pop_back();
    keepKeyed();
}

void LiveRun::keepKeyed() {
    if (const auto kept = book::keepKeyed(document_.book(), test_.id, test_.keyed); !kept)
        document_.say(toQt(kept.error(), document_.units()));
    reducedS_ = 0; // at once
    emit advanced();
}

Result<void> LiveRun::resume(const std::string& testId,
                             const std::map<device::ChannelId, std::string>& roles) {
    if (auto open = book::goOnWithRun(document_.book(), testId); !open)
        return open;
    auto test = book::loadTest(document_.book(), testId);
    if (!test)
        return tl::unexpected(test.error());
    const rating::Protocol* protocol = rating::findProtocol(test->protocol);
    if (!protocol)
        return fail(Errc::notFound, "the test's protocol is not known");
    prepare(*protocol, *test);
    earlier_ = test_.channels;
    // The clock went on while nothing was heard.
    beforeS_ = static_cast<double>(document_.now().utcMs - test_.startedMs) / 1000;
    if (earlier_.empty() && !protocol->keyed.empty()) {
        keyedOn_ = true;
        beganS_ = desk_.nowS();
        work_.start();
        emit advanced();
        return {};
    }
    start(roles);
    for (const book::RecordedChannel& channel : earlier_)
        for (std::size_t i = 0; i < channel.timeS.size(); ++i)
            drawn_[channel.role].thinned.add(channel.timeS[i], channel.asRecorded[i]);
    flush_.start();
    work_.start();
    followCourse();
    emit advanced();
    return {};
}

void LiveRun::start(const std::map<device::ChannelId, std::string>& roles) {
    std::map<device::ChannelId, device::ChannelSpec> specs;
    for (const LineDesk::Channel& channel : desk_.channels())
        specs[channel.id] = channel.spec;
    log_.emplace(roles, specs);
    for (const auto& [id, role] : roles) {
        if (const auto stands = desk_.deviceClock(id.instrument))
            log_->clockStands(id.instrument, *stands);
        drawn_[role].role = role;
        drawn_[role].unit = specs[id].unit;
    }
    placeOfRole_.clear();
    if (!earlier_.empty()) {
        for (std::size_t i = 0; i < earlier_.size(); ++i)
            placeOfRole_[earlier_[i].role] = static_cast<std::uint32_t>(i);
    } else {
        for (const book::RecordedChannel& channel : log_->channels())
            placeOfRole_.emplace(channel.role, static_cast<std::uint32_t>(placeOfRole_.size()));
    }
    waiting_.clear();
    beganS_ = desk_.nowS();
    leadingAtFirst_ = std::nan("");
}

void LiveRun::take(const std::string& path, const device::Reading& reading, double arrivedS) {
    if (!log_)
        return;
    for (const auto& added : log_->take(path, arrivedS - beganS_, reading)) {
        const double timeS = beforeS_ + added.timeS;
        const auto place = placeOfRole_.find(added.role);
        if (place != placeOfRole_.end())
            waiting_.push_back({place->second, timeS, added.value});
        Drawn& drawn = drawn_[added.role];
        drawn.thinned.add(timeS, added.value);
        if (!std::isnan(added.value))
            drawn.last = added.value;
    }
}

void LiveRun::flush() {
    if (!log_ || waiting_.empty())
        return;
    if (const auto kept = book::appendRun(document_.book(), test_.id, waiting_); !kept) {
        document_.say(QStringLiteral("! The readings cannot be kept: %1. They are held here and "
                                     "tried again.")
                          .arg(toQt(kept.error(), document_.units())));
        return;
    }
    waiting_.clear();
    emit advanced();
}

/// The whole test as far as it went, by the book's names.
book::TestRecord LiveRun::recorded() const {
    book::TestRecord out = test_;
    auto channels = log_ ? log_->channels() : std::vector<book::RecordedChannel>{};
    for (book::RecordedChannel& channel : channels)
        channel.instrumentId = desk_.instrumentOf(channel.instrumentId);
    for (const auto& [name, value] : device::valuesOf(marks(), *protocol_))
        out.values[name] = value;
    if (earlier_.empty()) {
        out.channels = std::move(channels);
        return out;
    }
    out.channels = earlier_;
    for (const book::RecordedChannel& later : channels)
        for (book::RecordedChannel& channel : out.channels)
            if (channel.role == later.role)
                for (std::size_t i = 0; i < later.timeS.size(); ++i) {
                    channel.timeS.push_back(beforeS_ + later.timeS[i]);
                    channel.asRecorded.push_back(later.asRecorded[i]);
                }
    return out;
}

void LiveRun::work() {
    if (!isRunning() || reducing_)
        return;
    followCourse();
    const double now = desk_.nowS();
    if (now - reducedS_ < std::max(kLeastBetweenS, kWorkShare * reductionTookS_))
        return;
    reducing_ = true;
    reducedS_ = now;
    const quint64 id = ++id_;
    beside_.start([this, id, test = recorded(), atS = nowS(),
                   instruments = document_.kitchen().instruments,
                   leading = protocol_->roles.empty() ? std::string() : protocol_->roles.front()] {
        const rating::TestInput input = rating::inputOf(test, instruments);
        auto reduction = rating::reduce(input);
        std::optional<SettleForecast> settles;
        bool settled = false;
        if (const auto series = input.channels.find(leading); series != input.channels.end()) {
            settled = findSettled(series->second, {}).has_value();
            settles = forecastSettling(series->second, {});
        }
        beside_.hand([this, id, reduction, settles, settled, atS] {
            takeReduced(id, reduction, settles, settled, atS);
        });
    });
}

void LiveRun::takeReduced(quint64 id, const Result<rating::Reduction>& reduction,
                          const std::optional<SettleForecast>& settles, bool settled, double atS) {
    reducing_ = false;
    if (id != id_ || !isRunning())
        return;
    reductionTookS_ = desk_.nowS() - reducedS_;
    settles_ = settles;
    settled_ = settled;
    reduction_ = reduction ? std::optional(*reduction) : std::nullopt;
    refusal_ = reduction ? std::nullopt : std::optional(reduction.error());
    if (reduction_ && !reduction_->quantities.empty() && reduction_->quantities.front().u > 0)
        spread_.push_back({atS, reduction_->quantities.front().u});
    if (isEnough() && !std::exchange(enoughSaid_, true))
        emit stepDue();
    followCourse();
    emit reduced();
}

/// Goes on to the next step when the one at hand is over, and says that something is due.
void LiveRun::followCourse() {
    if (step_ >= course_.size())
        return;
    const auto leading =
        protocol_->roles.empty() ? drawn_.end() : drawn_.find(protocol_->roles.front());
    rating::CourseNow now;
    now.started = isRunning();
    now.settled = settled_;
    now.nowS = nowS();
    now.stepBeganS = stepBeganS_;
    now.leading = now.leadingAtFirst = std::nan("");
    if (leading != drawn_.end() && !leading->second.thinned.stretches().empty()) {
        const auto kelvin = [&](double value) {
            rating::RecordedTest one;
            one.channels.push_back({"leading", "", leading->second.unit, "", {0}, {value}, 0.1});
            return rating::inputOf(one, {}).channels.at("leading").value.front();
        };
        now.leading = kelvin(leading->second.last);
        if (std::isnan(leadingAtFirst_))
            leadingAtFirst_ = now.leading;
        now.leadingAtFirst = leadingAtFirst_;
    }
    if (!rating::isOver(course_[step_], now) || stepOver_)
        return;
    // Steps by hand that are left are for after the log: the one at hand says when to stop it.
    const bool more = std::any_of(
        course_.begin() + static_cast<std::ptrdiff_t>(step_) + 1, course_.end(),
        [](const rating::Until& until) { return until.what != rating::Until::What::hand; });
    if (more) {
        ++step_;
        stepBeganS_ = nowS();
    } else {
        stepOver_ = true;
    }
    emit stepDue();
    emit advanced();
}

void LiveRun::nextStep() {
    if (step_ + 1 >= course_.size())
        return;
    ++step_;
    stepOver_ = false;
    stepBeganS_ = nowS();
    emit advanced();
}

void LiveRun::stepBack() {
    if (step_ == 0)
        return;
    --step_;
    stepOver_ = false;
    stepBeganS_ = nowS();
    emit advanced();
}

void LiveRun::mark(device::Mark mark, const QString& words) {
    if (!log_)
        return;
    log_->mark({nowS(), mark, toStd(words)});
    keepMarks();
}

void LiveRun::unmark() {
    if (log_ && log_->unmark())
        keepMarks();
}

void LiveRun::keepMarks() {
    std::vector<book::TestMark> all;
    for (const device::Marked& one : log_->marks())
        all.push_back({one.atS, enumName(one.mark), one.words});
    if (const auto kept = book::keepMarks(document_.book(), test_.id, all); !kept)
        document_.say(toQt(kept.error(), document_.units()));
    emit advanced();
}

Result<book::TestRecord> LiveRun::stop() {
    if (!isRunning())
        return fail(Errc::invalidArgument, "nothing is running");
    flush();
    if (!waiting_.empty())
        return fail(Errc::io, "the newest readings are not in the book yet; it goes on");
    if (auto done = book::endRun(document_.book(), test_.id, document_.now()); !done)
        return tl::unexpected(done.error());
    flush_.stop();
    work_.stop();
    ++id_;
    test_ = recorded();
    log_.reset();
    keyedOn_ = false;
    emit ended();
    return test_;
}

} // namespace dynamet::app
