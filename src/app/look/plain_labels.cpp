// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/plain_labels.h"

#include <QDialogButtonBox>
#include <QEvent>
#include <QLabel>
#include <QPushButton>

namespace dynamet::app::look {

bool PlainLabels::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Polish) {
        if (auto* label = qobject_cast<QLabel*>(watched);
            label && label->textFormat() == Qt::AutoText)
            label->setTextFormat(Qt::PlainText);
        else if (auto* button = qobject_cast<QPushButton*>(watched);
                 button && qobject_cast<QDialogButtonBox*>(button->parentWidget()))
            button->setIcon({});
    }
    return QObject::eventFilter(watched, event);
}

} // namespace dynamet::app::look
