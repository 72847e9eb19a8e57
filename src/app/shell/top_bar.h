// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/document.h"
#include "app/widgets/elided_label.h"

#include <QButtonGroup>
#include <QLabel>
#include <QPushButton>
#include <QToolButton>
#include <QWidget>

namespace dynamet::app {

/// The book, the site in hand, the workspaces, units, undo and redo.
class TopBar : public QWidget {
    Q_OBJECT
  public:
    explicit TopBar(Document& document, QWidget* parent = nullptr);
    void setSite(const std::string& siteId);
    void setWorkspace(int index);

  signals:
    void workspaceChosen(int index);
    /// Another book, or a new one.
    void booksWanted();

  private:
    void refresh();
    Document& document_;
    std::string siteId_;
    QPushButton* book_;
    ElidedLabel* site_;
    QButtonGroup* places_;
    QPushButton* units_;
    QToolButton* undo_;
    QToolButton* redo_;
};

} // namespace dynamet::app
