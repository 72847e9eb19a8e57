// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/rate/coals_view.h"
#include "app/widgets/quantity_field.h"

#include <QComboBox>
#include <QLabel>

namespace dynamet::app {

/// How many coals go under and on an iron oven for a wanted inside, drawn where they lie; when to
/// add, look and turn; and what moved the count from the common rule.
class CoalsPane : public QWidget {
    Q_OBJECT
  public:
    explicit CoalsPane(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);

  private:
    QWidget* buildWish();
    void rebuildFields();
    void count();
    Document& document_;
    std::string applianceId_;
    std::optional<Units> units_; ///< that the fields were built for
    QWidget* wish_;
    QuantityField *inside_ = nullptr, *lasts_ = nullptr;
    QComboBox *job_ = nullptr, *size_ = nullptr, *depth_ = nullptr, *stacked_ = nullptr;
    QLabel *lay_, *lines_, *cautions_;
    CoalsView* view_;
};

} // namespace dynamet::app
