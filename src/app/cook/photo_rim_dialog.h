// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/quantity_field.h"
#include "run/judged.h"

#include <QDialog>
#include <QLabel>
#include <QPixmap>

namespace dynamet::app {

/// A photo in which four points are clicked: both ends of a length that is known, then both of what
/// is measured.
class PhotoView : public QWidget {
    Q_OBJECT
  public:
    explicit PhotoView(const QPixmap& photo, QWidget* parent = nullptr);
    const std::vector<run::PhotoPoint>& points() const { return points_; }
    void again();

  signals:
    void clicked();

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

  private:
    QPixmap photo_;
    std::vector<run::PhotoPoint> points_;
};

/// The grey rim of a cut from its photo, m.
class PhotoRimDialog : public QDialog {
    Q_OBJECT
  public:
    PhotoRimDialog(const QPixmap& photo, const Units& units, QWidget* parent = nullptr);
    std::optional<double> rimM() const { return rimM_; }

  private:
    void show();
    Units units_;
    PhotoView* view_;
    QLabel* says_;
    QuantityField* known_;
    std::optional<double> rimM_;
};

} // namespace dynamet::app
