// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/save_path_dialog.h"

#include <QDialogButtonBox>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

SavePathDialog::SavePathDialog(const QString& title, const QString& fieldName, const QString& path,
                               const QString& filter, QWidget* parent)
    : QDialog(parent), path_(new QLineEdit(path)) {
    setWindowTitle(title);
    resize(520, 110);
    auto* box = new QVBoxLayout(this);
    auto* row = new QHBoxLayout;
    path_->setAccessibleName(fieldName);
    auto* look = new QPushButton(QStringLiteral("Browse…"));
    look->setAutoDefault(false);
    row->addWidget(path_, 1);
    row->addWidget(look);
    box->addLayout(row);
    auto* buttons = new QDialogButtonBox;
    auto* save = buttons->addButton(QStringLiteral("Write it"), QDialogButtonBox::AcceptRole);
    save->setObjectName(QStringLiteral("act"));
    save->setDefault(true);
    buttons->addButton(QStringLiteral("Cancel"), QDialogButtonBox::RejectRole)
        ->setAutoDefault(false);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(look, &QPushButton::clicked, this, [this, title, filter] {
        const QString chosen = QFileDialog::getSaveFileName(this, title, path_->text(), filter);
        if (!chosen.isEmpty())
            path_->setText(chosen);
    });
}

} // namespace dynamet::app
