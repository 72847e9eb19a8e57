// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/setting_edit.h"

#include "app/shell/units.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>

namespace dynamet::app {

SettingEdit::SettingEdit(const QString& name, QWidget* parent) : QWidget(parent), name_(name) {
    auto* box = new QHBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
}

QString SettingEdit::nameOf(const std::string& key) const {
    return QStringLiteral("%1, %2").arg(name_, text(key));
}

SettingEdit::Read SettingEdit::addNumber(const kitchen::Control& control, double value) {
    auto* field = new QDoubleSpinBox;
    const bool degrees = control.unit == "C" || control.unit == "F";
    field->setSuffix(QStringLiteral(" %1%2").arg(degrees ? QString(QChar(0xb0)) : QString(),
                                                 text(control.unit)));
    field->setDecimals(control.step < 1 ? 1 : 0);
    field->setRange(control.low, control.high);
    field->setSingleStep(control.step);
    field->setValue(value);
    field->setButtonSymbols(QAbstractSpinBox::NoButtons);
    field->setToolTip(tr("%1 to %2 in steps of %3; arrow keys step")
                          .arg(field->textFromValue(control.low),
                               field->textFromValue(control.high),
                               field->textFromValue(control.step)));
    field->setAccessibleName(nameOf(control.key));
    if (control.kind == kitchen::ControlKind::preheat)
        line_->addWidget(new QLabel(tr("pan at")));
    line_->addWidget(field);
    return [field]() -> kitchen::ControlValue { return field->value(); };
}

SettingEdit::Read SettingEdit::addLabel(const kitchen::Control& control, const QString& words,
                                        int at) {
    if (control.labels.size() < 2)
        return []() -> kitchen::ControlValue { return kitchen::LabelIndex{0}; };
    auto* field = new QComboBox;
    for (const kitchen::Label& label : control.labels)
        field->addItem(text(label.text));
    field->setCurrentIndex(at);
    field->setAccessibleName(nameOf(plain(words)));
    line_->addWidget(new QLabel(words));
    line_->addWidget(field);
    return
        [field]() -> kitchen::ControlValue { return kitchen::LabelIndex{field->currentIndex()}; };
}

SettingEdit::Read SettingEdit::addBurners(const kitchen::Control& control,
                                          const std::vector<int>& levels) {
    std::vector<Read> burners;
    for (std::size_t i = 0; i < control.burners.size(); ++i)
        burners.push_back(
            addLabel(control, text(control.burners[i]), i < levels.size() ? levels[i] : 0));
    return [burners]() -> kitchen::ControlValue {
        std::vector<int> out;
        for (const Read& read : burners)
            out.push_back(std::get<kitchen::LabelIndex>(read()).index);
        return out;
    };
}

SettingEdit::Read SettingEdit::addCoals(const kitchen::Control& control, kitchen::CoalCount coals) {
    const auto field = [&](const QString& words, int count) {
        auto* out = new QSpinBox;
        out->setRange(0, static_cast<int>(control.high));
        out->setValue(count);
        out->setButtonSymbols(QAbstractSpinBox::NoButtons);
        out->setAccessibleName(nameOf(plain(words)));
        line_->addWidget(out);
        line_->addWidget(new QLabel(words));
        return out;
    };
    auto* under = field(tr("coals under"), coals.under);
    auto* lid = field(tr("on the lid"), coals.lid);
    return [under, lid]() -> kitchen::ControlValue {
        return kitchen::CoalCount{under->value(), lid->value()};
    };
}

void SettingEdit::show(const kitchen::Appliance& appliance, const kitchen::Setting& setting) {
    delete fields_;
    fields_ = new QWidget;
    line_ = new QHBoxLayout(fields_);
    line_->setContentsMargins(0, 0, 0, 0);
    line_->setSpacing(6);
    layout()->addWidget(fields_);
    read_.clear();
    const bool fits =
        kitchen::parseSetting(appliance.controls, settingText(appliance.controls, setting))
            .has_value();
    const kitchen::Setting shown =
        fits ? setting : kitchen::possibleSettings(appliance.controls, 1, 1).front();
    for (std::size_t i = 0; i < appliance.controls.size(); ++i) {
        const kitchen::Control& control = appliance.controls[i];
        const kitchen::ControlValue& value = shown.values[i];
        if (const auto* number = std::get_if<double>(&value))
            read_.push_back(addNumber(control, *number));
        else if (const auto* levels = std::get_if<std::vector<int>>(&value))
            read_.push_back(addBurners(control, *levels));
        else if (const auto* coals = std::get_if<kitchen::CoalCount>(&value))
            read_.push_back(addCoals(control, *coals));
        else
            read_.push_back(
                addLabel(control, text(control.key), std::get<kitchen::LabelIndex>(value).index));
    }
    line_->addStretch();
}

kitchen::Setting SettingEdit::setting() const {
    kitchen::Setting out;
    for (const Read& read : read_)
        out.values.push_back(read());
    return out;
}

} // namespace dynamet::app
