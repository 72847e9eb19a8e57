// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/main_window.h"

#include <QApplication>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <gtest/gtest.h>

/// A cook's hands on the real window: widgets are found by their accessible names, moved by keys
/// and mouse only.
namespace hands {

using namespace dynamet::app;

inline constexpr dynamet::book::When kNow{1795176000000, 0};

/// The visible widget of that name; fails the test when there is none.
template <class T = QWidget>
T* find(QWidget* in, const char* name) {
    QApplication::processEvents(); // what was just built is shown by the event loop
    for (T* widget : in->findChildren<T*>())
        if (widget->accessibleName() == QString::fromUtf8(name) && widget->isVisible())
            return widget;
    ADD_FAILURE() << "no visible widget \"" << name << "\"";
    return nullptr;
}

inline bool isThere(QWidget* in, const char* name) {
    QApplication::processEvents();
    for (QWidget* widget : in->findChildren<QWidget*>())
        if (widget->accessibleName() == QString::fromUtf8(name) && widget->isVisible())
            return true;
    return false;
}

inline void click(QWidget* in, const char* name) {
    if (auto* widget = find(in, name))
        QTest::mouseClick(widget, Qt::LeftButton);
}

inline void type(QWidget* in, const char* name, const QString& words) {
    auto* edit = find<QLineEdit>(in, name);
    if (!edit)
        return;
    edit->setFocus();
    QTest::keyClick(edit, Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(edit, words);
}

/// Chooses an entry of a combo box by typing its first letters.
inline void pick(QWidget* in, const char* name, const char* words) {
    auto* combo = find<QComboBox>(in, name);
    if (!combo)
        return;
    combo->setFocus();
    QTest::keyClick(combo, Qt::Key_Home);
    for (int i = 0;
         i < combo->count() && !combo->currentText().startsWith(QString::fromUtf8(words)); ++i)
        QTest::keyClick(combo, Qt::Key_Down);
    EXPECT_TRUE(combo->currentText().startsWith(QString::fromUtf8(words))) << words;
    emit combo->activated(combo->currentIndex());
}

/// Runs `work` as soon as a dialog is up, another one than `after`; looks again while there is none
/// yet (slow machines).
template <class Hands>
void inDialog(Hands work, int looks = 400, QWidget* after = nullptr) {
    QTimer::singleShot(50, qApp, [work, looks, after] {
        QWidget* dialog = QApplication::activeModalWidget();
        if ((!dialog || dialog == after) && looks > 0) {
            inDialog(work, looks - 1, after);
            return;
        }
        ASSERT_NE(dialog, nullptr) << "no dialog came up";
        work(dialog);
    });
}

/// Presses New… and goes on without words of a recipe; `work` has the recipe's dialog.
template <class Hands>
void inNewRecipe(QWidget* window, Hands work) {
    inDialog([work](QWidget* words) {
        inDialog(work, 400, words);
        click(words, "Begin without words");
    });
    click(window, "New…");
}

/// Presses the dialog's Save.
inline void pressSave(QWidget* dialog) {
    for (auto* button : dialog->findChildren<QPushButton*>())
        if (button->text().contains(QStringLiteral("Save")))
            return QTest::mouseClick(button, Qt::LeftButton);
    ADD_FAILURE() << "the dialog has no Save";
}

inline bool waitFor(const std::function<bool()>& done, int ms = 120000) {
    return QTest::qWaitFor(done, ms);
}

/// A window on a copy of the demo kitchen.
struct Bench {
    QTemporaryDir folder;
    QString book;
    std::int64_t aheadMs = 0; ///< of the clock
    Document document{[this] { return dynamet::book::When{kNow.utcMs + aheadMs, kNow.offsetMin}; }};
    std::unique_ptr<MainWindow> window;

    enum class Kitchen { whole, few };
    explicit Bench(bool open = true, Kitchen size = Kitchen::whole) {
        book = folder.filePath(QStringLiteral("demo.dynamet"));
        QFile::copy(QStringLiteral(DEMO_BOOK), book);
        QFile::setPermissions(book, QFile::ReadOwner | QFile::WriteOwner);
        if (size == Kitchen::few)
            keepFew();
        if (open) {
            EXPECT_TRUE(document.open(book).has_value());
        }
        window = std::make_unique<MainWindow>(document, book);
        window->resize(1280, 800);
        window->show();
        window->activateWindow();
        EXPECT_TRUE(QTest::qWaitForWindowActive(window.get()));
    }
    /// Leaves seven appliances, so that a translation is soon done.
    void keepFew() const {
        auto opened = dynamet::book::Book::open(book.toStdString());
        EXPECT_TRUE(inTransaction(*opened, [](SQLite::Database& db) {
            db.exec("UPDATE appliance SET withdrawn_at_ms = 1 WHERE id NOT IN ('deck','gale',"
                    "'basket','front-burner','counter','griddle','yard-grill')");
        }));
    }
    /// A key on the window, which is brought to the front first as a window manager would.
    void press(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        window->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(window.get()));
        QTest::keyClick(window.get(), key, modifiers);
    }
    /// Chooses an appliance as a cook does: slash, a few letters, Enter.
    void choose(const char* name) {
        press(Qt::Key_Slash);
        auto* filter = find<QLineEdit>(window.get(), "Filter the line-up");
        QTest::keyClicks(filter, QString::fromUtf8(name));
        QTest::keyClick(filter, Qt::Key_Return);
        filter->clear();
    }
};

inline QString textOf(QWidget* in, const char* name) {
    auto* label = find<QLabel>(in, name);
    return label ? label->text() : QString();
}

} // namespace hands
