// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/text_table.h"

#include <QHeaderView>

namespace dynamet::app {

void TextTableModel::setRows(const QStringList& headers, const QVector<QStringList>& rows) {
    beginResetModel();
    headers_ = headers;
    rows_ = rows;
    endResetModel();
}

int TextTableModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(rows_.size());
}

int TextTableModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(headers_.size());
}

QVariant TextTableModel::data(const QModelIndex& index, int role) const {
    if (role == Qt::DisplayRole || role == Qt::ToolTipRole)
        return rows_.value(index.row()).value(index.column());
    if (role == Qt::AccessibleTextRole)
        return rows_.value(index.row()).join(QStringLiteral(", "));
    return {};
}

QVariant TextTableModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (role == Qt::TextAlignmentRole)
        return static_cast<int>(Qt::AlignLeft | Qt::AlignVCenter);
    return role == Qt::DisplayRole && orientation == Qt::Horizontal ? headers_.value(section)
                                                                    : QVariant();
}

TextTable::TextTable(const QString& name, QWidget* parent)
    : QTableView(parent), model_(new TextTableModel(this)) {
    setModel(model_);
    setAccessibleName(name);
    setObjectName(QStringLiteral("textTable"));
    setSelectionBehavior(QAbstractItemView::SelectRows);
    setSelectionMode(QAbstractItemView::SingleSelection);
    setEditTriggers(QAbstractItemView::NoEditTriggers);
    setTabKeyNavigation(false);
    verticalHeader()->hide();
    verticalHeader()->setDefaultSectionSize(26);
    horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    horizontalHeader()->setStretchLastSection(true);
    setWordWrap(false);
}

void TextTable::showRows(const QStringList& headers, const QVector<QStringList>& rows) {
    model_->setRows(headers, rows);
}

void TextTable::setCurrentRow(int row) {
    if (row >= 0 && row < model_->rowCount())
        setCurrentIndex(model_->index(row, 0));
}

void TextTable::currentChanged(const QModelIndex& current, const QModelIndex& previous) {
    QTableView::currentChanged(current, previous);
    emit rowChosen(current.row());
}

} // namespace dynamet::app
