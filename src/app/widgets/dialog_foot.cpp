// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/dialog_foot.h"

#include "app/document/qt_text.h"

#include <QDialog>
#include <QDialogButtonBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

DialogFoot::DialogFoot(QDialog* dialog) : problem_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setWordWrap(true);
    problem_->hide();
    box->addWidget(problem_);
    auto* buttons = new QDialogButtonBox;
    save_ = buttons->addButton(QStringLiteral("Save"), QDialogButtonBox::AcceptRole);
    save_->setObjectName(QStringLiteral("act"));
    buttons->addButton(QStringLiteral("Cancel"), QDialogButtonBox::RejectRole)
        ->setAutoDefault(false);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &DialogFoot::saveWanted);
    connect(buttons, &QDialogButtonBox::rejected, dialog, &QDialog::reject);
}

void DialogFoot::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    save_->setDefault(true); // a button knows its dialog only from here on
}

void DialogFoot::showProblem(const Error& error, const Units& units) {
    problem_->setText(QStringLiteral("! %1. Nothing was changed yet.").arg(toQt(error, units)));
    problem_->show();
}

void DialogFoot::clearProblem() {
    problem_->hide();
}

} // namespace dynamet::app
