// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "quantity/result.h"
#include "quantity/units.h"

#include <QWidget>

class QBoxLayout;
class QDialog;
class QLabel;
class QPushButton;

namespace dynamet::app {

/// The foot of a dialog that saves what was typed: a caution that says what is wrong, Save and
/// Cancel.
class DialogFoot : public QWidget {
    Q_OBJECT
  public:
    /// Cancel rejects the dialog; what Save does is the dialog's own.
    explicit DialogFoot(QDialog* dialog);
    /// "! … Nothing was changed yet."
    void showProblem(const Error& error, const Units& units);
    void clearProblem();

  signals:
    void saveWanted();

  protected:
    /// Enter saves, whatever other buttons the dialog has.
    void showEvent(QShowEvent* event) override;

  private:
    QLabel* problem_;
    QPushButton* save_;
};

} // namespace dynamet::app
