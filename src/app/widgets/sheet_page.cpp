// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/sheet_page.h"

#include "app/document/qt_text.h"
#include "app/widgets/pdf_page.h"
#include "formats/sheet_files.h"
#include "formats/text_file.h"

#include <QTextDocument>

namespace dynamet::app {
namespace {

constexpr double kMarginMm = 10, kLargestPt = 22, kStepPt = 0.5;
constexpr int kSteps = 35;     // down to 5 pt: one sheet holds many columns
constexpr int kListSteps = 25; // down to 10 pt: a list goes on over pages instead
/// So few columns are a list, which stands upright.
constexpr std::size_t kListColumns = 4;

QString writePdf(const words::Sheet& sheet, const QString& path) {
    const bool list = sheet.headers.size() <= kListColumns;
    const QPageLayout layout(
        QPageSize(QPageSize::A4), list ? QPageLayout::Portrait : QPageLayout::Landscape,
        QMarginsF(kMarginMm, kMarginMm, kMarginMm, kMarginMm), QPageLayout::Millimeter);
    const QString html = toQt(formats::sheetHtml(sheet));
    return writePdfPage(path, layout, toQt(sheet.title), list ? kListSteps : kSteps,
                        [&](QTextDocument& text, int step) {
                            QFont font = text.defaultFont();
                            font.setPointSizeF(kLargestPt - step * kStepPt);
                            text.setDefaultFont(font);
                            text.setHtml(html);
                        });
}

} // namespace

QString writeSheet(const words::Sheet& sheet, const QString& path) {
    const QString ending = path.section(QLatin1Char('.'), -1).toLower();
    if (ending == QStringLiteral("pdf"))
        return writePdf(sheet, path);
    if (ending == QStringLiteral("csv")) {
        const auto written = formats::writeTextFile(toStd(path), formats::sheetCsv(sheet));
        return written ? QString() : toQt(written.error().message);
    }
    const Result<void> done = ending == QStringLiteral("xlsx")
                                  ? formats::writeSheetXlsx(sheet, toStd(path))
                                  : formats::writeTextFile(toStd(path), formats::sheetHtml(sheet));
    return done ? QString() : toQt(done.error().message);
}

} // namespace dynamet::app
