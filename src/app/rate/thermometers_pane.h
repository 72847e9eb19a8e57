// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/text_table.h"

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// The thermometers of the book: limits, calibrations by date, a check in ice and boil, a new one.
class ThermometersPane : public QWidget {
    Q_OBJECT
  public:
    explicit ThermometersPane(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);

  private:
    void showAll();
    void workOut();
    void keep();
    void addThermometer();
    const kitchen::Instrument* chosen() const;
    QLineEdit* field(const QString& name, const QString& hint);
    Document& document_;
    std::string applianceId_;
    std::vector<std::string> ids_;
    TextTable* table_;
    QLineEdit *ice_, *boil_, *name_, *limit_, *ruin_;
    QLabel* found_;
    QPushButton* keep_;
    std::optional<rating::Reduction> check_;
    std::optional<book::TestRecord> test_;
};

} // namespace dynamet::app
