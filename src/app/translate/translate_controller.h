// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/translate/rows_model.h"
#include "app/translate/translation_worker.h"

#include <QTimer>

namespace dynamet::app {

/// The course of a translation: what is written becomes a request (once the hand rests), the
/// worker's answers become rows, and a finished translation can be kept.
class TranslateController : public QObject {
    Q_OBJECT
  public:
    using RequestOf = std::function<std::optional<translate::Request>()>;
    using OpenTarget = std::function<std::optional<translate::Target>()>;
    /// `request` reads what is written now, `open` the row that is looked at.
    TranslateController(Document& document, RowsModel& rows, RequestOf request, OpenTarget open,
                        QObject* parent = nullptr);
    /// Nothing is computed before the page is seen once.
    void activate();
    void askSoon();
    void askDetail(const translate::Row& row);
    void askTried(const translate::Row& row, const translate::Tried& tried);
    bool isIdle() const { return !asked_.isActive() && worker_.isIdle(); }
    /// Keeps the translation with everything it was computed from; says so.
    void keep(const recipe::Recipe* recipe);

  signals:
    void nothingWritten();
    void prepared(const translate::Prepared& prepared);
    void failed(const QString& reason);
    void rowChanged(const translate::Row& row);
    void progressed(int done, int total);
    void detailed(const translate::Row& row,
                  const std::shared_ptr<const translate::RowDetail>& detail);
    void tried(const translate::Row& row,
               const std::shared_ptr<const translate::RowDetail>& detail);

  private:
    void ask();
    Document& document_;
    RowsModel& rows_;
    RequestOf request_;
    OpenTarget open_;
    TranslationWorker worker_;
    /// What the recipe's own time told, for what-ifs of the piece.
    std::shared_ptr<const translate::Believed> believed_;
    QTimer asked_;
    bool active_ = false;
};

} // namespace dynamet::app
