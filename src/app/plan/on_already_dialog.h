// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/setting_edit.h"

#include <QComboBox>
#include <QDialog>
#include <QListWidget>
#include <QPushButton>

namespace dynamet::app {

/// What is hot already when the plan begins: it is waited for less, or has to cool first.
class OnAlreadyDialog : public QDialog {
    Q_OBJECT
  public:
    OnAlreadyDialog(Document& document, const plan::Menu& menu, QWidget* parent = nullptr);
    const std::vector<plan::OnAlready>& on() const { return on_; }

  private:
    void showSetting();
    void note();
    void off();
    void fill();
    const kitchen::Appliance* chosen() const;
    Document& document_;
    std::vector<plan::OnAlready> on_;
    QComboBox* appliance_;
    SettingEdit* setting_;
    QListWidget* list_;
};

} // namespace dynamet::app
