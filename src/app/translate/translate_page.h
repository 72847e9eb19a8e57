// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/outcome_pane.h"
#include "app/translate/reach_pane.h"
#include "app/translate/translation_worker.h"
#include "app/translate/written_pane.h"

#include <QButtonGroup>
#include <QScrollArea>
#include <QTimer>

namespace dynamet::app {

/// Translate: three panes, and the course of a request between them and the worker.
class TranslatePage : public QWidget {
    Q_OBJECT
  public:
    explicit TranslatePage(Document& document, QWidget* parent = nullptr);
    void activate();
    bool isIdle() const { return !asked_.isActive() && worker_.isIdle(); }
    ReachPane& reach() { return *reach_; }
    WrittenPane& written() { return *written_; }
    void chooseTarget(const std::string& applianceId);

  protected:
    void resizeEvent(QResizeEvent* event) override;

  private:
    void buildPanes();
    void arrange();
    void ask();
    void keep();
    Document& document_;
    TranslationWorker worker_;
    QTimer asked_;
    bool active_ = false;
    WrittenPane* written_;
    OutcomePane* outcome_;
    ReachPane* reach_;
    QWidget* tabs_; ///< one pane at a time in a narrow window
    QButtonGroup* tabGroup_;
    QScrollArea *writtenArea_, *outcomeArea_;
};

} // namespace dynamet::app
