// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/top_bar.h"

#include "app/widgets/quantity_kinds.h"

#include <QFileInfo>
#include <QHBoxLayout>

namespace dynamet::app {

TopBar::TopBar(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), book_(new QPushButton), site_(new ElidedLabel),
      places_(new QButtonGroup(this)), units_(new QPushButton), undo_(new QToolButton),
      redo_(new QToolButton) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setFixedHeight(48);
    auto* line = new QHBoxLayout(this);
    line->setContentsMargins(14, 0, 10, 0);
    line->setSpacing(10);
    book_->setObjectName(QStringLiteral("place"));
    book_->setAccessibleName(tr("Book"));
    book_->setToolTip(tr("Open another book, or begin a new one"));
    book_->setMaximumWidth(200);
    connect(book_, &QPushButton::clicked, this, &TopBar::booksWanted);
    site_->setObjectName(QStringLiteral("quiet"));
    site_->setAccessibleName(tr("Site"));
    line->addWidget(book_);
    line->addSpacing(8);
    int index = 0;
    for (const QString& name : {tr("Rate"), tr("Translate"), tr("Kitchen")}) {
        auto* button = new QPushButton(name);
        button->setObjectName(QStringLiteral("place"));
        button->setCheckable(true);
        button->setAccessibleName(tr("Workspace %1").arg(name));
        button->setToolTip(index == 2 ? tr("Ctrl+K") : tr("Ctrl+%1").arg(index + 1));
        places_->addButton(button, index++);
        line->addWidget(button);
    }
    line->addStretch();
    line->addWidget(site_);
    units_->setAccessibleName(tr("Switch units"));
    units_->setToolTip(tr("Switch between °C, mm and °F, inches"));
    connect(units_, &QPushButton::clicked, this, [this] {
        const bool imperial = !document_.units().fahrenheit;
        document_.setUnits({imperial, imperial});
    });
    line->addWidget(units_);
    for (const auto& [button, icon, name] : {std::tuple{undo_, ":/look/icons/undo.svg", tr("Undo")},
                                             {redo_, ":/look/icons/redo.svg", tr("Redo")}}) {
        button->setIcon(QIcon(QString::fromLatin1(icon)));
        button->setIconSize({22, 22});
        button->setFixedSize(40, 40);
        button->setAccessibleName(name);
        line->addWidget(button);
    }
    connect(undo_, &QToolButton::clicked, &document_, &Document::undo);
    connect(redo_, &QToolButton::clicked, &document_, &Document::redo);
    connect(places_, &QButtonGroup::idClicked, this, &TopBar::workspaceChosen);
    connect(&document_, &Document::changed, this, &TopBar::refresh);
    connect(&document_, &Document::unitsChanged, this, &TopBar::refresh);
    connect(&document_.undoStack(), &QUndoStack::indexChanged, this, &TopBar::refresh);
    refresh();
}

void TopBar::setSite(const std::string& siteId) {
    siteId_ = siteId;
    refresh();
}

void TopBar::setWorkspace(int index) {
    if (auto* button = places_->button(index))
        button->setChecked(true);
}

void TopBar::refresh() {
    const bool open = document_.isOpen();
    for (QAbstractButton* button : places_->buttons())
        button->setEnabled(open);
    units_->setText(document_.units().fahrenheit ? tr("°F · in") : tr("°C · mm"));
    const QUndoStack& stack = document_.undoStack();
    undo_->setEnabled(stack.canUndo());
    redo_->setEnabled(stack.canRedo());
    undo_->setToolTip(stack.canUndo() ? tr("Undo %1  (Ctrl+Z)").arg(stack.undoText())
                                      : tr("Nothing to undo"));
    redo_->setToolTip(stack.canRedo() ? tr("Redo %1  (Ctrl+Shift+Z)").arg(stack.redoText())
                                      : tr("Nothing to redo"));
    const QString name =
        open ? QFileInfo(text(document_.book().path())).completeBaseName() : tr("Dynamet");
    book_->setText(book_->fontMetrics().elidedText(name, Qt::ElideRight, 150));
    book_->setEnabled(open);
    const kitchen::Site* site = open ? findSite(document_.kitchen(), siteId_) : nullptr;
    if (!site && open && !document_.kitchen().sites.empty())
        site = &document_.kitchen().sites.front();
    site_->setText(
        site ? tr("%1 · %2 · water boils at %3")
                   .arg(text(site->name), kinds::height(document_.units()).show(site->altitudeM),
                        text(printFixed(
                            numberIn(boilingPointAt(*site), document_.units().temperature()), 1)) +
                            QStringLiteral(" ") +
                            QString::fromUtf8(unitSign(document_.units().temperature())))
             : QString());
}

} // namespace dynamet::app
