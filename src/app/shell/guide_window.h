// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <QLineEdit>
#include <QTextBrowser>

namespace dynamet::app {

/// The guide: pages of docs/guide, shipped inside the program. F1 opens the page of what has the
/// focus: the nearest widget up the tree that carries a "guide" property.
class GuideWindow : public QDialog {
    Q_OBJECT
  public:
    explicit GuideWindow(QWidget* parent = nullptr);
    enum class Focus { text, stays };
    void showPage(const QString& page, Focus focus = Focus::text);
    /// "protocols/block", "rate"…; "index" when nothing up the tree names one.
    static QString pageOf(const QWidget* widget);
    /// Of what is shown inside it.
    static QString pageIn(const QWidget* widget);

  private:
    /// The pages that have all of these words.
    void search(const QString& words);
    QTextBrowser* text_;
    QLineEdit* search_;
};

} // namespace dynamet::app
