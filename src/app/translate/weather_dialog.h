// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/form_dialog.h"
#include "kitchen/cook_day.h"

namespace dynamet::app {

/// The weather on the day of the cook at one of the book's places; none = as Kitchen says.
class WeatherDialog : public FormDialog {
    Q_OBJECT
  public:
    WeatherDialog(Document& document, const std::optional<kitchen::CookDay>& day,
                  QWidget* parent = nullptr);
    const std::optional<kitchen::CookDay>& day() const { return day_; }

  protected:
    Result<void> take() override;

  private:
    void showPlace();
    std::optional<kitchen::CookDay> day_;
    QComboBox* place_;
    QuantityField *air_, *wind_, *height_;
};

} // namespace dynamet::app
