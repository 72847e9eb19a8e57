// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLineEdit>
#include <QSlider>
#include <QToolButton>
#include <QWidget>
#include <functional>
#include <optional>

namespace dynamet::app {

/// A slider with − and + and a typed field beside it, over whole steps of a number.
class StepperSlider : public QWidget {
    Q_OBJECT
  public:
    using Print = std::function<QString(double)>;
    using Parse = std::function<std::optional<double>(const QString&)>;
    StepperSlider(const QString& name, double low, double high, double step, Print print,
                  Parse parse, QWidget* parent = nullptr);
    double value() const;
    /// Sets without telling.
    void setValue(double value);
    void refreshText();

  signals:
    void valueChanged(double value);
    void held(bool down);

  private:
    double low_, step_;
    Print print_;
    Parse parse_;
    QSlider* slider_;
    QLineEdit* field_;
};

} // namespace dynamet::app
