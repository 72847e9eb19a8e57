// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/photo_rim_dialog.h"

#include "app/look/palette.h"
#include "app/widgets/quantity_kinds.h"
#include "app/widgets/scrolled.h"

#include <QDialogButtonBox>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kLargest = 700;
constexpr double kUsualScaleM = 0.02;

} // namespace

PhotoView::PhotoView(const QPixmap& photo, QWidget* parent)
    : QWidget(parent), photo_(photo.scaled(kLargest, kLargest * 2 / 3, Qt::KeepAspectRatio,
                                           Qt::SmoothTransformation)) {
    setFixedSize(photo_.size());
    setAccessibleName(QStringLiteral("Photo of the cut"));
}

void PhotoView::again() {
    points_.clear();
    update();
}

void PhotoView::mousePressEvent(QMouseEvent* event) {
    if (points_.size() == 4)
        points_.resize(2); // the scale stays
    points_.push_back({event->position().x(), event->position().y()});
    update();
    emit clicked();
}

void PhotoView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.drawPixmap(0, 0, photo_);
    painter.setRenderHint(QPainter::Antialiasing);
    for (std::size_t i = 0; i < points_.size(); ++i) {
        const QPointF at(points_[i].x, points_[i].y);
        painter.setPen(QPen(Qt::white, 4));
        painter.drawEllipse(at, 6, 6);
        painter.setPen(QPen(i < 2 ? look::ink() : look::accent(), 2));
        painter.drawEllipse(at, 6, 6);
        if (i % 2 == 1)
            painter.drawLine(QPointF(points_[i - 1].x, points_[i - 1].y), at);
    }
}

PhotoRimDialog::PhotoRimDialog(const QPixmap& photo, const Units& units, QWidget* parent)
    : QDialog(parent), units_(units), view_(new PhotoView(photo)), says_(new QLabel),
      known_(new QuantityField(QStringLiteral("Known length"), kinds::length(units, 0.001, 1))) {
    setWindowTitle(QStringLiteral("Grey rim from a photo"));
    setProperty("guide", QStringLiteral("cook"));
    auto* box = new QVBoxLayout(this);
    says_->setWordWrap(true);
    says_->setAccessibleName(QStringLiteral("What to click"));
    box->addWidget(says_);
    box->addWidget(scrolled(view_), 1);
    auto* line = new QHBoxLayout;
    line->addWidget(new QLabel(QStringLiteral("The first two points are apart by")));
    known_->setValue(kUsualScaleM);
    line->addWidget(known_);
    auto* again = new QPushButton(QStringLiteral("From the beginning"));
    connect(again, &QPushButton::clicked, this, [this] {
        view_->again();
        show();
    });
    line->addStretch();
    line->addWidget(again);
    box->addLayout(line);
    auto* buttons = new QDialogButtonBox;
    auto* take = buttons->addButton(QStringLiteral("Take it"), QDialogButtonBox::AcceptRole);
    take->setObjectName(QStringLiteral("act"));
    buttons->addButton(QStringLiteral("Cancel"), QDialogButtonBox::RejectRole);
    connect(buttons, &QDialogButtonBox::accepted, this, [this] {
        if (rimM_)
            accept();
    });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    box->addWidget(buttons);
    connect(view_, &PhotoView::clicked, this, &PhotoRimDialog::show);
    connect(known_, &QuantityField::edited, this, &PhotoRimDialog::show);
    show();
}

void PhotoRimDialog::show() {
    rimM_.reset();
    const auto& points = view_->points();
    const auto known = known_->value();
    if (points.size() < 2) {
        says_->setText(QStringLiteral(
            "Click both ends of a length that you know: a ruler beside the cut, the plate."));
    } else if (points.size() < 4) {
        says_->setText(QStringLiteral("Now across the grey rim: from the crust to the rosy part."));
    } else if (!known || !*known) {
        says_->setText(QStringLiteral("How far are the first two points apart?"));
    } else {
        const auto length = run::lengthInPhoto(points[2], points[3], points[0], points[1], **known);
        if (!length) {
            says_->setText(QStringLiteral("! %1").arg(toQt(length.error(), units_)));
            return;
        }
        rimM_ = *length;
        says_->setText(QStringLiteral("The rim is %1 deep.").arg(toQt(printThin(*length, units_))));
    }
}

} // namespace dynamet::app
