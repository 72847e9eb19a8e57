// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/appliance.h"

#include <QLabel>
#include <QLineEdit>
#include <QWidget>
#include <functional>

class QHBoxLayout;

namespace dynamet::app {

/// What can be set on an appliance, one field per control in the appliance's order. A number is
/// typed as the dial has it; what is not on the dial stays as it was typed, with the reason under
/// it. A control with a single label is nothing to set and has no field.
class SettingEdit : public QWidget {
    Q_OBJECT
  public:
    enum class Preheat { shown, left };
    /// `name` begins the accessible names: "Stage 1, oven". With `left` a pan's preheat has no
    /// field and stays as it is.
    explicit SettingEdit(const QString& name, Preheat preheat = Preheat::shown,
                         QWidget* parent = nullptr);
    /// The fields come after this one in the order of keys, also when they are built anew.
    void orderAfter(QWidget* other) { after_ = other; }
    /// A setting that does not fit the appliance is replaced by one in the middle of its dial.
    void showSetting(const kitchen::Appliance& appliance, const kitchen::Setting& setting);
    /// invalidArgument names the field and what it can be.
    Result<kitchen::Setting> setting() const;

  signals:
    /// A field was left or chosen, and all of them can be read.
    void edited(const dynamet::kitchen::Setting& setting);

  private:
    using Read = std::function<Result<kitchen::ControlValue>()>;
    Read addNumber(const kitchen::Control& control, double value);
    Read addLabel(const kitchen::Control& control, const QString& words, int at);
    Read addBurners(const kitchen::Control& control, const std::vector<int>& levels);
    Read addCoals(const kitchen::Control& control, kitchen::CoalCount coals);
    Read addControl(const kitchen::Control& control, const kitchen::ControlValue& value);
    QString nameOf(const std::string& key) const;
    void left();
    QString name_;
    Preheat preheat_;
    std::string shownFor_; ///< appliance and setting: the same is not built anew
    QWidget *fields_ = nullptr, *after_ = nullptr;
    QHBoxLayout* line_ = nullptr;
    QLabel* problem_;
    std::vector<Read> read_; ///< one per control
};

} // namespace dynamet::app
