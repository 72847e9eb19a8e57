// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/card_page.h"

#include "app/document/qt_text.h"
#include "app/widgets/pdf_page.h"

#include <QTextDocument>

namespace dynamet::app {
namespace {

constexpr double kMarginMm = 9, kLargest = 1.15, kStep = 0.05;
constexpr int kSteps = 17; // down to 0.35

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
    for (const std::string& line : card.signs)
        add(line, kText, false, 4);
    for (const std::string& line : card.cautions)
        add("! " + line, kText, true, 4);
    for (const std::string& line : card.provenance)
        add(line, kSmall, false, 4);
    return out;
}

QString writeCard(const words::ConversionCard& card, const QString& path) {
    const QPageLayout layout(QPageSize(QPageSize::A5), QPageLayout::Portrait,
                             QMarginsF(kMarginMm, kMarginMm, kMarginMm, kMarginMm),
                             QPageLayout::Millimeter);
    return writePdfPage(path, layout, toQt(card.recipe + " – " + card.target), kSteps,
                        [&](QTextDocument& text, int step) {
                            text.setHtml(cardHtml(card, kLargest - step * kStep));
                        });
}

} // namespace dynamet::app
