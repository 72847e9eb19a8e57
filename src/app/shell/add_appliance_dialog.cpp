// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/add_appliance_dialog.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QPushButton>

namespace dynamet::app {

AddApplianceDialog::AddApplianceDialog(Document& document, QWidget* parent)
    : QDialog(parent), document_(document), name_(new QLineEdit), kind_(new QComboBox),
      site_(new QComboBox), vessel_(new QComboBox) {
    setWindowTitle(tr("Add an appliance"));
    name_->setAccessibleName(tr("Name of the appliance"));
    kind_->setAccessibleName(tr("Kind of appliance"));
    site_->setAccessibleName(tr("Where it stands"));
    vessel_->setAccessibleName(tr("Vessel it is rated with"));
    for (const kitchen::ApplianceKind kind : kitchen::allKinds())
        kind_->addItem(QString::fromUtf8(kitchen::kindName(kind)), static_cast<int>(kind));
    kind_->setCurrentIndex(kind_->findData(static_cast<int>(kitchen::ApplianceKind::stillOven)));
    for (const kitchen::Site& site : document.kitchen().sites)
        site_->addItem(text(site.name), text(site.id));
    for (const kitchen::Vessel& vessel : document.kitchen().vessels)
        vessel_->addItem(text(vessel.name), text(vessel.id));
    auto* form = new QFormLayout(this);
    form->addRow(tr("Name"), name_);
    form->addRow(tr("Kind"), kind_);
    form->addRow(tr("Place"), site_);
    form->addRow(tr("Vessel (hobs)"), vessel_);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    auto* add = buttons->addButton(tr("Add it"), QDialogButtonBox::AcceptRole);
    add->setObjectName(QStringLiteral("act"));
    add->setEnabled(false);
    form->addRow(buttons);
    connect(name_, &QLineEdit::textChanged, add,
            [add](const QString& name) { add->setEnabled(!name.trimmed().isEmpty()); });
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

kitchen::Appliance AddApplianceDialog::appliance() const {
    auto made = kitchen::typicalAppliance(
        static_cast<kitchen::ApplianceKind>(kind_->currentData().toInt()));
    kitchen::Appliance out = made.value_or(kitchen::Appliance{});
    out.id = book::newId();
    out.name = plain(name_->text().trimmed());
    out.siteId = plain(site_->currentData().toString());
    if (isHob(out.kind))
        out.standardVesselId = plain(vessel_->currentData().toString());
    return out;
}

} // namespace dynamet::app
