// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/card_page.h"

#include "app/document/qt_text.h"

#include <QAbstractTextDocumentLayout>
#include <QPageLayout>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QTextDocument>

namespace dynamet::app {
namespace {

constexpr int kDpi = 300;
constexpr double kMarginMm = 9, kLargest = 1.15, kSmallest = 0.35, kStep = 0.05;

QString paragraph(const std::string& text, double points, bool bold, double above) {
    if (text.empty())
        return {};
    return QStringLiteral("<p style='font-size:%1pt; margin-top:%2px; margin-bottom:0; %3'>%4</p>")
        .arg(points)
        .arg(above)
        .arg(bold ? QStringLiteral("font-weight:bold") : QString())
        .arg(toQt(text).toHtmlEscaped().replace(QLatin1Char('\n'), QStringLiteral("<br>")));
}

} // namespace

QString cardHtml(const words::ConversionCard& card, double scale) {
    constexpr double kHuge = 34, kLarge = 22, kMiddle = 15, kText = 11, kSmall = 9;
    QString out;
    const auto add = [&](const std::string& text, double points, bool bold, double above) {
        out += paragraph(text, points * scale, bold, above * scale);
    };
    add(card.recipe, kLarge, true, 0);
    add("Written for: " + card.source, kText, false, 2);
    add(card.piece, kText, false, 0);
    add(card.target, kLarge, true, 14);
    add(card.pull, kHuge, true, 2);
    add(card.times, kLarge, false, 2);
    for (const std::string& line : card.stages)
        add(line, kMiddle, false, 4);
    for (const std::string& line : card.notes)
        add(line, kText, false, 4);
    for (const std::string& line : card.cautions)
        add("! " + line, kText, true, 4);
    for (const std::string& line : card.provenance)
        add(line, kSmall, false, 4);
    return out;
}

QString writeCard(const words::ConversionCard& card, const QString& path) {
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly))
        return file.errorString();
    {
        QPdfWriter pdf(&file);
        pdf.setResolution(kDpi);
        pdf.setPageLayout(QPageLayout(QPageSize(QPageSize::A5), QPageLayout::Portrait,
                                      QMarginsF(kMarginMm, kMarginMm, kMarginMm, kMarginMm),
                                      QPageLayout::Millimeter));
        pdf.setTitle(toQt(card.recipe + " – " + card.target));
        QPainter painter(&pdf);
        if (!painter.isActive())
            return QStringLiteral("no page could be made");
        const QSizeF page(pdf.width(), pdf.height());
        QTextDocument text;
        text.documentLayout()->setPaintDevice(&pdf);
        text.setDocumentMargin(0);
        for (double scale = kLargest; scale >= kSmallest; scale -= kStep) {
            text.setHtml(cardHtml(card, scale));
            text.setTextWidth(page.width());
            if (text.size().height() <= page.height())
                break;
        }
        text.drawContents(&painter, QRectF(QPointF(0, 0), page));
    }
    return file.commit() ? QString() : file.errorString();
}

} // namespace dynamet::app
