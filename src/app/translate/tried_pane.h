// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/stepper_slider.h"
#include "kitchen/knobs.h"
#include "translate/translate.h"

#include <QCheckBox>
#include <QComboBox>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>
#include <vector>

namespace dynamet::app {

/// What a hand tries on the opened row: its knobs, when it comes out, turning, a cover.
class TriedPane : public QWidget {
    Q_OBJECT
  public:
    explicit TriedPane(Document& document, QWidget* parent = nullptr);
    /// The row as it was found; what was tried on the same place stays.
    void showRow(const translate::Row& best, const translate::Prepared& prepared);
    const translate::Tried& tried() const { return tried_; }
    void put(const translate::Tried& tried);

  signals:
    void changed();
    /// Undo wants the row of that place open again.
    void rowWanted(const dynamet::translate::Target& target);

  private:
    void build(const kitchen::Appliance& on);
    StepperSlider* addSlider(const QString& name, double step, StepperSlider::Print print,
                             StepperSlider::Parse parse);
    /// Takes what the controls say now.
    void take(const QString& hand);
    /// It can be taken back.
    void note(const QString& hand, const translate::Tried& before);
    void become(const translate::Tried& tried);
    void showTried();
    Document& document_;
    translate::Tried tried_;
    translate::Row best_;
    std::vector<kitchen::Control> controls_;
    std::vector<kitchen::Knob> knobs_;
    std::vector<StepperSlider*> sliders_; ///< one per knob
    StepperSlider* time_ = nullptr;
    QComboBox* turning_;
    QCheckBox* cover_;
    QPushButton* reset_;
    QWidget* fields_ = nullptr;
    QVBoxLayout* box_;
};

} // namespace dynamet::app
