// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/form_dialog.h"

#include <QCheckBox>

namespace dynamet::app {

// One dialog for each kind of thing in a kitchen; each hands out the thing as it was typed.

/// A place: its name, its height above the sea, how warm and windy it is.
class SiteDialog : public FormDialog {
    Q_OBJECT
  public:
    SiteDialog(Document& document, const kitchen::Site& site, QWidget* parent);
    const kitchen::Site& site() const { return site_; }

  private:
    Result<void> take() override;
    void showBoiling();
    kitchen::Site site_;
    QLineEdit* name_;
    QuantityField *height_, *ambient_, *wind_, *pressure_, *gas_;
    QLabel* boiling_;
};

/// A vessel: form, material and size are enough; what was weighed is better.
class VesselDialog : public FormDialog {
    Q_OBJECT
  public:
    VesselDialog(Document& document, const kitchen::Vessel& vessel, QWidget* parent);
    const kitchen::Vessel& vessel() const { return vessel_; }

  private:
    Result<void> take() override;
    void takeCommon(int item);
    void showUsualMass();
    std::optional<kitchen::Vessel> usual() const;
    kitchen::Vessel vessel_;
    QComboBox *common_, *form_, *material_, *count_;
    QLineEdit* name_;
    QuantityField *diameter_, *base_, *mass_, *highest_;
};

/// A part that is put in or taken out.
class InsertDialog : public FormDialog {
    Q_OBJECT
  public:
    InsertDialog(Document& document, const kitchen::Insert& insert, QWidget* parent);
    const kitchen::Insert& insert() const { return insert_; }

  private:
    Result<void> take() override;
    kitchen::Insert insert_;
    QLineEdit* name_;
    QComboBox* kind_;
};

/// An instrument of any kind: how good it is, where it ends, what ruins it.
class InstrumentDialog : public FormDialog {
    Q_OBJECT
  public:
    InstrumentDialog(Document& document, const kitchen::Instrument& instrument, QWidget* parent);
    const kitchen::Instrument& instrument() const { return instrument_; }

  private:
    Result<void> take() override;
    void takeCommon(int item);
    void showKind();
    void fill();
    kitchen::Instrument instrument_;
    QComboBox *common_, *kind_;
    QLineEdit* name_;
    QuantityField *accuracy_, *low_, *high_, *ruined_, *diameter_, *response_, *emissivity_;
    QuantityField *bandLow_, *bandHigh_, *meter_;
};

/// "Leave-in probe" for each kind of instrument, in the enum's order.
QStringList instrumentKindNames();
QStringList insertKindNames();

} // namespace dynamet::app
