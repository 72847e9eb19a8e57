// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/hands.h"

#include <QAbstractButton>
#include <QRegularExpression>
#include <QScrollArea>

/// Looks at a whole screen as a cook who knows better would: no number to laugh at, no text cut or
/// overprinted, no control outside its window.
namespace screen {

inline bool isElided(const QWidget* widget) {
    return qobject_cast<const dynamet::app::ElidedLabel*>(widget) != nullptr;
}

/// Everything that is written on a window, with where it stands.
inline std::vector<std::pair<QString, QString>> writings(QWidget* in) {
    std::vector<std::pair<QString, QString>> out;
    const auto add = [&](const QString& where, const QString& words) {
        if (!words.isEmpty())
            out.emplace_back(where, words);
    };
    for (auto* w : in->findChildren<QWidget*>()) {
        if (!w->isVisible())
            continue;
        if (auto* label = qobject_cast<QLabel*>(w))
            add(QStringLiteral("label"), label->text());
        else if (auto* edit = qobject_cast<QLineEdit*>(w))
            add(edit->accessibleName(), edit->text());
        else if (auto* button = qobject_cast<QAbstractButton*>(w))
            add(QStringLiteral("button"), button->text());
        else if (auto* combo = qobject_cast<QComboBox*>(w))
            for (int i = 0; i < combo->count(); ++i)
                add(combo->accessibleName(), combo->itemText(i));
        else if (auto* view = qobject_cast<QAbstractItemView*>(w); view && view->model())
            for (int r = 0; r < view->model()->rowCount(); ++r)
                for (int c = 0; c < view->model()->columnCount(); ++c)
                    add(view->accessibleName(),
                        view->model()->index(r, c).data(Qt::AccessibleTextRole).toString());
    }
    return out;
}

/// Whose unit may not stand behind any number ("C" for a reader of °F); none = both may.
inline QString& foreignUnit() {
    static QString unit;
    return unit;
}

inline void expectSensibleNumbers(QWidget* in, const char* when) {
    static const QRegularExpression degrees(
        QStringLiteral("([-−]?\\d+(?:\\.\\d+)?)(?: ± \\d+(?:\\.\\d+)?)? °([CF])"));
    static const QRegularExpression hours(QStringLiteral("(\\d+) h\\b"));
    static const QRegularExpression nothing(QStringLiteral("± 0(?:\\.0+)?(?![\\d.])"));
    static const QRegularExpression broken(QStringLiteral("\\b(nan|inf)\\b"));
    for (const auto& [where, words] : writings(in)) {
        for (auto at = degrees.globalMatch(words); at.hasNext();) {
            const auto match = at.next();
            const double shown =
                match.captured(1).replace(QChar(0x2212), QLatin1Char('-')).toDouble();
            const double c = match.captured(2) == QLatin1String("F") ? (shown - 32) / 1.8 : shown;
            EXPECT_NE(match.captured(2), foreignUnit())
                << when << ", " << where.toStdString() << ": " << words.toStdString();
            EXPECT_TRUE(c > -60 && c < 1400)
                << when << ", " << where.toStdString() << ": " << words.toStdString();
        }
        for (auto at = hours.globalMatch(words); at.hasNext();)
            EXPECT_LE(at.next().captured(1).toInt(), 72)
                << when << ", " << where.toStdString() << ": " << words.toStdString();
        EXPECT_FALSE(nothing.match(words).hasMatch())
            << when << ", " << where.toStdString() << ": " << words.toStdString();
        EXPECT_FALSE(broken.match(words).hasMatch())
            << when << ", " << where.toStdString() << ": " << words.toStdString();
    }
}

/// The nearest scroll area around a widget: what does not fit in it can be scrolled to.
inline QWidget* frameOf(QWidget* widget, QWidget* window) {
    for (QWidget* up = widget->parentWidget(); up && up != window; up = up->parentWidget())
        if (auto* area = qobject_cast<QScrollArea*>(up))
            return area->widget();
    return window;
}

inline void expectNothingCutOrOutside(QWidget* window, const char* when) {
    constexpr int kSlack = 2;
    for (auto* w : window->findChildren<QWidget*>()) {
        const bool control = qobject_cast<QAbstractButton*>(w) || qobject_cast<QLineEdit*>(w) ||
                             qobject_cast<QComboBox*>(w);
        auto* label = qobject_cast<QLabel*>(w);
        if (!w->isVisible() || w->window() != window || (!control && !label))
            continue;
        if (w->objectName().startsWith(QLatin1String("qt_"))) // Qt's own, inside another control
            continue;
        QWidget* frame = frameOf(w, window);
        const QRect place(w->mapTo(frame, QPoint(0, 0)), w->size());
        const QString name = label ? label->text() : w->accessibleName();
        EXPECT_TRUE(frame->rect().adjusted(-kSlack, -kSlack, kSlack, kSlack).contains(place))
            << when << ": outside its window: " << name.toStdString();
        if (label && !label->text().isEmpty() && !isElided(label)) {
            const int high = label->wordWrap() ? label->heightForWidth(label->width())
                                               : label->sizeHint().height();
            EXPECT_LE(high, label->height() + kSlack) << when << ": cut: " << name.toStdString();
            if (!label->wordWrap()) {
                EXPECT_LE(label->sizeHint().width(), label->width() + kSlack)
                    << when << ": cut: " << name.toStdString();
            }
        }
        if (auto* button = qobject_cast<QPushButton*>(w)) {
            EXPECT_LE(button->sizeHint().width(), button->width() + kSlack)
                << when << ": cut: " << button->text().toStdString();
        }
    }
}

/// Two labels of one parent must not lie over each other.
inline void expectNothingOverprinted(QWidget* window, const char* when) {
    std::vector<QLabel*> labels;
    for (auto* label : window->findChildren<QLabel*>())
        if (label->isVisible() && !label->text().isEmpty() && label->window() == window)
            labels.push_back(label);
    for (std::size_t i = 0; i < labels.size(); ++i)
        for (std::size_t j = i + 1; j < labels.size(); ++j)
            if (labels[i]->parentWidget() == labels[j]->parentWidget()) {
                EXPECT_FALSE(labels[i]->geometry().intersects(labels[j]->geometry()))
                    << when << ": " << labels[i]->text().toStdString() << " over "
                    << labels[j]->text().toStdString();
            }
}

/// Nothing has to be shoved sideways to be read.
inline void expectNoSidewaysScrolling(QWidget* window, const char* when) {
    for (auto* area : window->findChildren<QScrollArea*>())
        if (area->isVisible()) {
            EXPECT_FALSE(area->horizontalScrollBar()->isVisible())
                << when << ": " << area->accessibleName().toStdString();
        }
}

inline void look(QWidget* window, const char* when) {
    QApplication::processEvents();
    QApplication::processEvents();
    expectSensibleNumbers(window, when);
    expectNothingCutOrOutside(window, when);
    expectNothingOverprinted(window, when);
    expectNoSidewaysScrolling(window, when);
}

} // namespace screen
