// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/look/ink_icon.h"

#include "app/look/theme.h"

#include <QFile>
#include <QIconEngine>
#include <QPainter>
#include <QSvgRenderer>

namespace dynamet::app::look {
namespace {

class InkEngine : public QIconEngine {
  public:
    explicit InkEngine(QByteArray drawing) : drawing_(std::move(drawing)) {}
    QIconEngine* clone() const override { return new InkEngine(drawing_); }
    void paint(QPainter* painter, const QRect& rect, QIcon::Mode mode, QIcon::State) override {
        QByteArray inked = drawing_;
        const QColor& ink = mode == QIcon::Disabled ? theme().disabled : theme().ink;
        inked.replace("#1b2426", ink.name().toLatin1());
        QSvgRenderer(inked).render(painter, rect);
    }
    QPixmap pixmap(const QSize& size, QIcon::Mode mode, QIcon::State state) override {
        QPixmap out(size);
        out.fill(Qt::transparent);
        QPainter painter(&out);
        paint(&painter, QRect(QPoint(0, 0), size), mode, state);
        return out;
    }

  private:
    QByteArray drawing_;
};

} // namespace

QIcon inkIcon(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? QIcon(new InkEngine(file.readAll())) : QIcon();
}

} // namespace dynamet::app::look
