// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/pdf_page.h"

#include "app/look/theme.h"
#include <QAbstractTextDocumentLayout>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QTextDocument>
#include <algorithm>

namespace dynamet::app {

QString writePdfPage(const QString& path, const QPageLayout& layout, const QString& title,
                     int steps, const std::function<void(QTextDocument&, int)>& fill) {
    constexpr int kDpi = 300;
    const look::OnPaper light;
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly))
        return file.errorString();
    {
        QPdfWriter pdf(&file);
        pdf.setResolution(kDpi);
        pdf.setPageLayout(layout);
        pdf.setTitle(title);
        QPainter painter(&pdf);
        if (!painter.isActive())
            return QStringLiteral("no page could be made");
        const QSizeF page(pdf.width(), pdf.height());
        QTextDocument text;
        text.documentLayout()->setPaintDevice(&pdf);
        text.setDocumentMargin(0);
        for (int step = 0; step < steps; ++step) {
            fill(text, step);
            text.setTextWidth(page.width());
            if (text.size().height() <= page.height())
                break;
        }
        if (text.size().height() > page.height())
            text.setPageSize(page);
        const int pages = std::max(1, text.pageCount());
        for (int i = 0; i < pages; ++i) {
            if (i > 0)
                pdf.newPage();
            painter.save();
            painter.translate(0, -i * page.height());
            text.drawContents(&painter, QRectF(QPointF(0, i * page.height()), page));
            painter.restore();
        }
    }
    return file.commit() ? QString() : file.errorString();
}

} // namespace dynamet::app
