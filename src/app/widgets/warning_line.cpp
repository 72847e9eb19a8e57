// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/warning_line.h"

#include <QHBoxLayout>
#include <QPushButton>

namespace dynamet::app {

WarningLine::WarningLine(const QString& name, const std::vector<Way>& ways, QWidget* parent)
    : QWidget(parent), words_(new QLabel) {
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(14, 0, 14, 0);
    words_->setObjectName(QStringLiteral("caution"));
    words_->setAccessibleName(name);
    words_->setWordWrap(true);
    line->addWidget(words_, 1);
    for (const Way& way : ways) {
        auto* button = new QPushButton(way.words);
        button->setAccessibleName(QString(way.words).remove(u'…'));
        connect(button, &QPushButton::clicked, this, way.go);
        line->addWidget(button);
    }
    hide();
}

void WarningLine::say(const QString& words) {
    words_->setText(words.isEmpty() ? QString() : QStringLiteral("! %1").arg(words));
    setVisible(!words.isEmpty());
}

} // namespace dynamet::app
