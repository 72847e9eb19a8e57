// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/setting_edit.h"
#include "recipe/handling_words.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// One stage of a recipe: where, in what, at what setting, what the cook does to it, when it ends,
/// and the wait after it. The last
/// stage has no core (the goal ends it, unless a time does), no edges and no wait.
class StageEdit : public QWidget {
    Q_OBJECT
  public:
    StageEdit(Document& document, int number, bool last, const recipe::Stage& stage,
              QWidget* parent = nullptr);
    /// What was typed; an error names the stage and the field.
    Result<recipe::Stage> stage() const;

  signals:
    void removeWanted();
    void earlierWanted();

  private:
    QWidget* buildPlace(const recipe::Stage& stage);
    QWidget* buildEnd(const recipe::Stage& stage);
    QLineEdit* field(const QString& name, const QString& shown, const QString& none, int width);
    QWidget* buildHandling(const recipe::Stage& stage);
    void fillZones();
    void fillVessels(const std::string& chosen);
    QWidget* buildGrate(const recipe::Stage& stage);
    void showGrate();
    bool hasGrate() const;
    Result<double> grateHeight() const;
    /// Says back what the sentence means, or what is wrong with it.
    void readBack();
    Result<recipe::SaidHandling> said() const;
    const kitchen::Appliance* appliance() const;
    QString named(const QString& what) const;
    Result<double> seconds(const QLineEdit* field) const;
    Document& document_;
    int number_;
    bool last_;
    QComboBox *appliance_, *zone_, *vessel_, *insert_;
    SettingEdit* setting_;
    QCheckBox* lid_;             ///< open; for grills and kettles only
    QLineEdit* grate_ = nullptr; ///< its height over open coals
    QLineEdit *core_ = nullptr, *time_ = nullptr, *wait_ = nullptr;
    QCheckBox *edges_ = nullptr, *foil_ = nullptr;
    QLineEdit* does_ = nullptr; ///< what the cook does in the stage, as a sentence
    QLabel* understood_ = nullptr;
};

} // namespace dynamet::app
