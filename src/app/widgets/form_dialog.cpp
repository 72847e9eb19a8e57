// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/form_dialog.h"

#include <QGuiApplication>
#include <QScreen>
#include <QScrollArea>
#include <QScrollBar>
#include <QShowEvent>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {
constexpr int kFieldWidth = 260;
} // namespace

FormDialog::FormDialog(Document& document, const QString& title, QWidget* parent)
    : QDialog(parent), document_(document), form_(new QFormLayout), body_(new QWidget),
      foot_(new DialogFoot(this)) {
    setWindowTitle(title);
    auto* box = new QVBoxLayout(this);
    form_->setContentsMargins(0, 0, 12, 0);
    form_->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    body_->setLayout(form_);
    auto* scroll = new QScrollArea; // a low screen
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setSizeAdjustPolicy(QAbstractScrollArea::AdjustToContents);
    scroll->setWidget(body_);
    body_->setAutoFillBackground(false);
    scroll->viewport()->setAutoFillBackground(false);
    box->addWidget(scroll, 1);
    box->addWidget(foot_);
    connect(foot_, &DialogFoot::saveWanted, this, &FormDialog::save);
}

void FormDialog::showEvent(QShowEvent* event) {
    QDialog::showEvent(event);
    fitToFields();
}

void FormDialog::fitToFields() {
    constexpr int kAround = 120, kFrame = 36;
    body_->layout()->activate();
    const int room = screen()->availableGeometry().height() - kFrame;
    resize(std::max(width(), body_->sizeHint().width() + kFrame),
           std::min(room, std::max(height(), body_->sizeHint().height() + kAround)));
}

QLineEdit* FormDialog::addText(const QString& label, const std::string& value,
                               const QString& hint) {
    auto* out = new QLineEdit(toQt(value));
    out->setAccessibleName(label);
    out->setPlaceholderText(hint);
    out->setMinimumWidth(kFieldWidth);
    form_->addRow(label, out);
    return out;
}

QuantityField* FormDialog::addQuantity(const QString& label, QuantityKind kind,
                                       std::optional<double> value) {
    auto* out = new QuantityField(label, std::move(kind));
    out->setValue(value);
    form_->addRow(label, out);
    return out;
}

QComboBox* FormDialog::addChoice(const QString& label, const QStringList& words, int at) {
    auto* out = new QComboBox;
    out->addItems(words);
    out->setCurrentIndex(at);
    out->setAccessibleName(label);
    out->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    out->setMinimumContentsLength(20);
    form_->addRow(label, out);
    return out;
}

void FormDialog::addWide(QWidget* widget) {
    form_->addRow(widget);
}

void FormDialog::setRowVisible(QWidget* field, bool visible) {
    form_->setRowVisible(field, visible);
}

void FormDialog::save() {
    for (QuantityField* field : findChildren<QuantityField*>())
        if (field->isVisibleTo(this) && !field->check()) {
            field->setFocus();
            return;
        }
    if (const auto taken = take(); !taken)
        return foot_->showProblem(taken.error(), document_.units());
    accept();
}

Result<std::string> named(const QLineEdit& field) {
    const std::string out = toStd(field.text().trimmed());
    if (out.empty())
        return fail(Errc::invalidArgument,
                    toStd(QStringLiteral("%1: it needs a name").arg(field.accessibleName())));
    return out;
}

} // namespace dynamet::app
