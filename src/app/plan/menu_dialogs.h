// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/widgets/form_dialog.h"
#include "plan/menu.h"

#include <QCheckBox>

namespace dynamet::app {

/// A menu: its name, place, cooks, when it is served and from when on there is somebody; how long
/// food may be between cold and hot.
class MenuDialog : public FormDialog {
    Q_OBJECT
  public:
    MenuDialog(Document& document, const plan::Menu& menu, QWidget* parent = nullptr);
    const plan::Menu& menu() const { return menu_; }

  private:
    Result<void> take() override;
    plan::Menu menu_;
    QLineEdit *name_, *cooks_, *serve_, *from_;
    QComboBox* site_;
    QuantityField *cold_, *hot_;
    QLineEdit *warn_, *most_;
};

/// A dish of a menu: what, how many, who, where, and how far from the serving it may come.
class DishDialog : public FormDialog {
    Q_OBJECT
  public:
    DishDialog(Document& document, const plan::Menu& menu, const plan::MenuDish& dish,
               QWidget* parent = nullptr);
    const plan::MenuDish& dish() const { return dish_; }

  private:
    Result<void> take() override;
    /// Places of the menu's site, then the rows of the recipe's kept translations.
    void fillPlaces();
    void addPlaces();
    void addKept();
    const plan::Menu menu_;
    plan::MenuDish dish_;
    QComboBox *recipe_, *cook_, *place_;
    QLineEdit *portions_, *early_, *late_;
    QCheckBox *dried_, *ahead_;
    struct Offer {
        translate::Target target;
        std::optional<kitchen::Setting> setting;
    };
    std::vector<Offer> places_; ///< as in the list, after "the plan chooses"
};

/// A menu to begin with: no dish yet, this evening, one cook.
plan::Menu beginMenu(const Document& document);

} // namespace dynamet::app
