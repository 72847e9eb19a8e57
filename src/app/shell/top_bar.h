// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/shell/commands.h"
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
    TopBar(Document& document, Commands& commands, QWidget* parent = nullptr);
    void setSite(const std::string& siteId);
    void setWorkspace(int index);

  private:
    void refresh();
    void follow(QAbstractButton& button, QAction& action);
    Document& document_;
    Commands& commands_;
    std::string siteId_;
    QPushButton* book_;
    ElidedLabel* site_;
    QButtonGroup* places_;
    QPushButton* units_;
    QToolButton* undo_;
    QToolButton* redo_;
    QToolButton* menu_;
};

} // namespace dynamet::app
