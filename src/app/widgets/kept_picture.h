// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <QAbstractItemView>
#include <QPainter>
#include <QWidget>

namespace dynamet::app {

/// A view that is a picture to keep, and draws itself for that: all of it, not what is in sight.
class Drawn {
  public:
    virtual ~Drawn() = default;
    virtual QSize drawnSize() const = 0;
    /// Draws all of it from the painter's origin, in the look that is on.
    virtual void drawOn(QPainter& painter) = 0;
};

/// Says that what the view paints is a picture to keep as it stands.
void markAsPicture(QWidget& view);

/// All rows of a list as its delegate draws them, `width` wide: their common height, and how.
int rowsHeight(const QAbstractItemView& list, int width);
void drawRows(const QAbstractItemView& list, QPainter& painter, int width);

/// The pictures that can be seen in a window now, the largest first.
std::vector<QWidget*> picturesIn(const QWidget& window);
/// Writes one of them; empty when done, else the reason.
QString writeView(QWidget& view, const QString& path);

/// Asks which one, if there are several, and where to; says what became of it.
void keepPicture(Document& document, QWidget* window);
void keepPicture(Document& document, QWidget* window, QWidget& view);

/// A press of the other button, or the menu key, on a picture offers to keep it.
class PictureMenu : public QObject {
    Q_OBJECT
  public:
    PictureMenu(Document& document, QWidget* window);

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    Document& document_;
    QWidget* window_;
};

} // namespace dynamet::app
