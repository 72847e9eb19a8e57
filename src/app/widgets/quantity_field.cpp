// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/quantity_field.h"

#include "app/document/qt_text.h"
#include "quantity/number_text.h"

#include <QGuiApplication>
#include <QStyle>
#include <QTimer>
#include <QVBoxLayout>

namespace dynamet::app {

QuantityField::QuantityField(const QString& name, QuantityKind kind, QWidget* parent)
    : QWidget(parent), name_(name), kind_(std::move(kind)), edit_(new QLineEdit),
      note_(new QLabel) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(2);
    setAccessibleName(QStringLiteral("%1, field").arg(name));
    edit_->setAccessibleName(name);
    note_->setAccessibleName(QStringLiteral("%1, note").arg(name));
    note_->setWordWrap(true);
    note_->hide();
    box->addWidget(edit_);
    box->addWidget(note_);
    setFocusProxy(edit_);
    connect(edit_, &QLineEdit::editingFinished, this, &QuantityField::leave);
    connect(edit_, &QLineEdit::textEdited, this, [this] {
        note_->hide();
        emit edited();
    });
}

void QuantityField::setKind(QuantityKind kind) {
    kind_ = std::move(kind);
    if (kept_)
        setValue(kept_);
}

void QuantityField::setValue(std::optional<double> value) {
    kept_ = value;
    keptText_ = value ? kind_.show(*value) : QString();
    edit_->setText(keptText_);
    note_->hide();
}

Result<std::optional<double>> QuantityField::read() const {
    const std::string typed = toStd(edit_->text().trimmed());
    if (typed.empty() && kind_.mayBeEmpty)
        return std::optional<double>();
    if (typed.empty())
        return fail(Errc::invalidArgument, "this is needed");
    if (kept_ && edit_->text() == keptText_)
        return kept_;
    const auto value = kind_.read(typed);
    if (!value)
        return tl::unexpected(value.error());
    return std::optional(*value);
}

Result<std::optional<double>> QuantityField::value() const {
    auto out = read();
    return out ? std::move(out) : tl::unexpected(out.error().in(toStd(name_)));
}

void QuantityField::showProblem(const QString& words) {
    note_->setObjectName(QStringLiteral("caution"));
    note_->setText(QStringLiteral("! %1").arg(words));
    style()->polish(note_);
    note_->show();
}

bool QuantityField::check() {
    const auto now = read();
    if (!now)
        showProblem(toQt(now.error().message));
    return now.has_value();
}

/// A note that comes or goes moves what stands below it: not while a mouse button is down, or the
/// release would miss what was pressed.
void QuantityField::leave() {
    constexpr int kLookAgainMs = 20;
    if (QGuiApplication::mouseButtons() != Qt::NoButton) {
        QTimer::singleShot(kLookAgainMs, this, &QuantityField::leave);
        return;
    }
    if (!check())
        return;
    const auto now = read();
    const bool twoReadings = hasTwoReadings(toStd(edit_->text())) && edit_->text() != keptText_;
    setValue(*now);
    if (!twoReadings)
        return;
    note_->setObjectName(QStringLiteral("quiet"));
    style()->polish(note_);
    note_->setText(QStringLiteral("Taken as %1.").arg(edit_->text()));
    note_->show();
}

} // namespace dynamet::app
