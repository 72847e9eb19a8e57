// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/keyed_pane.h"

#include <QKeyEvent>
#include <QVBoxLayout>

namespace dynamet::app {

KeyedPane::KeyedPane(Document& document, LiveRun& run, QWidget* parent)
    : QWidget(parent), document_(document), run_(run), now_(new QLabel), field_(new QLineEdit),
      so_(new QLabel), problem_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    now_->setObjectName(QStringLiteral("sentence"));
    now_->setAccessibleName(QStringLiteral("What to read now"));
    now_->setWordWrap(true);
    field_->setObjectName(QStringLiteral("readout"));
    field_->setAccessibleName(QStringLiteral("The reading"));
    field_->setFixedWidth(200);
    field_->installEventFilter(this);
    so_->setAccessibleName(QStringLiteral("Readings so far"));
    so_->setWordWrap(true);
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong with the reading"));
    problem_->setWordWrap(true);
    problem_->hide();
    box->addWidget(now_);
    box->addWidget(field_);
    box->addWidget(problem_);
    box->addWidget(so_);
    connect(field_, &QLineEdit::returnPressed, this, &KeyedPane::take);
}

const rating::KeyedRole* KeyedPane::role() const {
    const auto* protocol = run_.protocol();
    return protocol && at_ < protocol->keyed.size() ? &protocol->keyed[at_] : nullptr;
}

void KeyedPane::begin() {
    at_ = 0;
    problem_->hide();
    refresh();
    field_->setFocus();
}

void KeyedPane::take() {
    const rating::KeyedRole* now = role();
    if (!now)
        return;
    problem_->hide();
    if (field_->text().trimmed().isEmpty()) {
        const auto has = run_.test().keyed.find(now->role);
        if (now->needed && (has == run_.test().keyed.end() || has->second.empty())) {
            problem_->setText(QStringLiteral("! At least one reading is needed here."));
            problem_->show();
            return;
        }
        ++at_;
        return refresh();
    }
    if (const auto read = run_.key(*now, toStd(field_->text())); !read) {
        problem_->setText(QStringLiteral("! %1.").arg(toQt(read.error(), document_.units())));
        problem_->show();
        field_->selectAll();
        return;
    }
    field_->clear();
    refresh();
}

void KeyedPane::refresh() {
    const auto* protocol = run_.protocol();
    if (!protocol)
        return;
    QStringList lines;
    for (const rating::KeyedRole& one : protocol->keyed) {
        QStringList typed;
        if (const auto has = run_.test().keyed.find(one.role); has != run_.test().keyed.end())
            for (const rating::KeyedReading& reading : has->second)
                typed << toQt(reading.typed);
        if (!typed.isEmpty())
            lines << QStringLiteral("%1: %2").arg(toQt(one.label),
                                                  typed.join(QStringLiteral("  ")));
    }
    so_->setText(lines.join(QLatin1Char('\n')));
    const rating::KeyedRole* now = role();
    field_->setVisible(now);
    if (!now)
        return now_->setText(QStringLiteral("All is read: stop (F5)."));
    const auto has = run_.test().keyed.find(now->role);
    const std::size_t count = has == run_.test().keyed.end() ? 0 : has->second.size();
    const QString unit = now->kind == rating::KeyedKind::temperature
                             ? QString::fromUtf8(unitSign(document_.units().temperature()))
                         : now->kind == rating::KeyedKind::minutes ? QStringLiteral("min")
                                                                   : QString();
    now_->setText(
        QStringLiteral("%1, number %2 (%3%4). Enter alone goes on.")
            .arg(toQt(now->label))
            .arg(count + 1)
            .arg(toQt(now->hint), unit.isEmpty() ? QString() : QStringLiteral(", ") + unit));
}

bool KeyedPane::eventFilter(QObject* watched, QEvent* event) {
    if (watched == field_ && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_Backspace && field_->text().isEmpty()) {
            if (const rating::KeyedRole* now = role())
                run_.unkey(now->role);
            refresh();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace dynamet::app
