// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// Every view as assistive technology and a keyboard meet it. WCAG 2.1: 4.1.2 (name and role), 2.1.1
// (all by keyboard), 2.4.3 (order), 2.4.7 (focus can be seen), 1.1.1 (a picture has words).
#include "app/look/palette.h"
#include "app/tree_walk.h"
#include "app/widgets/cut_view.h"
#include "app/widgets/plot.h"

namespace {

using namespace hands;
using namespace tree;
using namespace dynamet;

struct View {
    const char* name;
    Qt::Key key;
};
constexpr View kViews[]{{"Rate", Qt::Key_1},   {"Translate", Qt::Key_2}, {"Plan", Qt::Key_3},
                        {"Cook", Qt::Key_4},   {"Compare", Qt::Key_5},   {"Kitchen", Qt::Key_K},
                        {"Logbook", Qt::Key_L}};

class AccessibleWalk : public ::testing::Test {
  protected:
    Bench bench{true, Bench::Kitchen::few};
    QWidget* window = bench.window.get();
    void show(const View& view) {
        bench.press(view.key, Qt::ControlModifier);
        waitFor([&] { return bench.window->isIdle(); });
        QApplication::processEvents();
    }
};

TEST_F(AccessibleWalk, EveryControlOfEveryViewHasANameAndARole) {
    for (const View& view : kViews) {
        show(view);
        expectNames(window, view.name);
    }
}

TEST_F(AccessibleWalk, TabGoesRoundWhatCanBeSeenAndItsFocusShows) {
    for (const View& view : kViews) {
        show(view);
        const auto round = tabRound(window);
        EXPECT_GE(round.size(), 5u) << view.name;
        for (QWidget* one : round) {
            const std::string which = std::string(view.name) + ": " +
                                      one->metaObject()->className() + " " +
                                      one->accessibleName().toStdString();
            EXPECT_TRUE(one->isVisible() && one->isEnabled()) << which;
            if (qobject_cast<QLabel*>(one) || qobject_cast<CookPage*>(one))
                continue; // its links show it one by one; the page that takes the run's keys
            one->setFocus(Qt::TabFocusReason);
            QApplication::processEvents();
            QWidget* seen = one->parentWidget() ? one->parentWidget() : one;
            const QImage with = seen->grab().toImage();
            one->clearFocus();
            QApplication::processEvents();
            const QImage without = seen->grab().toImage();
            EXPECT_NE(with, without) << which << ": its focus cannot be seen";
        }
    }
}

// Every button of every view is reached by Tab, by a key of its own or through the menu.
TEST_F(AccessibleWalk, EveryButtonIsReachedByTheKeyboard) {
    for (const View& view : kViews) {
        show(view);
        const auto round = tabRound(window);
        for (auto* button : window->findChildren<QAbstractButton*>()) {
            if (!button->isVisible() || !button->isEnabled() || button->window() != window ||
                button->objectName().startsWith(QLatin1String("qt_")))
                continue;
            const bool inRound = std::find(round.begin(), round.end(), button) != round.end();
            const bool ofGroup = button->group() != nullptr; // arrows move inside
            const bool hasKey = !button->shortcut().isEmpty() || button->text().contains(u'&');
            auto* tool = qobject_cast<QToolButton*>(button);
            const bool hasAction =
                tool && tool->defaultAction() && !tool->defaultAction()->shortcut().isEmpty();
            const bool ofField =
                button->parentWidget() && (qobject_cast<QLineEdit*>(button->parentWidget()) ||
                                           button->focusPolicy() == Qt::NoFocus);
            EXPECT_TRUE(inRound || ofGroup || hasKey || hasAction || ofField)
                << view.name << ": " << button->accessibleName().toStdString() << " "
                << button->text().toStdString();
        }
    }
}

// A picture says in words what it shows, and stands beside a table or a list of the same.
TEST_F(AccessibleWalk, EveryPictureHasWords) {
    for (const View& view : kViews) {
        show(view);
        for (auto* widget : window->findChildren<QWidget*>()) {
            const bool picture = qobject_cast<Plot*>(widget) || qobject_cast<CutView*>(widget) ||
                                 QString::fromLatin1(widget->metaObject()->className())
                                     .endsWith(QLatin1String("View"));
            if (!picture || !widget->isVisible() || qobject_cast<QAbstractItemView*>(widget))
                continue;
            EXPECT_FALSE(widget->accessibleName().isEmpty() &&
                         widget->accessibleDescription().isEmpty())
                << view.name << ": " << widget->metaObject()->className();
        }
    }
}

// In the dark look too no text is lost in its ground: what is drawn differs from the ground by
// enough (the themes' own contrast is in Look.BothThemes…), and nothing light is left over.
TEST_F(AccessibleWalk, TheDarkLookIsDarkEverywhere) {
    look::chooseTheme(look::ThemeChoice::dark);
    for (const View& view : kViews) {
        show(view);
        const QImage picture = window->grab().toImage().convertToFormat(QImage::Format_RGB32);
        qint64 light = 0, all = 0;
        for (int y = 0; y < picture.height(); y += 3)
            for (int x = 0; x < picture.width(); x += 3, ++all)
                light += qGray(picture.pixel(x, y)) > 160;
        EXPECT_LT(double(light) / double(all), 0.2) << view.name;
    }
    look::chooseTheme(look::ThemeChoice::light);
}

} // namespace
