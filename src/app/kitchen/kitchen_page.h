// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/kitchen/kitchen_controller.h"
#include "app/widgets/text_table.h"

#include <QButtonGroup>
#include <QCheckBox>
#include <QLabel>
#include <QPushButton>

namespace dynamet::app {

/// Kitchen: everything that the book knows of a kitchen, by kind: add, change, make another like
/// it, retire, bring back.
class KitchenPage : public QWidget {
    Q_OBJECT
  public:
    explicit KitchenPage(Document& document, QWidget* parent = nullptr);
    void showSection(int section);
    void refresh();

  signals:
    void applianceAdded(const std::string& id);
    void recipeWanted(const std::string& id);

  private:
    using Thing = KitchenController::Thing;
    QWidget* buildActions();
    void enableActions();
    const Thing* chosen() const;
    void add();
    void change(bool asNew);
    void retireOrBringBack();
    void openChosen();
    template <class Dialog, class Value>
    void edit(const std::vector<Value>& all, bool asNew);
    template <class Dialog, class Value>
    void addNew(const Value& fresh);
    void report(const Result<void>& done);

    Document& document_;
    KitchenController controller_;
    KitchenController::Section section_ = KitchenController::appliances;
    QButtonGroup* sections_;
    QLabel* heading_;
    QLabel* empty_;
    TextTable* table_;
    QCheckBox* withRetired_;
    QPushButton *add_, *change_, *another_, *retire_;
    KitchenController::Listing listing_;
};

} // namespace dynamet::app
