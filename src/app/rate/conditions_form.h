// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QWidget>

namespace dynamet::app {

/// The conditions of a test: instrument, operator, room, wind, fuel, lid, photo. What is
/// left empty stays "unknown"; what was once typed stands there for the next test of the session.
class ConditionsForm : public QWidget {
    Q_OBJECT
  public:
    explicit ConditionsForm(Document& document, QWidget* parent = nullptr);
    /// Shows what stands against the chosen instrument at an expected temperature.
    void expect(const kitchen::Representative& expected);
    void showTest(const book::TestRecord& test);
    void refresh();
    /// Writes the conditions into a test and says which file is its photo; an error names the
    /// field.
    Result<void> fill(book::TestRecord& test, std::string& photoPath) const;
    const kitchen::Instrument* instrument() const;
    /// Names of what was not written down.
    QStringList missing() const;
    /// When the test was made: what was typed ("2026-11-02", "yesterday"), else now.
    Result<book::When> madeAt() const;

  signals:
    void instrumentChosen();

  private:
    void browse();
    void showRisk();
    Document& document_;
    QComboBox *instrument_, *lid_;
    QLineEdit *day_, *operator_, *ambient_, *wind_, *fuel_, *photo_;
    QLabel* risk_;
    kitchen::Representative expected_;
};

} // namespace dynamet::app
