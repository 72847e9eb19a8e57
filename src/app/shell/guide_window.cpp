// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/guide_window.h"

#include "app/document/qt_text.h"
#include "app/widgets/scrolled.h"
#include "rating/inputs/guide_text.h"
#include "rating/inputs/protocols.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <string_view>

namespace dynamet::data {
extern const std::string_view guide_pages;
}

namespace dynamet::app {
namespace {

QString pageText(const QString& page) {
    if (page.startsWith(QLatin1String("protocols/")))
        return toQt(rating::guidePage(toStd(page.mid(10))));
    return toQt(rating::pageIn(data::guide_pages, toStd(page)));
}

} // namespace

GuideWindow::GuideWindow(QWidget* parent)
    : QDialog(parent), text_(new QTextBrowser), search_(new QLineEdit) {
    setWindowTitle(QStringLiteral("Guide"));
    resizeOnScreen(*this, {640, 640});
    auto* box = new QVBoxLayout(this);
    text_->setAccessibleName(QStringLiteral("Guide page"));
    text_->setOpenLinks(false);
    connect(text_, &QTextBrowser::anchorClicked, this, [this](const QUrl& url) {
        QString page = url.toString();
        if (page.endsWith(QLatin1String(".md")))
            page.chop(3);
        showPage(page);
    });
    text_->setSearchPaths({QStringLiteral(":/look/guide")});
    search_->setAccessibleName(QStringLiteral("Search the guide"));
    search_->setPlaceholderText(QStringLiteral("Search the guide"));
    search_->setClearButtonEnabled(true);
    connect(search_, &QLineEdit::textChanged, this, &GuideWindow::search);
    box->addWidget(search_);
    box->addWidget(text_, 1);
    auto* line = new QHBoxLayout;
    auto* all = new QPushButton(QStringLiteral("All pages"));
    all->setAccessibleName(QStringLiteral("All pages of the guide"));
    auto* close = new QPushButton(QStringLiteral("Close  (Esc)"));
    connect(all, &QPushButton::clicked, this, [this] { showPage(QStringLiteral("index")); });
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    line->addWidget(all);
    line->addStretch();
    line->addWidget(close);
    box->addLayout(line);
}

void GuideWindow::search(const QString& words) {
    if (words.trimmed().isEmpty())
        return showPage(QStringLiteral("index"), Focus::stays);
    auto pages = rating::pagesIn(data::guide_pages);
    for (auto& page : rating::protocolPages())
        pages.push_back(std::move(page));
    QString list = QStringLiteral("# Pages about “%1”\n\n").arg(words.toHtmlEscaped());
    const auto found = rating::pagesAbout(std::move(pages), toStd(words));
    for (const auto& page : found) {
        const QString title = toQt(page.text).section(QLatin1Char('\n'), 0, 0).mid(2);
        list += QStringLiteral("- [%1](%2.md)\n").arg(title, toQt(page.name));
    }
    if (found.empty())
        list += QStringLiteral("No page has all of these words.\n");
    text_->setMarkdown(list);
}

void GuideWindow::showPage(const QString& page, Focus focus) {
    const QString found = pageText(page);
    text_->setMarkdown(
        found.isEmpty()
            ? QStringLiteral("# No such page\n\nThe guide has no page \"%1\".").arg(page)
            : found);
    if (focus == Focus::text)
        text_->setFocus();
}

QString GuideWindow::pageIn(const QWidget* widget) {
    for (const QWidget* at : widget->findChildren<QWidget*>())
        if (at->isVisible() && !at->property("guide").toString().isEmpty())
            return at->property("guide").toString();
    return pageOf(widget);
}

QString GuideWindow::pageOf(const QWidget* widget) {
    for (const QWidget* at = widget; at; at = at->parentWidget())
        if (const QString page = at->property("guide").toString(); !page.isEmpty())
            return page;
    return QStringLiteral("index");
}

} // namespace dynamet::app
