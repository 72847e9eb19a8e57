// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"

#include <QWidget>
#include <functional>

class QHBoxLayout;

namespace dynamet::app {

/// What can be set on an appliance, one field per control in the appliance's order. A control with
/// a single label is nothing to set and has no field.
class SettingEdit : public QWidget {
    Q_OBJECT
  public:
    /// `name` begins the accessible names: "Stage 1, oven".
    explicit SettingEdit(const QString& name, QWidget* parent = nullptr);
    /// A setting that does not fit the appliance is replaced by its first possible one.
    void show(const kitchen::Appliance& appliance, const kitchen::Setting& setting);
    kitchen::Setting setting() const;

  private:
    using Read = std::function<kitchen::ControlValue()>;
    Read addNumber(const kitchen::Control& control, double value);
    Read addLabel(const kitchen::Control& control, const QString& words, int at);
    Read addBurners(const kitchen::Control& control, const std::vector<int>& levels);
    Read addCoals(const kitchen::Control& control, kitchen::CoalCount coals);
    QString nameOf(const std::string& key) const;
    QString name_;
    QWidget* fields_ = nullptr;
    QHBoxLayout* line_ = nullptr;
    std::vector<Read> read_; ///< one per control
};

} // namespace dynamet::app
