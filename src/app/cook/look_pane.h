// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/cook/cook_desk.h"

#include <QGridLayout>
#include <QLabel>
#include <QPushButton>

namespace dynamet::app {

/// "What do you see?": words to tap, then what can be done about it, the best first.
class LookPane : public QWidget {
    Q_OBJECT
  public:
    LookPane(Document& document, CookDesk& desk, QWidget* parent = nullptr);
    void showDish(std::size_t dish);

  protected:
    void resizeEvent(QResizeEvent* event) override;

  private:
    int across() const;
    void fillSeen();
    void fillActions();
    Document& document_;
    CookDesk& desk_;
    std::size_t dish_ = 0;
    std::string shown_; ///< whose words these are
    QGridLayout* seen_;
    QWidget* seenBox_;
    QLabel* about_;
    std::vector<QPushButton*> actions_;
};

} // namespace dynamet::app
