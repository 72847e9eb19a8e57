// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "kitchen/rate_sheet.h"

#include <QAbstractTableModel>
#include <QHeaderView>
#include <QStyledItemDelegate>
#include <QTableView>

namespace dynamet::app {

/// Settings down, zones across.
class RateSheetModel : public QAbstractTableModel {
    Q_OBJECT
  public:
    explicit RateSheetModel(Document& document, QObject* parent = nullptr);
    /// `untilMs` 0 = as it is now, else as it was rated up to then.
    void setSheet(const std::string& applianceId, std::int64_t untilMs = 0,
                  const kitchen::SheetWith& with = {});
    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    const kitchen::RateSheet& sheet() const { return sheet_; }
    const kitchen::SheetCell& cell(const QModelIndex& index) const;
    QString cellText(const QModelIndex& index) const;
    /// "measured 9 d", "interpolated": where it comes from and how old it is.
    QString restsOn(const QModelIndex& index) const;

  private:
    Document& document_;
    kitchen::RateSheet sheet_;
};

/// Value ± beside a patch of the heat ramp: solid measured, lined interpolated, hollow assumed.
class CellDelegate : public QStyledItemDelegate {
    Q_OBJECT
  public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
};

/// Settings at the left edge; burner sets as little discs, filled as far as the burner is open.
class SettingHeader : public QHeaderView {
    Q_OBJECT
  public:
    explicit SettingHeader(QWidget* parent = nullptr) : QHeaderView(Qt::Vertical, parent) {}

  protected:
    void paintSection(QPainter* painter, const QRect& rect, int section) const override;
};

class RateSheetView : public QTableView {
    Q_OBJECT
  public:
    explicit RateSheetView(Document& document, QWidget* parent = nullptr);
    void showSheet(const std::string& applianceId, std::int64_t untilMs = 0,
                   const kitchen::SheetWith& with = {});
    /// The setting and zone of the current cell.
    std::optional<kitchen::Setting> setting() const;
    std::string zone() const;
    /// What the current cell is thought to be.
    kitchen::Representative expected() const;
    void selectCell(const std::string& settingText, const std::string& zone);

  signals:
    void cellChosen();

  protected:
    void currentChanged(const QModelIndex& current, const QModelIndex& previous) override;

  private:
    Document& document_;
    RateSheetModel* model_;
};

} // namespace dynamet::app
