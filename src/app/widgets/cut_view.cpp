// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/cut_view.h"

#include "app/look/cut_palette.h"
#include "app/look/palette.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

namespace dynamet::app {
namespace {

constexpr double kTextRow = 18, kMargin = 10, kCrustWidth = 7;
constexpr int kWordRows = 3; // core, crust, rim
constexpr double kScorched = 3;

QPainterPath outlineOf(const cook::CutExtent& extent, const QRectF& box) {
    QPainterPath path;
    if (extent.round)
        path.addEllipse(box);
    else
        path.addRoundedRect(box, 8, 8);
    return path;
}

/// A crust along a face, as uneven as it is: its colours, and strokes across them where it is
/// scorched.
void paintCrust(QPainter& p, const QRectF& band, double browning, double spread) {
    const bool lying = band.width() > band.height();
    const auto places = cook::crustAlong(browning, spread);
    const double length = (lying ? band.width() : band.height()) / cook::kCrustPlaces;
    QRectF place = lying ? QRectF(band.topLeft(), QSizeF(length, band.height()))
                         : QRectF(band.topLeft(), QSizeF(band.width(), length));
    p.setRenderHint(QPainter::Antialiasing, false);
    for (const double index : places) {
        p.fillRect(place, look::crustColour(index));
        if (index > kScorched)
            p.fillRect(place, QBrush(look::surface(), Qt::BDiagPattern));
        place.translate(lying ? length : 0, lying ? 0 : length);
    }
    p.setRenderHint(QPainter::Antialiasing);
}

void paintRoundCrust(QPainter& p, const QRectF& box, double browning, double spread) {
    constexpr int kCircle = 360 * 16;
    const int arc = kCircle / static_cast<int>(cook::kCrustPlaces);
    int from = 0;
    for (const double index : cook::crustAlong(browning, spread)) {
        p.setPen(QPen(look::crustColour(index), 2 * kCrustWidth, Qt::SolidLine, Qt::FlatCap));
        p.drawArc(box, from, arc);
        from += arc;
    }
}

} // namespace

CutView::CutView(QWidget* parent) : QWidget(parent) {
    setMinimumHeight(130);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Preferred);
    setAccessibleName(QStringLiteral("The cut"));
}

void CutView::showCuts(std::vector<CutShown> cuts, double greyingK, bool meat) {
    cuts_ = std::move(cuts);
    greyingK_ = greyingK;
    meat_ = meat;
    QStringList words;
    for (const CutShown& cut : cuts_)
        words << cut.title + QStringLiteral(": ") +
                     QStringList{cut.core, cut.crust, cut.rim}.join(QStringLiteral(", "));
    setAccessibleDescription(words.join(QStringLiteral("; ")));
    update();
}

void CutView::setMoment(std::optional<double> timeS) {
    momentS_ = timeS;
    update();
}

double CutView::lastMomentS() const {
    double last = 0;
    for (const CutShown& cut : cuts_)
        if (!cut.outcome.frames.empty())
            last = std::max(last, cut.outcome.frames.back().timeS);
    return last;
}

QImage CutView::flesh(const CutShown& cut, const cook::Frame* frame, QSize size) const {
    const cook::Section& section = cut.outcome.section;
    const auto& nodes = frame ? frame->peakSoFarK : section.peakK;
    const cook::CutExtent extent = extentOf(section);
    QImage image(size, QImage::Format_RGB32);
    for (int y = 0; y < size.height(); ++y)
        for (int x = 0; x < size.width(); ++x) {
            const double across = ((x + 0.5) / size.width() - 0.5) * extent.widthM;
            const double share = 1 - (y + 0.5) / size.height(); // the first face lies below
            const double up = (extent.round ? share - 0.5 : share) * extent.heightM;
            const double kelvin = valueAt(section, nodes, across, up);
            image.setPixelColor(x, y, look::cutColour(cook::donenessOf(kelvin, greyingK_), meat_));
        }
    return image;
}

