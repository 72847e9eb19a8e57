// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/save_path_dialog.h"

#include "app/widgets/scrolled.h"

#include <QDialogButtonBox>
#include <QDir>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

SavePathDialog::SavePathDialog(const QString& title, const QString& fieldName, const QString& path,
                               const QString& filter, QWidget* parent)
    : QDialog(parent), path_(new QLineEdit(path)) {
    setProperty("guide", QStringLiteral("book"));
    setWindowTitle(title);
    resizeOnScreen(*this, {520, 110});
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

void writeAsked(Document& document, QWidget* parent, const QString& title, const QString& name,
                const QString& filter, const std::function<QString(const QString&)>& writes) {
    SavePathDialog dialog(title, QStringLiteral("File to write"), QDir::home().filePath(name),
                          filter, parent);
    if (dialog.exec() != QDialog::Accepted || dialog.path().isEmpty())
        return;
    const QString problem = writes(dialog.path());
    document.say(problem.isEmpty()
                     ? QStringLiteral("Written: %1").arg(dialog.path())
                     : QStringLiteral("%1 could not be written (%2); nothing was changed.")
                           .arg(dialog.path(), problem));
}

} // namespace dynamet::app
