// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/kitchen/control_edit.h"
#include "app/widgets/form_dialog.h"

namespace dynamet::app {

/// An appliance: what it is, where it stands, what can be set on it and where food goes. A new one
/// begins with what is usual for its kind, its dial in the book's unit.
class ApplianceDialog : public FormDialog {
    Q_OBJECT
  public:
    /// An empty id makes a new one, whose kind can be chosen.
    ApplianceDialog(Document& document, const kitchen::Appliance& appliance, QWidget* parent);
    const kitchen::Appliance& appliance() const { return appliance_; }

  private:
    Result<void> take() override;
    void showKind();
    void buildControls();
    void fillVessels(const std::string& chosen);
    void addPan();
    Result<std::vector<kitchen::Zone>> zones() const;
    kitchen::Appliance appliance_;
    QLineEdit *name_, *zones_, *asset_, *notes_;
    QComboBox *kind_, *site_, *vessel_, *heatBy_;
    QWidget* pan_;
    QWidget* controls_;
    std::vector<ControlEdit*> edits_; ///< one for each control, nullptr where nothing is to say
    QuantityField *input_, *capacity_, *boost_, *panLimit_, *shared_;
};

/// A new appliance of a kind in the document's units and first place.
kitchen::Appliance beginAppliance(const Document& document, kitchen::ApplianceKind kind);

} // namespace dynamet::app
