// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/kept_picture.h"

#include "app/look/palette.h"
#include "app/widgets/picture_file.h"
#include "app/widgets/save_path_dialog.h"

#include <QApplication>
#include <QContextMenuEvent>
#include <QInputDialog>
#include <QMenu>
#include <QStyleOptionViewItem>
#include <algorithm>

namespace dynamet::app {
namespace {

constexpr char kIsPicture[] = "picture";

bool isPicture(const QWidget& view) {
    return dynamic_cast<const Drawn*>(&view) || view.property(kIsPicture).toBool();
}

QStyleOptionViewItem rowOption(const QAbstractItemView& list, int top, int width) {
    QStyleOptionViewItem option;
    option.state = QStyle::State_Enabled;
    option.font = list.font();
    option.fontMetrics = QFontMetrics(list.font());
    option.rect = QRect(0, top, width, 0);
    return option;
}

QString fileNameOf(const QWidget& view) {
    QString name = view.accessibleName().toLower();
    for (QChar& c : name)
        if (!c.isLetterOrNumber())
            c = u'-';
    return name + QStringLiteral(".svg");
}

} // namespace

void markAsPicture(QWidget& view) {
    view.setProperty(kIsPicture, true);
}

int rowsHeight(const QAbstractItemView& list, int width) {
    int height = 0;
    for (int i = 0; i < list.model()->rowCount(); ++i)
        height += list.itemDelegate()
                      ->sizeHint(rowOption(list, 0, width), list.model()->index(i, 0))
                      .height();
    return height;
}

void drawRows(const QAbstractItemView& list, QPainter& painter, int width) {
    int top = 0;
    for (int i = 0; i < list.model()->rowCount(); ++i) {
        const QModelIndex index = list.model()->index(i, 0);
        QStyleOptionViewItem option = rowOption(list, top, width);
        option.rect.setHeight(list.itemDelegate()->sizeHint(option, index).height());
        list.itemDelegate()->paint(&painter, option, index);
        top += option.rect.height();
    }
}

std::vector<QWidget*> picturesIn(const QWidget& window) {
    std::vector<QWidget*> out;
    for (QWidget* view : window.findChildren<QWidget*>())
        if (view->isVisibleTo(&window) && !view->visibleRegion().isEmpty() && isPicture(*view))
            out.push_back(view);
    const auto area = [](const QWidget* view) { return view->width() * view->height(); };
    std::stable_sort(out.begin(), out.end(),
                     [&](const QWidget* a, const QWidget* b) { return area(a) > area(b); });
    return out;
}

QString writeView(QWidget& view, const QString& path) {
    auto* drawn = dynamic_cast<Drawn*>(&view);
    return writePicture(path, drawn ? drawn->drawnSize() : view.size(), view.accessibleName(),
                        [&](QPainter& painter) {
                            if (drawn)
                                drawn->drawOn(painter);
                            else
                                view.render(&painter, QPoint(), QRegion(), QWidget::RenderFlags());
                        });
}

void keepPicture(Document& document, QWidget* window, QWidget& view) {
    writeAsked(document, window, QStringLiteral("Keep a picture: %1").arg(view.accessibleName()),
               fileNameOf(view), pictureFilter(),
               [&](const QString& path) { return writeView(view, path); });
}

void keepPicture(Document& document, QWidget* window) {
    const auto pictures = picturesIn(*window);
    if (pictures.empty())
        return document.say(QStringLiteral("There is no picture in sight to keep."));
    if (pictures.size() == 1)
        return keepPicture(document, window, *pictures.front());
    QStringList names;
    for (const QWidget* view : pictures)
        names << view->accessibleName();
    bool ok = false;
    const QString name = QInputDialog::getItem(window, QStringLiteral("Keep a picture"),
                                               QStringLiteral("Which one?"), names, 0, false, &ok);
    if (ok && names.contains(name))
        keepPicture(document, window, *pictures[static_cast<std::size_t>(names.indexOf(name))]);
}

PictureMenu::PictureMenu(Document& document, QWidget* window)
    : QObject(window), document_(document), window_(window) {
    qApp->installEventFilter(this);
}

bool PictureMenu::eventFilter(QObject* watched, QEvent* event) {
    auto* view = qobject_cast<QWidget*>(watched);
    if (event->type() != QEvent::ContextMenu || !view || !window_->isAncestorOf(view) ||
        !isPicture(*view))
        return QObject::eventFilter(watched, event);
    QMenu menu;
    menu.setAccessibleName(QStringLiteral("Picture"));
    menu.addAction(QStringLiteral("Keep this picture…"));
    if (menu.exec(static_cast<QContextMenuEvent*>(event)->globalPos()))
        keepPicture(document_, window_, *view);
    return true;
}

} // namespace dynamet::app
