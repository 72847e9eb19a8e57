// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/document.h"
#include "app/live/line_desk.h"
#include "book/live_run_store.h"
#include "rating/inputs/course.h"
#include "rating/uncertainty/worth_waiting.h"
#include "trace/settle_forecast.h"
#include "trace/thinned.h"

#include <QTimer>

namespace dynamet::app {

/// A test while its readings come: they are kept in the book as they arrive, reduced anew beside,
/// and the course of the test goes on by what they say.
class LiveRun : public QObject {
    Q_OBJECT
  public:
    LiveRun(Document& document, LineDesk& desk, QObject* parent = nullptr);
    ~LiveRun() override;
    /// What it is about to measure; shown before it begins.
    void prepare(const rating::Protocol& protocol, const book::TestRecord& test);
    /// Begins with these channels. Errors: nothing measures the leading role; the book refuses.
    Result<void> begin(const std::map<device::ChannelId, std::string>& roles);
    /// Begins with readings that are typed, one key each; and takes them, or the newest back.
    /// Errors say what cannot be read.
    Result<void> beginKeyed();
    Result<void> key(const rating::KeyedRole& role, const std::string& typed);
    void unkey(const std::string& role);
    /// Goes on with a run that was cut off.
    Result<void> resume(const std::string& testId,
                        const std::map<device::ChannelId, std::string>& roles);
    /// Ends it; the test is a draft of the book from then on.
    Result<book::TestRecord> stop();
    void mark(device::Mark mark, const QString& words = {});
    void unmark();
    void nextStep();
    void stepBack();
    bool isRunning() const { return log_.has_value() || keyedOn_; }
    bool isKeyed() const { return keyedOn_; }
    const rating::Protocol* protocol() const { return protocol_; }
    const book::TestRecord& test() const { return test_; }
    const std::vector<rating::Until>& course() const { return course_; }
    std::size_t step() const { return step_; }
    /// The step's own end has come: the next one is due.
    bool isStepOver() const { return stepOver_; }
    double nowS() const;
    struct Drawn {
        std::string role, unit;
        Thinned thinned;
        double last = 0;
    };
    const std::map<std::string, Drawn>& drawn() const { return drawn_; }
    const std::vector<device::Marked>& marks() const;
    const std::optional<rating::Reduction>& reduction() const { return reduction_; }
    const std::optional<Error>& refusal() const { return refusal_; }
    const std::optional<SettleForecast>& settles() const { return settles_; }
    bool hasSettled() const { return settled_; }
    bool isEnough() const { return rating::isEnough(spread_); }
    bool isIdle() const { return !reducing_; }

  signals:
    void advanced();
    void reduced();
    /// Something is to be done now: heard as well as seen.
    void stepDue();
    void ended();

  private:
    void take(const std::string& path, const device::Reading& reading, double arrivedS);
    void start(const std::map<device::ChannelId, std::string>& roles);
    void flush();
    void work();
    void takeReduced(quint64 id, const Result<rating::Reduction>& reduction,
                     const std::optional<SettleForecast>& settles, bool settled, double atS);
    void followCourse();
    book::TestRecord recorded() const;
    Document& document_;
    LineDesk& desk_;
    const rating::Protocol* protocol_ = nullptr;
    book::TestRecord test_;
    std::vector<rating::Until> course_;
    std::size_t step_ = 0;
    bool stepOver_ = false;
    double stepBeganS_ = 0, beganS_ = 0, beforeS_ = 0;
    std::optional<device::RunLog> log_;
    std::map<device::ChannelId, std::uint32_t> places_; ///< in the test's channels
    std::vector<book::RecordedChannel> earlier_;        ///< of a run that goes on
    std::vector<book::LiveReading> waiting_;
    std::map<std::string, Drawn> drawn_;
    std::map<std::string, std::uint32_t> placeOfRole_;
    std::optional<rating::Reduction> reduction_;
    std::optional<Error> refusal_;
    std::optional<SettleForecast> settles_;
    void keepKeyed();
    void keepMarks();
    bool keyedOn_ = false;
    bool settled_ = false, reducing_ = false, enoughSaid_ = false;
    std::vector<rating::SpreadAt> spread_;
    double reducedS_ = 0, reductionTookS_ = 0, leadingAtFirst_ = 0;
    quint64 id_ = 0;
    QTimer flush_, work_;
    Beside beside_;
};

} // namespace dynamet::app