void CutView::paintCut(QPainter& p, const CutShown& cut, const QRectF& area,
                       double pixelsPerM) const {
    const cook::Frame* frame = momentS_ ? frameAt(cut.outcome.frames, *momentS_) : nullptr;
    const auto& browning = frame ? frame->browning : cut.outcome.browning;
    const auto& spread = frame ? frame->crustSpread : cut.outcome.crustSpread;
    const cook::CutExtent extent = extentOf(cut.outcome.section);
    const QSizeF size(extent.widthM * pixelsPerM, extent.heightM * pixelsPerM);
    QRectF box(QPointF(0, 0), size);
    box.moveCenter(area.adjusted(0, kTextRow, 0, -kWordRows * kTextRow).center());
    p.save();
    p.setPen(look::ink());
    p.setFont(look::textFont(13, true));
    p.drawText(
        QRectF(area.left(), area.top(), area.width(), kTextRow), Qt::AlignCenter,
        p.fontMetrics().elidedText(cut.title, Qt::ElideRight, static_cast<int>(area.width())));
    p.setFont(look::textFont(13));
    p.setPen(look::quietInk());
    qreal line = area.bottom() - kWordRows * kTextRow;
    for (const QString& words : {cut.core, cut.crust, cut.rim}) {
        p.drawText(
            QRectF(area.left(), line, area.width(), kTextRow), Qt::AlignCenter,
            p.fontMetrics().elidedText(words, Qt::ElideRight, static_cast<int>(area.width())));
        line += kTextRow;
    }
    const QPainterPath outline = outlineOf(extent, box);
    p.setClipPath(outline);
    p.drawImage(box, flesh(cut, frame, QSize(160, 110)));
    if (extent.round) {
        paintRoundCrust(p, box, browning[1], spread[1]);
    } else {
        if (cut.outcome.section.shape != heat::Shape::slab) {
            paintCrust(p, QRectF(box.right() - kCrustWidth, box.top(), kCrustWidth, box.height()),
                       browning[2], spread[2]);
            if (cut.outcome.section.halved)
                paintCrust(p, QRectF(box.left(), box.top(), kCrustWidth, box.height()), browning[2],
                           spread[2]);
        }
        paintCrust(p, QRectF(box.left(), box.bottom() - kCrustWidth, box.width(), kCrustWidth),
                   browning[0], spread[0]);
        paintCrust(p, QRectF(box.left(), box.top(), box.width(), kCrustWidth), browning[1],
                   spread[1]);
    }
    p.setClipping(false);
    p.setPen(QPen(look::ink(), 1));
    p.setBrush(Qt::NoBrush);
    p.drawPath(outline);
    const double rim = cut.outcome.rimM * pixelsPerM;
    if (!frame && rim > kCrustWidth && rim < box.height() / 2 - 2) { // where it greyed
        p.setPen(QPen(look::ink(), 1, Qt::DashLine));
        if (extent.round)
            p.drawEllipse(box.adjusted(rim, rim, -rim, -rim));
        else
            for (const double y : {box.top() + rim, box.bottom() - rim})
                p.drawLine(QPointF(box.left() + 4, y), QPointF(box.right() - 4, y));
    }
    p.restore();
}

void CutView::paintInto(QPainter& painter, const QRectF& area) const {
    if (cuts_.empty())
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    const double width = area.width() / static_cast<double>(cuts_.size());
    double pixelsPerM = 1e9;
    for (const CutShown& cut : cuts_) {
        const cook::CutExtent extent = extentOf(cut.outcome.section);
        pixelsPerM =
            std::min({pixelsPerM, (width - 2 * kMargin) / extent.widthM,
                      (area.height() - (1 + kWordRows) * kTextRow - kMargin) / extent.heightM});
    }
    for (std::size_t i = 0; i < cuts_.size(); ++i)
        paintCut(
            painter, cuts_[i],
            QRectF(area.left() + static_cast<double>(i) * width, area.top(), width, area.height()),
            pixelsPerM);
}

void CutView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    paintInto(painter, rect());
}

} // namespace dynamet::app
