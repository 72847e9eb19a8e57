// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/cuts_pane.h"
#include "app/translate/rows_model.h"
#include "app/translate/tried_pane.h"
#include "app/widgets/plot.h"

#include "run/course.h"

#include <QLabel>
#include <QPushButton>
#include <QScrollArea>

namespace dynamet::app {

/// One row opened: what to set and when to pull in large type, what a hand tries on it, its cut,
/// curves, reasons, other ways and cautions.
class RowPane : public QScrollArea {
    Q_OBJECT
  public:
    RowPane(Document& document, RowsModel& rows, QWidget* parent = nullptr);
    /// The open row as it would be cooked now; none while it is worked out.
    std::optional<run::PlannedCook> planned(const translate::Target& target) const;
    void open(const translate::Target& target);
    std::optional<translate::Target> target() const { return open_; }
    /// Draws it anew after its numbers changed.
    void refresh();
    /// What was asked for by `detailWanted` and `triedWanted` has come.
    void showDetail(const translate::Row& row, const translate::RowDetail& detail);
    void showTried(const translate::Row& row, const translate::RowDetail& detail);

  signals:
    void closeWanted();
    void detailWanted(const dynamet::translate::Row& row);
    void triedWanted(const dynamet::translate::Row& row, const dynamet::translate::Tried& tried);
    void rowWanted(const dynamet::translate::Target& target);
    /// The dish is to be on the menu in hand, made there.
    void menuWanted(const dynamet::translate::Target& target);
    void cookWanted(const dynamet::translate::Target& target);
    /// It is opened, or is worked out anew.
    void shown(const dynamet::translate::Row& row);

  private:
    void build();
    /// The row as far as it is worked out, as it was found; nullptr for none.
    const translate::Row* foundRow() const;
    /// That, or what a hand tries on it.
    const translate::Row* openRowItem() const;
    void showRow(const translate::Row& row);
    void tryRow();
    void writeRow();
    void drawCurves(const cook::Outcome& outcome);
    void showLines(const translate::Row& row, const std::vector<std::string>& more);
    Document& document_;
    RowsModel& rows_;
    std::optional<translate::Target> open_;
    QLabel* title_;
    QLabel* pull_;
    QLabel* times_;  ///< when to look, what to expect, when at the latest
    QLabel* stages_; ///< of a recipe of several stages, what to do in which order
    std::optional<translate::RowDetail> detail_; ///< once it is known
    QLabel* lines_;
    QLabel* warnings_;
    QLabel* cautions_; ///< what to mind before and while it cooks
    QLabel* ways_;
    TriedPane* tried_;
    std::optional<translate::Row> triedRow_; ///< once it is worked out
    CutsPane* cuts_;
    Plot* curves_;
    QPushButton* back_;
};

} // namespace dynamet::app
