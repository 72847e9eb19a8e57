// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/quantity_field.h"
#include "kitchen/open_coals.h"

#include <QComboBox>
#include <QLabel>

namespace dynamet::app {

/// The bed from the side, and what a grate at each height over it gets.
class OpenCoalsView : public QWidget {
    Q_OBJECT
  public:
    explicit OpenCoalsView(QWidget* parent = nullptr);
    void showPlan(const std::optional<kitchen::OpenCoalsPlan>& plan, coals::Layout layout,
                  bool inches);
    QSize sizeHint() const override { return {560, 320}; }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    std::optional<kitchen::OpenCoalsPlan> plan_;
    coals::Layout layout_ = coals::Layout::even;
    bool inches_ = false;
};

/// How many coals go under an open grate, how they lie, how high the grate stands and when to add.
class OpenCoalsPane : public QWidget {
    Q_OBJECT
  public:
    explicit OpenCoalsPane(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);

  private:
    QWidget* buildWish();
    void rebuildFields();
    void count();
    Document& document_;
    std::string applianceId_;
    std::optional<Units> units_; ///< that the fields were built for
    QWidget* wish_;
    QuantityField *chimney_ = nullptr, *age_ = nullptr, *lasts_ = nullptr;
    QComboBox* layout_ = nullptr;
    QLabel *lay_, *lines_, *cautions_;
    OpenCoalsView* view_;
};

} // namespace dynamet::app
