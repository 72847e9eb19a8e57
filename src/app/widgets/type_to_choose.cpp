// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/type_to_choose.h"

#include <QAbstractItemView>
#include <QApplication>
#include <QKeyEvent>

namespace dynamet::app {
namespace {

constexpr int kPauseMs = 1500; ///< after which typing begins anew

bool anyWordBegins(const QString& text, const QString& typed) {
    for (qsizetype at = text.indexOf(typed, 0, Qt::CaseInsensitive); at >= 0;
         at = text.indexOf(typed, at + 1, Qt::CaseInsensitive))
        if (at == 0 || !text.at(at - 1).isLetterOrNumber())
            return true;
    return false;
}

int entryFor(const QComboBox& combo, const QString& typed) {
    const int first = combo.findText(typed, Qt::MatchStartsWith);
    for (int i = 0; first < 0 && i < combo.count(); ++i)
        if (anyWordBegins(combo.itemText(i), typed))
            return i;
    return first;
}

} // namespace

bool TypeToChoose::eventFilter(QObject* watched, QEvent* event) {
    auto* combo = qobject_cast<QComboBox*>(watched);
    if (event->type() != QEvent::KeyPress || !combo || combo->isEditable() ||
        combo->view()->isVisible())
        return QObject::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool goesOn = combo == in_ && since_.isValid() && since_.elapsed() < kPauseMs;
    const QString text = key->text();
    const bool plain = !(key->modifiers() & ~(Qt::ShiftModifier | Qt::KeypadModifier));
    if (!plain || text.isEmpty() || !text.at(0).isPrint() ||
        (text == QLatin1String(" ") && !goesOn))
        return QObject::eventFilter(watched, event);
    typed_ = goesOn ? typed_ + text : text;
    in_ = combo;
    since_.start();
    const int found = entryFor(*combo, typed_);
    if (found >= 0 && found != combo->currentIndex()) {
        combo->setCurrentIndex(found);
        emit combo->activated(found);
    }
    return true;
}

} // namespace dynamet::app
