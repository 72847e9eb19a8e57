// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/axis_ruler.h"
#include "app/translate/cuts_pane.h"
#include "app/translate/rows_model.h"
#include "app/widgets/plot.h"

#include <QLabel>
#include <QListView>
#include <QPushButton>
#include <QStackedWidget>

namespace dynamet::app {

/// The appliances: the rows as they come, and a row opened to curves and reasons.
class ReachPane : public QWidget {
    Q_OBJECT
  public:
    explicit ReachPane(Document& document, QWidget* parent = nullptr);
    RowsModel& rows() { return *model_; }
    void showProgress(int done, int total);
    /// Clears all rows and says why.
    void showProblem(const QString& words);
    void openRow(int at);
    void closeRow();
    bool isOpen() const;
    std::optional<translate::Target> openTarget() const;
    /// Draws the opened row anew after its numbers changed.
    void refreshOpenRow();

    /// What was asked for by `detailWanted` has come.
    void showDetail(const translate::Row& row, const translate::RowDetail& detail);

  signals:
    void keepWanted();
    void detailWanted(const dynamet::translate::Row& row);
    /// A row is opened, or is worked out anew while it is; or none is any more.
    void rowShown(const dynamet::translate::Row& row);
    void rowClosed();

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    QWidget* buildList();
    QWidget* buildFilters();
    QWidget* buildDetail();
    void showOthers();
    void drawCurves(const cook::Outcome& outcome);
    void writeRow();
    void writeFleet();
    /// The open row as far as it is worked out; nullptr for none.
    const translate::Row* openRowItem() const;
    void showLines(const translate::Row& row, const std::vector<std::string>& more);
    Document& document_;
    RowsModel* model_;
    QLabel* progress_;
    QLabel* filtered_ = nullptr; ///< how many rows the filters leave out
    QListView* list_;
    AxisRuler* ruler_;
    QPushButton* others_; ///< what cannot hold the food, on demand
    QPushButton* sheet_;  ///< writes all rows as one
    QStackedWidget* stack_;
    QLabel* detailTitle_;
    QLabel* detailPull_;
    QLabel* detailStages_; ///< of a recipe of several stages, what to do in which order
    std::optional<translate::RowDetail> detail_; ///< of the open row, once it is known
    QLabel* detailLines_;
    QLabel* detailWarnings_;
    QLabel* detailCautions_; ///< what to mind before and while it cooks
    QLabel* detailWays_;
    CutsPane* cuts_;
    Plot* curves_;
    QPushButton* back_;
    std::optional<translate::Target> open_;
};

} // namespace dynamet::app
