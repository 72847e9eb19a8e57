// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/translate/axis_ruler.h"
#include "app/translate/row_pane.h"
#include "app/translate/rows_model.h"

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
    /// Opens the row of a place, where it is in the list.
    void openRowOf(const translate::Target& target);
    RowPane& row() { return *row_; }

  signals:
    void keepWanted();
    void triedWanted(const dynamet::translate::Row& row, const dynamet::translate::Tried& tried);
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
    void showOthers();
    void writeFleet();
    Document& document_;
    RowsModel* model_;
    QLabel* progress_;
    QLabel* filtered_ = nullptr; ///< how many rows the filters leave out
    QListView* list_;
    AxisRuler* ruler_;
    QPushButton* others_; ///< what cannot hold the food, on demand
    QPushButton* sheet_;  ///< writes all rows as one
    QStackedWidget* stack_;
    RowPane* row_;
};

} // namespace dynamet::app
