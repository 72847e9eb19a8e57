// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/stepper_slider.h"

#include "app/look/ink_icon.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <cmath>
#include <utility>

namespace dynamet::app {

StepperSlider::StepperSlider(const QString& name, double step, Print print, Parse parse,
                             QWidget* parent)
    : QWidget(parent), step_(step), print_(std::move(print)), parse_(std::move(parse)),
      slider_(new QSlider(Qt::Horizontal)), field_(new QLineEdit), problem_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(2);
    auto* top = new QHBoxLayout;
    top->addWidget(new QLabel(name));
    top->addStretch();
    field_->setFixedWidth(84);
    field_->setAlignment(Qt::AlignRight);
    field_->setAccessibleName(name);
    top->addWidget(field_);
    box->addLayout(top);
    auto* line = new QHBoxLayout;
    slider_->setPageStep(5);
    slider_->setFixedHeight(32);
    slider_->setAccessibleName(QStringLiteral("%1, slider").arg(name));
    const auto button = [&](const char* icon, const QString& words, int by) {
        auto* b = new QToolButton;
        b->setIcon(look::inkIcon(QString::fromLatin1(icon)));
        b->setFixedSize(32, 32);
        b->setAccessibleName(words);
        b->setAutoRepeat(true);
        connect(b, &QToolButton::clicked, this,
                [this, by] { slider_->setValue(slider_->value() + by); });
        return b;
    };
    line->addWidget(
        button(":/look/icons/minus.svg", QStringLiteral("Less %1").arg(name.toLower()), -1));
    line->addWidget(slider_, 1);
    line->addWidget(
        button(":/look/icons/plus.svg", QStringLiteral("More %1").arg(name.toLower()), 1));
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("%1, what is wrong").arg(name));
    problem_->setWordWrap(true);
    problem_->hide();
    box->addLayout(line);
    box->addWidget(problem_);
    connect(slider_, &QSlider::valueChanged, this, [this] {
        typed_.reset();
        changed();
    });
    connect(slider_, &QSlider::sliderPressed, this, [this] { emit held(true); });
    connect(slider_, &QSlider::sliderReleased, this, [this] { emit held(false); });
    connect(field_, &QLineEdit::editingFinished, this, &StepperSlider::take);
}

double StepperSlider::value() const {
    return typed_.value_or(slider_->value() == 0 ? own_ : own_ + step_ * slider_->value());
}

void StepperSlider::begin(double own, double low, double high) {
    const QSignalBlocker quiet(slider_);
    own_ = own;
    low_ = low;
    high_ = high;
    typed_.reset();
    last_.reset();
    slider_->setRange(-static_cast<int>(std::floor((own - low) / step_)),
                      static_cast<int>(std::floor((high - own) / step_)));
    slider_->setValue(0);
    refreshText();
}

void StepperSlider::refreshText() {
    field_->setText(print_(value()));
    problem_->hide();
}

/// What was typed, exactly; what cannot be read or lies outside stays, with the reason under it.
void StepperSlider::take() {
    if (field_->text() == print_(value()))
        return;
    const auto typed = parse_(field_->text());
    if (!typed || *typed < low_ || *typed > high_) {
        problem_->setText(
            typed ? QStringLiteral("! Not between %1 and %2; still using %3.")
                        .arg(print_(low_), print_(high_), print_(value()))
                  : QStringLiteral("! %1; still using %2.")
                        .arg(QString::fromStdString(typed.error().message), print_(value())));
        problem_->show();
        return;
    }
    const QSignalBlocker quiet(slider_);
    slider_->setValue(static_cast<int>(std::lround((*typed - own_) / step_)));
    typed_ = *typed;
    changed();
}

void StepperSlider::changed() {
    refreshText();
    const State before = std::exchange(last_, state());
    emit valueChanged(value());
    emit tried(before);
}

void StepperSlider::put(const State& state) {
    if (state == this->state())
        return;
    const QSignalBlocker quiet(slider_);
    slider_->setValue(state ? static_cast<int>(std::lround((*state - own_) / step_)) : 0);
    typed_ = state;
    last_ = state;
    refreshText();
    emit valueChanged(value());
}

} // namespace dynamet::app
