// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/top_bar.h"

#include "app/look/ink_icon.h"
#include "app/widgets/quantity_kinds.h"

#include <QFileInfo>
#include <QHBoxLayout>

namespace dynamet::app {

TopBar::TopBar(Document& document, Commands& commands, QWidget* parent)
    : QWidget(parent), document_(document), commands_(commands), book_(new QPushButton),
      site_(new ElidedLabel), places_(new QButtonGroup(this)), units_(new QPushButton),
      undo_(new QToolButton), redo_(new QToolButton), menu_(new QToolButton) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setFixedHeight(48);
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(14, 0, 10, 0);
    line->setSpacing(10);
    book_->setObjectName(QStringLiteral("place"));
    book_->setAccessibleName(QStringLiteral("Book"));
    book_->setMaximumWidth(200);
    follow(*book_, commands_.action(Commands::openBook));
    site_->setObjectName(QStringLiteral("quiet"));
    site_->setAccessibleName(QStringLiteral("Site"));
    line->addWidget(book_);
    line->addSpacing(8);
    int index = 0;
    for (const QString& name :
         {QStringLiteral("Rate"), QStringLiteral("Translate"), QStringLiteral("Plan"),
          QStringLiteral("Cook"), QStringLiteral("Compare"), QStringLiteral("Kitchen")}) {
        auto* button = new QPushButton(name);
        button->setObjectName(QStringLiteral("place"));
        button->setCheckable(true);
        button->setAccessibleName(QStringLiteral("Workspace %1").arg(name));
        follow(*button, commands_.action(static_cast<Commands::Command>(index)));
        places_->addButton(button, index++);
        line->addWidget(button);
    }
    line->addStretch();
    line->addWidget(site_);
    units_->setAccessibleName(QStringLiteral("Switch units"));
    follow(*units_, commands_.action(Commands::switchUnits));
    line->addWidget(units_);
    for (const auto& [button, icon, name] :
         {std::tuple{undo_, ":/look/icons/undo.svg", QStringLiteral("Undo")},
          {redo_, ":/look/icons/redo.svg", QStringLiteral("Redo")}}) {
        button->setIcon(look::inkIcon(QString::fromLatin1(icon)));
        button->setIconSize({22, 22});
        button->setFixedSize(40, 40);
        button->setAccessibleName(name);
        line->addWidget(button);
    }
    follow(*undo_, commands_.action(Commands::undo));
    follow(*redo_, commands_.action(Commands::redo));
    menu_->setText(QStringLiteral("Menu"));
    menu_->setObjectName(QStringLiteral("menuButton"));
    menu_->setAccessibleName(QStringLiteral("Menu"));
    menu_->setMenu(&commands_.menu());
    menu_->setPopupMode(QToolButton::InstantPopup);
    line->addWidget(menu_);
    connect(&document_, &Document::changed, this, &TopBar::refresh);
    connect(&document_, &Document::unitsChanged, this, &TopBar::refresh);
    refresh();
}

/// A button of a command: what it does, whether it can be pressed and what it says of itself.
void TopBar::follow(QAbstractButton& button, QAction& action) {
    connect(&button, &QAbstractButton::clicked, &action, &QAction::trigger);
    const auto copy = [&button, &action] {
        button.setEnabled(action.isEnabled());
        const QString keys = action.shortcut().toString(QKeySequence::NativeText);
        button.setToolTip(keys.isEmpty() ? action.text()
                                         : QStringLiteral("%1  (%2)").arg(action.text(), keys));
    };
    connect(&action, &QAction::changed, &button, copy);
    copy();
}

void TopBar::setSite(const std::string& siteId) {
    siteId_ = siteId;
    refresh();
}

void TopBar::setWorkspace(int index) {
    places_->setExclusive(false); // the logbook has no button of its own
    for (QAbstractButton* button : places_->buttons())
        button->setChecked(places_->id(button) == index);
    places_->setExclusive(index < static_cast<int>(places_->buttons().size()));
}

void TopBar::refresh() {
    const bool open = document_.isOpen();
    const Units& units = document_.units();
    units_->setText((units.fahrenheit ? QStringLiteral("°F · in") : QStringLiteral("°C · mm")) +
                    (units.gasMarks ? QStringLiteral(" · gas") : QString()));
    const QString name = open ? QFileInfo(toQt(document_.book().path())).completeBaseName()
                              : QStringLiteral("Dynamet");
    book_->setText(book_->fontMetrics().elidedText(name, Qt::ElideRight, 150));
    const kitchen::Site* site = open ? findSite(document_.kitchen(), siteId_) : nullptr;
    if (!site && open && !document_.kitchen().sites.empty())
        site = &document_.kitchen().sites.front();
    site_->setText(
        site ? QStringLiteral("%1 · %2 · water boils at %3")
                   .arg(toQt(site->name), kinds::height(document_.units()).show(site->altitudeM),
                        toQt(printFixed(
                            numberIn(boilingPointAt(*site), document_.units().temperature()), 1)) +
                            QStringLiteral(" ") +
                            QString::fromUtf8(unitSign(document_.units().temperature())))
             : QString());
}

} // namespace dynamet::app
