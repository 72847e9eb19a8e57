// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/elided_label.h"

#include <QPainter>

namespace dynamet::app {
namespace {
constexpr int kLeastWidth = 40;
} // namespace

ElidedLabel::ElidedLabel(QWidget* parent) : QLabel(parent) {
    setTextFormat(Qt::PlainText);
    setSizePolicy(QSizePolicy::Maximum, QSizePolicy::Preferred);
}

QSize ElidedLabel::minimumSizeHint() const {
    return {std::min(kLeastWidth, sizeHint().width()), QLabel::minimumSizeHint().height()};
}

void ElidedLabel::setText(const QString& words) {
    QLabel::setText(words);
    setToolTip(words);
}

void ElidedLabel::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setPen(palette().color(foregroundRole()));
    p.setFont(font());
    p.drawText(contentsRect(), Qt::AlignVCenter | Qt::AlignLeft,
               p.fontMetrics().elidedText(text(), Qt::ElideRight, contentsRect().width()));
}

} // namespace dynamet::app
