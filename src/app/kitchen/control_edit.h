// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/quantity_field.h"

#include <QComboBox>
#include <QWidget>

namespace dynamet::app {

/// What one control of an appliance can be set to: a dial's unit and ends, the marks of a knob, the
/// burners and their levels, the most coals, the heights of a grate.
class ControlEdit : public QWidget {
    Q_OBJECT
  public:
    ControlEdit(const Units& units, const kitchen::Control& control, QWidget* parent = nullptr);
    /// The error names the field.
    Result<kitchen::Control> control() const;
    /// Whether there is anything to say about such a control.
    static bool canEdit(const kitchen::Control& control);

  private:
    void build();
    void showUnit();
    QLineEdit* line(const QString& label, const QString& words);
    Result<double> numberOf(const QLineEdit& field) const;
    Result<void> takeRange(kitchen::Control& out) const;
    Units units_;
    kitchen::Control control_;
    QComboBox* unit_ = nullptr;
    QLineEdit *low_ = nullptr, *high_ = nullptr, *step_ = nullptr, *marks_ = nullptr,
              *names_ = nullptr;
};

} // namespace dynamet::app
