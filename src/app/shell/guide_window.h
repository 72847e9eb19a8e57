// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <QTextBrowser>

namespace dynamet::app {

/// The guide: pages of docs/guide, shipped inside the program. F1 opens the page of what has the
/// focus: the nearest widget up the tree that carries a "guide" property.
class GuideWindow : public QDialog {
    Q_OBJECT
  public:
    explicit GuideWindow(QWidget* parent = nullptr);
    void showPage(const QString& page);
    /// "protocols/block", "rate"…; "index" when nothing up the tree names one.
    static QString pageOf(const QWidget* widget);

  private:
    QTextBrowser* text_;
};

} // namespace dynamet::app
