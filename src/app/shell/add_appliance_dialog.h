// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"

#include <QComboBox>
#include <QDialog>
#include <QLineEdit>

namespace dynamet::app {

/// Name, kind and site of a new appliance; hobs also get the vessel they are rated with.
class AddApplianceDialog : public QDialog {
    Q_OBJECT
  public:
    explicit AddApplianceDialog(Document& document, QWidget* parent = nullptr);
    kitchen::Appliance appliance() const;

  private:
    Document& document_;
    QLineEdit* name_;
    QComboBox* kind_;
    QComboBox* site_;
    QComboBox* vessel_;
};

} // namespace dynamet::app
