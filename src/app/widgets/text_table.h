// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <QTableView>

namespace dynamet::app {

/// Rows of plain words: the table twin of a picture, or a list of answers.
class TextTableModel : public QAbstractTableModel {
    Q_OBJECT
  public:
    using QAbstractTableModel::QAbstractTableModel;
    void setRows(const QStringList& headers, const QVector<QStringList>& rows);
    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

  private:
    QStringList headers_;
    QVector<QStringList> rows_;
};

/// A view on it in the app's look; whole rows are chosen.
class TextTable : public QTableView {
    Q_OBJECT
  public:
    explicit TextTable(const QString& name, QWidget* parent = nullptr);
    void showRows(const QStringList& headers, const QVector<QStringList>& rows);
    int currentRow() const { return currentIndex().isValid() ? currentIndex().row() : -1; }
    void setCurrentRow(int row);

  signals:
    void rowChosen(int row);

  protected:
    void currentChanged(const QModelIndex& current, const QModelIndex& previous) override;

  private:
    TextTableModel* model_;
};

} // namespace dynamet::app
