// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <QLabel>
#include <QLineEdit>
#include <QSlider>
#include <QToolButton>
#include <QWidget>
#include <functional>
#include <optional>

namespace dynamet::app {

/// A what-if: a slider with − and + and a typed field about a number of its own. Until it is moved
/// it *is* that number, to the last bit; its range follows from it.
class StepperSlider : public QWidget {
    Q_OBJECT
  public:
    using Print = std::function<QString(double)>;
    using Parse = std::function<Result<double>(const QString&)>;
    StepperSlider(const QString& name, double step, Print print, Parse parse,
                  QWidget* parent = nullptr);
    double value() const;
    bool moved() const { return slider_->value() != 0 || typed_.has_value(); }
    /// What stands in it: nothing = its own number; put back without telling that it was tried.
    using State = std::optional<double>;
    State state() const { return moved() ? State(value()) : std::nullopt; }
    void put(const State& state);
    /// The number it stands for, and how far it goes to either side; without telling.
    void begin(double own, double low, double high);
    void refreshText();
    void setStep(double step) { step_ = step; }

  signals:
    void valueChanged(double value);
    /// A hand has moved it, from there.
    void tried(const std::optional<double>& before);
    void held(bool down);

  private:
    void take();
    void changed();
    State last_;
    double own_ = 0, low_ = 0, high_ = 0, step_;
    std::optional<double> typed_; ///< off the slider's steps
    Print print_;
    Parse parse_;
    QSlider* slider_;
    QLineEdit* field_;
    QLabel* problem_;
};

} // namespace dynamet::app
