// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAction>
#include <QMenu>
#include <array>

namespace dynamet::app {

/// What the cook has in front of him, as far as it decides what can be done.
struct Situation {
    enum class Place { books, rate, translate, plan, cook, compare, kitchen, logbook };
    Place place = Place::books;
    bool bookOpen = false, writable = false;
    bool atBench = false;      ///< of Rate
    bool canSave = false;      ///< a rating that is worked out and not yet kept
    bool canImport = false;    ///< the chosen test takes a log
    bool hasAppliance = false; ///< one is chosen
    bool gasMarks = false;     ///< shown beside dials
    QString undo, redo;        ///< the change in words; empty = none
};

/// Every command of the window: its name, its keys and whether it can be given now stand here, for
/// menu, buttons and keys alike.
class Commands : public QObject {
    Q_OBJECT
  public:
    enum Command {
        rate = 0,
        translate,
        plan,
        cook,
        compare,
        kitchen,
        logbook,
        findAppliance,
        importLog,
        saveRating,
        measureLive,
        instruments,
        wallSheet,
        picture,
        nextTest,
        testDay,
        undo,
        redo,
        switchUnits,
        gasMarks,
        changeLook,
        openBook,
        workInCopy,
        exportBook,
        takeIn,
        share,
        ratings,
        copies,
        guide,
        quit,
        count
    };
    explicit Commands(QWidget& window);
    QAction& action(Command command) { return *actions_[command]; }
  signals:
    /// F1 in a dialog.
    void helpWanted(QWidget* dialog);

  public:
    /// The one place that says what can be done when.
    void enable(const Situation& now);
    /// All of them, in groups.
    QMenu& menu() { return *menu_; }

  protected:
    /// On X a line edit takes Ctrl+U for "delete all before": our key comes first.
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    std::array<QAction*, count> actions_{};
    QMenu* menu_;
};

} // namespace dynamet::app
