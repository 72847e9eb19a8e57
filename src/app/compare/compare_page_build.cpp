// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What stands where on the page of several cooks.
#include "app/compare/compare_page.h"
#include "app/widgets/save_path_dialog.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kLeft = 264;

} // namespace

QWidget* ComparePage::buildLeft() {
    auto* left = new QWidget;
    left->setObjectName(QStringLiteral("pane"));
    left->setAttribute(Qt::WA_StyledBackground);
    left->setFixedWidth(kLeft);
    auto* box = new QVBoxLayout(left);
    box->setContentsMargins(12, 10, 12, 10);
    auto* overline = new QLabel(QStringLiteral("COOKS OF ONE DISH, TWO TO FOUR"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    recipe_->setAccessibleName(QStringLiteral("Dish whose cooks are compared"));
    connect(recipe_, &QComboBox::activated, this, [this] {
        chosen_.clear();
        fillCooks();
    });
    box->addWidget(recipe_);
    trial_->setAccessibleName(QStringLiteral("Trial"));
    connect(trial_, &QComboBox::activated, this, [this] {
        chosen_.clear();
        fillCooks();
    });
    box->addWidget(trial_);
    list_->setAccessibleName(QStringLiteral("Cooks to compare"));
    list_->setWordWrap(true);
    connect(list_, &QListWidget::itemChanged, this, &ComparePage::choose);
    connect(list_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) {
        emit judgeWanted(toStd(item->data(Qt::UserRole).toString()));
    });
    box->addWidget(list_, 1);
    blind_->setAccessibleName(QStringLiteral("Blind, letters only"));
    connect(blind_, &QCheckBox::toggled, this, &ComparePage::show);
    box->addWidget(blind_);
    for (const auto& [words, does] :
         {std::pair{QStringLiteral("A new trial…"), &ComparePage::newTrial}}) {
        auto* button = new QPushButton(words);
        button->setAccessibleName(QStringLiteral("Plan a new trial"));
        connect(button, &QPushButton::clicked, this, does);
        box->addWidget(button);
    }
    auto* log = new QPushButton(QStringLiteral("Logbook  (Ctrl+L)"));
    log->setAccessibleName(QStringLiteral("Open the logbook"));
    connect(log, &QPushButton::clicked, this, &ComparePage::logbookWanted);
    box->addWidget(log);
    return left;
}

QWidget* ComparePage::buildRight() {
    right_ = new QWidget;
    right_->setObjectName(QStringLiteral("sheetPane"));
    right_->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(right_);
    box->setContentsMargins(16, 10, 16, 10);
    for (QLabel* label : {says_, confounders_, empty_}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
    }
    empty_->setObjectName(QStringLiteral("sentence"));
    empty_->setAccessibleName(QStringLiteral("How to begin"));
    box->addWidget(empty_);
    says_->setObjectName(QStringLiteral("heading"));
    says_->setAccessibleName(QStringLiteral("What is compared"));
    box->addWidget(says_);
    confounders_->setObjectName(QStringLiteral("caution"));
    confounders_->setAccessibleName(QStringLiteral("What else differed"));
    box->addWidget(confounders_);
    auto* pictures = new QHBoxLayout;
    cuts_->setMinimumHeight(150);
    cuts_->setAccessibleName(QStringLiteral("Cuts beside each other"));
    pictures->addWidget(cuts_, 1);
    plot_->setMinimumHeight(190);
    plot_->setAccessibleName(QStringLiteral("Core of each cook: read, and predicted"));
    pictures->addWidget(plot_, 1);
    box->addLayout(pictures, 2);
    box->addWidget(table_, 2);
    box->addWidget(dots_);
    auto* foot = new QHBoxLayout;
    verdict_->setAccessibleName(QStringLiteral("Verdict of the trial"));
    verdict_->setPlaceholderText(QStringLiteral("Verdict: which, and why"));
    connect(verdict_, &QLineEdit::editingFinished, this, &ComparePage::keepVerdict);
    foot->addWidget(verdict_, 1);
    auto* report = new QPushButton(QStringLiteral("Report…"));
    report->setAccessibleName(QStringLiteral("Write the report"));
    connect(report, &QPushButton::clicked, this, [this] {
        writeAsked(document_, this, QStringLiteral("Report"), title(),
                   QStringLiteral("Page (*.pdf);;Web page (*.html);;Spreadsheet (*.xlsx)"),
                   [this](const QString& path) { return writeReport(path); });
    });
    foot->addWidget(report);
    box->addLayout(foot);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(right_);
    return scroll;
}

} // namespace dynamet::app
