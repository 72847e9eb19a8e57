// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"

#include <QLabel>
#include <QLineEdit>
#include <QWidget>
#include <functional>
#include <optional>

namespace dynamet::app {

/// How a quantity is read from what a cook types and shown again, in SI; an error says what is
/// wrong in words.
struct QuantityKind {
    std::function<Result<double>(const std::string&)> read;
    std::function<QString(double)> show;
    bool mayBeEmpty = false;
};

/// One typed quantity. When it is left it shows what it took, with the unit; a number that could be
/// a thousand or a fraction says which; what cannot be read stays as it was typed, with the reason
/// under it.
class QuantityField : public QWidget {
    Q_OBJECT
  public:
    QuantityField(const QString& name, QuantityKind kind, QWidget* parent = nullptr);
    void setKind(QuantityKind kind);
    /// Shown rounded, kept exactly until somebody types.
    void setValue(std::optional<double> value);
    /// Nothing for an empty field that may be; the error names the field.
    Result<std::optional<double>> value() const;
    /// Whether it can be read; says under the field why not.
    bool check();
    void showProblem(const QString& words);
    QLineEdit& edit() { return *edit_; }

  signals:
    void edited();

  private:
    void leave();
    Result<std::optional<double>> read() const;
    QString name_;
    QuantityKind kind_;
    QLineEdit* edit_;
    QLabel* note_;
    std::optional<double> kept_;
    QString keptText_;
};

} // namespace dynamet::app
