// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/stepper_slider.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <cmath>

namespace dynamet::app {

StepperSlider::StepperSlider(const QString& name, double low, double high, double step, Print print,
                             Parse parse, QWidget* parent)
    : QWidget(parent), low_(low), step_(step), print_(std::move(print)), parse_(std::move(parse)),
      slider_(new QSlider(Qt::Horizontal)), field_(new QLineEdit) {
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
    slider_->setRange(0, static_cast<int>(std::lround((high - low) / step)));
    slider_->setPageStep(5);
    slider_->setFixedHeight(32);
    slider_->setAccessibleName(tr("%1, slider").arg(name));
    const auto button = [&](const char* icon, const QString& words, int by) {
        auto* b = new QToolButton;
        b->setIcon(QIcon(QString::fromLatin1(icon)));
        b->setFixedSize(32, 32);
        b->setAccessibleName(words);
        b->setAutoRepeat(true);
        connect(b, &QToolButton::clicked, this,
                [this, by] { slider_->setValue(slider_->value() + by); });
        return b;
    };
    line->addWidget(button(":/look/icons/minus.svg", tr("Less %1").arg(name.toLower()), -1));
    line->addWidget(slider_, 1);
    line->addWidget(button(":/look/icons/plus.svg", tr("More %1").arg(name.toLower()), 1));
    box->addLayout(line);
    connect(slider_, &QSlider::valueChanged, this, [this] {
        refreshText();
        emit valueChanged(value());
    });
    connect(slider_, &QSlider::sliderPressed, this, [this] { emit held(true); });
    connect(slider_, &QSlider::sliderReleased, this, [this] { emit held(false); });
    connect(field_, &QLineEdit::editingFinished, this, [this] {
        if (const auto typed = parse_(field_->text()))
            slider_->setValue(static_cast<int>(std::lround((*typed - low_) / step_)));
        refreshText();
    });
}

double StepperSlider::value() const {
    return low_ + step_ * slider_->value();
}

void StepperSlider::setValue(double value) {
    const QSignalBlocker quiet(slider_);
    slider_->setValue(static_cast<int>(std::lround((value - low_) / step_)));
    refreshText();
}

void StepperSlider::refreshText() {
    field_->setText(print_(value()));
}

} // namespace dynamet::app
