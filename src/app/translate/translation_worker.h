// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "translate/translate.h"

#include <QObject>
#include <memory>
#include <stop_token>

namespace dynamet::app {

/// A row that is solved first; with a setting it is shown at that setting before the search.
struct HeldRow {
    translate::Target target;
    kitchen::Setting setting = {};
    double stageS = 0; ///< as of `Instruction`
    double guessS = 0; ///< how long its last stage took before
};

/// Runs translations off the interface's thread: one request at a time, the newest wins. A request
/// is a whole snapshot of values; answers come by signal with the request's id, stale ones are
/// dropped.
class TranslationWorker : public QObject {
    Q_OBJECT
  public:
    using PreparedPointer = std::shared_ptr<const translate::Prepared>;
    explicit TranslationWorker(QObject* parent = nullptr);
    ~TranslationWorker() override;

    /// Starts a request and stops the one before. Targets listed in `first` are solved first.
    void start(const translate::Request& request, const std::vector<HeldRow>& first);
    void cancel();
    /// A row as a hand tries it: first with its curves, then with its window; the newest wins.
    void askTried(const translate::Row& row, const translate::Tried& tried);
    /// Computes what an opened row shows; the newest question wins.
    void askDetail(const translate::Row& row);
    bool isIdle() const { return pending_ == 0 && !detailPending_ && !triedPending_; }
    int total() const { return total_; }
    int done() const { return total_ - pending_; }
    PreparedPointer prepared() const { return prepared_; }

  signals:
    void preparedReady();
    void failed(const QString& reason);
    void rowReady(const dynamet::translate::Row& row, bool complete);
    void finished();
    void detailReady(const dynamet::translate::Row& row,
                     const std::shared_ptr<const dynamet::translate::RowDetail>& detail);

    void triedReady(const dynamet::translate::Row& row,
                    const std::shared_ptr<const dynamet::translate::RowDetail>& detail);

  private:
    void takePrepared(quint64 id, const PreparedPointer& prepared,
                      const std::vector<HeldRow>& first);
    void takeRow(quint64 id, const translate::Row& row, bool complete);
    Beside beside_{2};
    quint64 id_ = 0, detailId_ = 0, triedId_ = 0;
    bool detailPending_ = false, triedPending_ = false;
    std::stop_source stop_, triedStop_;
    PreparedPointer prepared_;
    int total_ = 0, pending_ = 0;
};

} // namespace dynamet::app
