// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/outcome_pane.h"
#include "app/translate/reach_pane.h"
#include "app/translate/translate_controller.h"
#include "app/translate/written_pane.h"

#include <QButtonGroup>
#include <QScrollArea>

namespace dynamet::app {

/// Translate: three panes side by side, or one at a time in a narrow window.
class TranslatePage : public QWidget {
    Q_OBJECT
  public:
    explicit TranslatePage(Document& document, QWidget* parent = nullptr);
    void activate() { controller_.activate(); }
    bool isIdle() const { return controller_.isIdle(); }
    ReachPane& reach() { return *reach_; }
    WrittenPane& written() { return *written_; }
    void chooseTarget(const std::string& applianceId);

  protected:
    void resizeEvent(QResizeEvent* event) override;

  private:
    void buildPanes();
    void arrange();
    WrittenPane* written_;
    OutcomePane* outcome_;
    ReachPane* reach_;
    QWidget* tabs_; ///< one pane at a time in a narrow window
    QButtonGroup* tabGroup_;
    QScrollArea *writtenArea_, *outcomeArea_;
    TranslateController controller_;
};

} // namespace dynamet::app
