// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/plan/plan_worker.h"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QWidget>

namespace dynamet::app {

/// The menu in hand: which, when, and its dishes, each with its cook, its appliance and what is
/// tight about it.
class MenuPane : public QWidget {
    Q_OBJECT
  public:
    explicit MenuPane(Document& document, QWidget* parent = nullptr);
    /// nullptr where the book has none.
    const plan::Menu* menu() const;
    void chooseMenu(const std::string& id);
    void refresh();
    void showAnswer(const std::shared_ptr<const PlanAnswer>& answer);
    void chooseDish(int dish);
    int currentDish() const { return list_->currentRow(); }

  signals:
    void menuChosen();
    void dishChosen(int dish);

  private:
    void build();
    void newMenu();
    void editMenu();
    void editOn();
    void addDish();
    void editDish();
    void removeDish();
    void unpin();
    void keep(const plan::Menu& changed);
    void fillDishes();
    QString underLine(std::size_t dish) const;
    Document& document_;
    QComboBox* menus_;
    QLabel* when_;
    QListWidget* list_;
    QPushButton *edit_, *remove_, *unpin_, *addDish_, *editMenu_, *on_;
    std::string id_;
    std::shared_ptr<const PlanAnswer> answer_;
};

} // namespace dynamet::app
