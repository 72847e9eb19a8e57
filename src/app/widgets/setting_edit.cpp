// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/setting_edit.h"

#include "app/document/qt_text.h"
#include "kitchen/dial.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QSpinBox>
#include <QVBoxLayout>

namespace dynamet::app {

SettingEdit::SettingEdit(const QString& name, Preheat preheat, QWidget* parent)
    : QWidget(parent), name_(name), preheat_(preheat), problem_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(2);
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("%1, what is wrong").arg(name));
    problem_->setWordWrap(true);
    problem_->hide();
    box->addWidget(problem_);
}

QString SettingEdit::nameOf(const std::string& key) const {
    return QStringLiteral("%1, %2").arg(name_, toQt(key));
}

/// All fields can be read: somebody is told; else the reason stands under them.
void SettingEdit::left() {
    const auto now = setting();
    problem_->setVisible(!now);
    if (!now)
        return problem_->setText(QStringLiteral("! %1").arg(toQt(now.error().message)));
    emit edited(*now);
}

SettingEdit::Read SettingEdit::addNumber(const kitchen::Control& control, double value) {
    constexpr int kWidth = 92;
    auto* field = new QLineEdit(toQt(dialText(control, value)));
    field->setFixedWidth(kWidth);
    field->setToolTip(
        QStringLiteral("%1 to %2")
            .arg(toQt(dialText(control, control.low)), toQt(dialText(control, control.high))));
    field->setAccessibleName(nameOf(control.key));
    if (control.kind == kitchen::ControlKind::preheat)
        line_->addWidget(new QLabel(QStringLiteral("pan at")));
    line_->addWidget(field);
    connect(field, &QLineEdit::editingFinished, this, &SettingEdit::left, Qt::QueuedConnection);
    // What was not touched is what it was, however it is printed.
    return [field, control, value, shown = field->text()]() -> Result<kitchen::ControlValue> {
        if (field->text() == shown)
            return kitchen::ControlValue(value);
        const auto typed = parseDial(control, toStd(field->text()));
        if (!typed)
            return tl::unexpected(typed.error().in(toStd(field->accessibleName())));
        return kitchen::ControlValue(*typed);
    };
}

SettingEdit::Read SettingEdit::addLabel(const kitchen::Control& control, const QString& words,
                                        int at) {
    if (control.labels.size() < 2)
        return []() -> Result<kitchen::ControlValue> {
            return kitchen::ControlValue(kitchen::LabelIndex{0});
        };
    auto* field = new QComboBox;
    for (const kitchen::Label& label : control.labels)
        field->addItem(toQt(label.text));
    field->setCurrentIndex(at);
    field->setAccessibleName(nameOf(toStd(words)));
    line_->addWidget(new QLabel(words));
    line_->addWidget(field);
    connect(field, &QComboBox::activated, this, &SettingEdit::left, Qt::QueuedConnection);
    return [field]() -> Result<kitchen::ControlValue> {
        return kitchen::ControlValue(kitchen::LabelIndex{field->currentIndex()});
    };
}

SettingEdit::Read SettingEdit::addBurners(const kitchen::Control& control,
                                          const std::vector<int>& levels) {
    std::vector<Read> burners;
    for (std::size_t i = 0; i < control.burners.size(); ++i)
        burners.push_back(
            addLabel(control, toQt(control.burners[i]), i < levels.size() ? levels[i] : 0));
    return [burners]() -> Result<kitchen::ControlValue> {
        std::vector<int> out;
        for (const Read& read : burners)
            out.push_back(std::get<kitchen::LabelIndex>(*read()).index);
        return kitchen::ControlValue(out);
    };
}

SettingEdit::Read SettingEdit::addCoals(const kitchen::Control& control, kitchen::CoalCount coals) {
    const auto field = [&](const QString& words, int count) {
        auto* out = new QSpinBox;
        out->setRange(0, static_cast<int>(control.high));
        out->setValue(count);
        out->setButtonSymbols(QAbstractSpinBox::NoButtons);
        out->setAccessibleName(nameOf(toStd(words)));
        line_->addWidget(out);
        line_->addWidget(new QLabel(words));
        connect(out, &QSpinBox::editingFinished, this, &SettingEdit::left, Qt::QueuedConnection);
        return out;
    };
    auto* under = field(QStringLiteral("coals under"), coals.under);
    auto* lid = field(QStringLiteral("on the lid"), coals.lid);
    return [under, lid]() -> Result<kitchen::ControlValue> {
        return kitchen::ControlValue(kitchen::CoalCount{under->value(), lid->value()});
    };
}

SettingEdit::Read SettingEdit::addControl(const kitchen::Control& control,
                                          const kitchen::ControlValue& value) {
    if (control.kind == kitchen::ControlKind::preheat && preheat_ == Preheat::left)
        return [value]() -> Result<kitchen::ControlValue> { return value; };
    if (const auto* number = std::get_if<double>(&value))
        return addNumber(control, *number);
    if (const auto* levels = std::get_if<std::vector<int>>(&value))
        return addBurners(control, *levels);
    if (const auto* coals = std::get_if<kitchen::CoalCount>(&value))
        return addCoals(control, *coals);
    return addLabel(control, toQt(control.key), std::get<kitchen::LabelIndex>(value).index);
}

void SettingEdit::showSetting(const kitchen::Appliance& appliance,
                              const kitchen::Setting& setting) {
    const std::string typed = settingText(appliance.controls, setting);
    const bool fits = kitchen::parseSetting(appliance.controls, typed).has_value();
    const kitchen::Setting shown = fits ? setting : kitchen::usualSetting(appliance.controls);
    const std::string now = appliance.id + "|" + settingText(appliance.controls, shown);
    problem_->hide();
    if (fields_ && now == shownFor_)
        return;
    shownFor_ = now;
    if (fields_) { // a field may be asking for this in its own key
        fields_->hide();
        fields_->deleteLater();
    }
    fields_ = new QWidget;
    line_ = new QHBoxLayout(fields_);
    line_->setContentsMargins(0, 0, 0, 0);
    line_->setSpacing(6);
    static_cast<QVBoxLayout*>(layout())->insertWidget(0, fields_);
    read_.clear();
    for (std::size_t i = 0; i < appliance.controls.size(); ++i)
        read_.push_back(addControl(appliance.controls[i], shown.values[i]));
    line_->addStretch();
    // New fields come last in the order of keys, unless they are told where they stand.
    QWidget* before = after_;
    for (QWidget* field : fields_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly)) {
        if (field->focusPolicy() == Qt::NoFocus)
            continue;
        if (before && before->window() == field->window())
            setTabOrder(before, field);
        before = field;
    }
}

Result<kitchen::Setting> SettingEdit::setting() const {
    kitchen::Setting out;
    for (const Read& read : read_) {
        auto value = read();
        if (!value)
            return tl::unexpected(value.error());
        out.values.push_back(std::move(*value));
    }
    return out;
}

} // namespace dynamet::app
