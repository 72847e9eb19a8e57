// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/quick_line.h"

#include "recipe/quick_line.h"

#include <QVBoxLayout>

namespace dynamet::app {

QuickLine::QuickLine(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), line_(new QLineEdit), understood_(new QLabel),
      keep_(new QPushButton(QStringLiteral("Keep it as a recipe"))) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(10);
    line_->setAccessibleName(QStringLiteral("Quick"));
    line_->setPlaceholderText(QStringLiteral("Quick: salmon, 12 min, wall oven"));
    line_->setClearButtonEnabled(true);
    understood_->setObjectName(QStringLiteral("note"));
    understood_->setAccessibleName(QStringLiteral("Quick, understood"));
    understood_->setWordWrap(true);
    understood_->hide();
    keep_->setAccessibleName(keep_->text());
    keep_->hide();
    connect(line_, &QLineEdit::returnPressed, this, &QuickLine::ask);
    connect(line_, &QLineEdit::textChanged, this, [this](const QString& text) {
        if (text.trimmed().isEmpty())
            leave();
    });
    connect(keep_, &QPushButton::clicked, this, &QuickLine::keep);
    for (QWidget* one : std::initializer_list<QWidget*>{line_, understood_, keep_})
        box->addWidget(one);
}

void QuickLine::change(const recipe::Recipe& changed) {
    recipe_ = changed;
    emit answered();
}

void QuickLine::leaveIfGone() {
    if (recipe_ && !findAppliance(document_.kitchen(), recipe_->last().place.applianceId))
        line_->clear();
}

void QuickLine::ask() {
    if (line_->text().trimmed().isEmpty())
        return;
    const auto read = recipe::readQuickLine(toStd(line_->text()), document_.kitchen(),
                                            document_.units().temperature());
    understood_->show();
    if (!read) {
        understood_->setText(toQt(read.error(), document_.units()));
        return;
    }
    QStringList filled;
    for (const std::string& one : read->filledIn)
        filled << toQt(one);
    understood_->setText(QStringLiteral("understood: ") + filled.join(QStringLiteral(", ")));
    keep_->show();
    recipe::Recipe asked = read->recipe;
    asked.id = book::newId();
    change(asked);
}

void QuickLine::leave() {
    understood_->hide();
    keep_->hide();
    if (std::exchange(recipe_, std::nullopt))
        emit answered();
}

void QuickLine::keep() {
    if (!recipe_)
        return;
    const recipe::Recipe asked = *recipe_;
    if (const auto done = document_.addRecipe(asked); !done) {
        document_.say(
            QStringLiteral("%1; nothing was added.").arg(toQt(done.error(), document_.units())));
        return;
    }
    line_->clear();
    emit kept(toQt(asked.id));
}

} // namespace dynamet::app
