// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/plot.h"
#include "app/widgets/text_table.h"
#include "rating/uncertainty/drift.h"

#include <QComboBox>
#include <QLabel>
#include <QWidget>

namespace dynamet::app {

/// Repeated tests of one appliance on a control chart, with a verdict, its usual remedy, and twins
/// of the same kind beside it.
class DriftPane : public QWidget {
    Q_OBJECT
  public:
    explicit DriftPane(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);

  private:
    struct Repeats {
        QString label;
        std::string quantity, unit, key;
        std::vector<rating::RepeatedValue> values;
    };
    std::vector<Repeats> repeatsOf(const std::string& applianceId) const;
    void showRepeats(int index);
    void draw(const Repeats& repeats, const rating::ControlChart& chart);
    QString twinWords(const Repeats& repeats) const;
    double shown(const Repeats& repeats, double value) const;
    QString unitOf(const Repeats& repeats) const;
    Document& document_;
    std::string applianceId_;
    std::vector<Repeats> all_;
    QComboBox* choice_;
    QLabel *verdict_, *twins_;
    Plot* plot_;
    TextTable* table_;
};

} // namespace dynamet::app
