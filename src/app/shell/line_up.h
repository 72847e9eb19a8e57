// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/kept_picture.h"
#include "kitchen/rate_sheet.h"

#include <QAbstractListModel>
#include <QLineEdit>
#include <QListView>
#include <QSortFilterProxyModel>
#include <QStyledItemDelegate>

namespace dynamet::app {

/// Appliances with their combs, grouped by how heat gets in; a group's first row carries its name.
class LineUpModel : public QAbstractListModel {
    Q_OBJECT
  public:
    enum Role { IdRole = Qt::UserRole, GroupRole, RowRole };
    struct Row {
        std::string id;
        QString name, kind, age;
        kitchen::HeatGroup group;
        std::vector<kitchen::CombTick> comb;
    };
    explicit LineUpModel(Document& document, QObject* parent = nullptr);
    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    const Row& row(int at) const { return rows_[static_cast<std::size_t>(at)]; }

  private:
    void rebuild();
    Document& document_;
    std::vector<Row> rows_;
};

/// Paints name, age and comb of an appliance on the common temperature axis.
class CombDelegate : public QStyledItemDelegate {
    Q_OBJECT
  public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    bool narrow = false;
};

/// The left side: filter, list, axis.
class LineUp : public QWidget, public Drawn {
    Q_OBJECT
  public:
    explicit LineUp(Document& document, QWidget* parent = nullptr);
    std::string currentId() const;
    void select(const std::string& applianceId);
    void focusFilter();
    void setFolded(bool folded);
    QSize drawnSize() const override;
    void drawOn(QPainter& painter) override;

  signals:
    void applianceChosen(const std::string& id);
    void addWanted();

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    void chooseFirstIfNone();
    void drawAxis(QPainter& painter, int top) const;
    Document& document_;
    LineUpModel* model_;
    QSortFilterProxyModel* proxy_;
    CombDelegate* delegate_;
    QLineEdit* filter_;
    QPushButton* add_;
    QListView* list_;
    QWidget* empty_;
    int axisTop_ = 0;
};

} // namespace dynamet::app
