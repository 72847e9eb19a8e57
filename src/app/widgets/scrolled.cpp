// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/scrolled.h"

#include <QScreen>

namespace dynamet::app {

QScrollArea* scrolled(QWidget* content) {
    auto* out = new QScrollArea;
    out->setWidgetResizable(true);
    out->setFrameShape(QFrame::NoFrame);
    out->setSizeAdjustPolicy(QAbstractScrollArea::AdjustToContents);
    out->setWidget(content);
    if (content->findChild<QWidget*>()) // the fields have the focus; a picture is scrolled by keys
        out->setFocusPolicy(Qt::NoFocus);
    content->setAutoFillBackground(false);
    out->viewport()->setAutoFillBackground(false);
    return out;
}

void resizeOnScreen(QWidget& window, QSize size) {
    constexpr QSize kFrame(8, 36);
    window.resize(size.boundedTo(window.screen()->availableGeometry().size() - kFrame));
}

} // namespace dynamet::app
