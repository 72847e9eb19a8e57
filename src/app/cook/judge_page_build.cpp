// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What stands where on the page that asks what came out.
#include "app/cook/judge_page.h"

#include <QFormLayout>
#include <QHeaderView>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kLeft = 340;

} // namespace

void JudgePage::build() {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("pane"));
    page->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(20, 12, 20, 12);
    auto* head = new QHBoxLayout;
    heading_->setObjectName(QStringLiteral("readout"));
    heading_->setAccessibleName(QStringLiteral("What was cooked"));
    heading_->setTextFormat(Qt::PlainText);
    heading_->setWordWrap(true);
    head->addWidget(heading_, 1);
    dishes_->setAccessibleName(QStringLiteral("Dish to judge"));
    connect(dishes_, &QComboBox::activated, this,
            [this] { open(toStd(dishes_->currentData().toString())); });
    head->addWidget(dishes_);
    box->addLayout(head);
    auto* sides = new QHBoxLayout;
    sides->setSpacing(24);
    auto* left = new QWidget;
    left->setFixedWidth(kLeft);
    auto* form = new QFormLayout(left);
    form->setContentsMargins(0, 0, 0, 0);
    form->setRowWrapPolicy(QFormLayout::WrapLongRows);
    const auto row = [&](const QString& name, QWidget* field) {
        field->setAccessibleName(name);
        form->addRow(name, field);
    };
    form->addRow(QStringLiteral("Core as pulled"), core_);
    form->addRow(QStringLiteral("Hottest inside"), peak_);
    form->addRow(QStringLiteral("Weight raw"), raw_);
    form->addRow(QStringLiteral("Weight served"), served_);
    form->addRow(QStringLiteral("Grey rim"), rim_);
    auto* photo = new QPushButton(QStringLiteral("Rim from a photo…"));
    row(QStringLiteral("or measure it"), photo);
    photo->setAccessibleName(QStringLiteral("Measure the rim in a photo"));
    connect(photo, &QPushButton::clicked, this, &JudgePage::rimFromPhoto);
    auto* keep = new QPushButton(QStringLiteral("Keep a photo…"));
    row(QStringLiteral("Photos"), keep);
    keep->setAccessibleName(QStringLiteral("Keep a photo"));
    connect(keep, &QPushButton::clicked, this, &JudgePage::addPhoto);
    photos_->setObjectName(QStringLiteral("quiet"));
    form->addRow(QString(), photos_);
    row(QStringLiteral("Blind label"), label_);
    sides->addWidget(left);
    auto* right = new QVBoxLayout;
    auto* over = new QLabel(QStringLiteral("SCORES, 1 TO 9: A LINE FOR EACH TASTER"));
    over->setObjectName(QStringLiteral("overline"));
    right->addWidget(over);
    qualities_->setAccessibleName(QStringLiteral("What is scored"));
    qualities_->setPlaceholderText(QStringLiteral("What is scored, with commas between"));
    connect(qualities_, &QLineEdit::editingFinished, this, &JudgePage::fillScores);
    right->addWidget(qualities_);
    scores_->setAccessibleName(QStringLiteral("Scores"));
    scores_->verticalHeader()->hide();
    scores_->setMinimumHeight(140);
    right->addWidget(scores_, 1);
    auto* words = new QFormLayout;
    words->setVerticalSpacing(4);
    for (const auto& [name, field] : {std::pair{QStringLiteral("Verdict"), verdict_},
                                      {QStringLiteral("Because"), reason_},
                                      {QStringLiteral("Next time"), next_}}) {
        field->setAccessibleName(name);
        words->addRow(name, field);
    }
    notes_->setAccessibleName(QStringLiteral("Notes"));
    notes_->setMaximumHeight(56);
    words->addRow(QStringLiteral("Notes"), notes_);
    right->addLayout(words);
    sides->addLayout(right, 1);
    box->addLayout(sides, 1);
    auto* learn = new QHBoxLayout;
    auto* says = new QVBoxLayout;
    for (QLabel* label : {told_words_, learned_}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
        says->addWidget(label);
    }
    told_words_->setObjectName(QStringLiteral("sentence"));
    told_words_->setAccessibleName(QStringLiteral("What this cook says"));
    learned_->setObjectName(QStringLiteral("quiet"));
    learned_->setAccessibleName(QStringLiteral("What all cooks have shown"));
    learn->addLayout(says, 1);
    use_->setAccessibleName(QStringLiteral("Learn from this cook"));
    aside_->setAccessibleName(QStringLiteral("Set this cook aside"));
    for (QPushButton* button : {use_, aside_}) {
        button->setCheckable(true);
        button->setObjectName(QStringLiteral("method"));
        learn->addWidget(button, 0, Qt::AlignTop);
    }
    connect(use_, &QPushButton::clicked, this, [this] { accept(true); });
    connect(aside_, &QPushButton::clicked, this, [this] { accept(false); });
    box->addLayout(learn);
    auto* foot = new QHBoxLayout;
    auto* done = new QPushButton(QStringLiteral("Keep"));
    done->setObjectName(QStringLiteral("act"));
    done->setAccessibleName(QStringLiteral("Keep what came out"));
    connect(done, &QPushButton::clicked, this, &JudgePage::save);
    auto* beside = new QPushButton(QStringLiteral("Beside others…"));
    beside->setAccessibleName(QStringLiteral("Compare this cook with others"));
    connect(beside, &QPushButton::clicked, this, [this] { emit compareWanted(cook_.id); });
    auto* close = new QPushButton(QStringLiteral("Close"));
    close->setAccessibleName(QStringLiteral("Close the cook"));
    connect(close, &QPushButton::clicked, this, &JudgePage::closeWanted);
    foot->addStretch();
    foot->addWidget(close);
    foot->addWidget(beside);
    foot->addWidget(done);
    box->addLayout(foot);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(page);
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(scroll);
}

} // namespace dynamet::app
