// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/hands.h"

#include <QAccessible>
#include <QDialog>
#include <set>

/// A window as assistive technology and a keyboard meet it.
namespace tree {

inline bool isOperated(QAccessible::Role role) {
    using enum QAccessible::Role;
    static const std::set<int> kRoles{PushButton, CheckBox, RadioButton, EditableText, ComboBox,
                                      SpinBox,    Slider,   List,        Table,        Tree,
                                      PageTab,    Dial,     ButtonMenu,  Link};
    return kRoles.contains(role);
}

/// Names of everything below that can be operated and has none.
inline void nameless(QAccessibleInterface* at, const QString& path, QStringList& out,
                     int& operated) {
    if (!at || !at->isValid() || at->state().invisible)
        return;
    auto* object = at->object();
    const QString here =
        path + QLatin1Char('/') +
        (object ? QString::fromLatin1(object->metaObject()->className()) : QStringLiteral("item"));
    // What Qt puts inside a control of ours belongs to that.
    const bool qts = object && object->objectName().startsWith(QLatin1String("qt_"));
    if (isOperated(at->role()) && !qts) {
        ++operated;
        if (at->text(QAccessible::Name).trimmed().isEmpty())
            out << here;
    }
    if (at->role() == QAccessible::Table || at->role() == QAccessible::List ||
        at->role() == QAccessible::ComboBox || at->role() == QAccessible::SpinBox ||
        at->role() == QAccessible::Tree)
        return;
    for (int i = 0; i < at->childCount(); ++i)
        nameless(at->child(i), here, out, operated);
}

inline void expectNames(QWidget* in, const char* when, int least = 4) {
    QApplication::processEvents();
    QStringList out;
    int operated = 0;
    nameless(QAccessible::queryAccessibleInterface(in), {}, out, operated);
    EXPECT_TRUE(out.isEmpty()) << when << ": " << out.join(QLatin1Char('\n')).toStdString();
    EXPECT_GE(operated, least) << when;
}

/// What Tab comes to, until it comes round.
inline std::vector<QWidget*> tabRound(QWidget* window) {
    std::vector<QWidget*> out;
    constexpr int kMost = 300;
    for (int i = 0; i < kMost; ++i) {
        QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : window,
                        Qt::Key_Tab);
        QWidget* now = QApplication::focusWidget();
        if (!out.empty() && now == out.back())
            continue; // from link to link inside it
        if (!now || std::find(out.begin(), out.end(), now) != out.end())
            return out;
        out.push_back(now);
    }
    ADD_FAILURE() << "Tab does not come round";
    return out;
}

} // namespace tree
