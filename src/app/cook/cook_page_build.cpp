// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// What stands where on the page of a run.
#include "app/cook/cook_keys.h"
#include "app/cook/cook_page.h"
#include "app/look/palette.h"

#include <QHBoxLayout>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kKeyHigh = look::kRunTarget, kBigHigh = 72, kSide = 392, kNarrowSide = 300;

} // namespace

QWidget* CookPage::buildEmpty() {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("pane"));
    page->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(48, 64, 48, 48);
    auto* words = new QLabel(QStringLiteral("Nothing is cooking."));
    words->setObjectName(QStringLiteral("readout"));
    box->addWidget(words);
    auto* how = new QLabel(QStringLiteral(
        "Open a row in Translate and press “Cook this”, or make a plan and press “Cook the menu”. "
        "From then on this page says what to do next, keeps the clocks, and asks for a core now "
        "and then."));
    how->setObjectName(QStringLiteral("sentence"));
    how->setWordWrap(true);
    box->addWidget(how);
    auto* go = new QPushButton(QStringLiteral("Choose something to cook"));
    go->setObjectName(QStringLiteral("act"));
    go->setAccessibleName(QStringLiteral("Choose something to cook"));
    connect(go, &QPushButton::clicked, this, &CookPage::translateWanted);
    box->addWidget(go, 0, Qt::AlignLeft);
    box->addStretch();
    return page;
}

QWidget* CookPage::buildRun() {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("pane"));
    page->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(20, 10, 20, 10);
    box->setSpacing(6);
    stripLine_->setContentsMargins(0, 0, 0, 0);
    stripLine_->setSpacing(4);
    box->addWidget(strip_);
    for (QLabel* label :
         {headline_, window_, clocks_, forecast_, next_, cautions_, problem_, log_, signs_}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
    }
    headline_->setAccessibleName(QStringLiteral("What to do next"));
    window_->setObjectName(QStringLiteral("readout"));
    window_->setAccessibleName(QStringLiteral("When"));
    box->addWidget(headline_);
    box->addWidget(window_);
    cautions_->setObjectName(QStringLiteral("caution"));
    cautions_->setAccessibleName(QStringLiteral("Cautions"));
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong"));
    box->addWidget(cautions_);
    box->addWidget(problem_);
    auto* line = new QHBoxLayout;
    line->setSpacing(20);
    auto* left = new QVBoxLayout;
    clocks_->setAccessibleName(QStringLiteral("Clocks"));
    clocks_->setObjectName(QStringLiteral("sentence"));
    left->addWidget(clocks_);
    forecast_->setObjectName(QStringLiteral("sentence"));
    forecast_->setAccessibleName(QStringLiteral("Forecast"));
    left->addWidget(forecast_);
    signs_->setObjectName(QStringLiteral("quiet"));
    signs_->setAccessibleName(QStringLiteral("Signs without a probe"));
    left->addWidget(signs_);
    left->addWidget(plot_, 1);
    line->addLayout(left, 5);
    line->addWidget(buildSide(), 3);
    box->addLayout(line, 1);
    next_->setObjectName(QStringLiteral("sentence"));
    next_->setAccessibleName(QStringLiteral("After that"));
    box->addWidget(next_);
    log_->setObjectName(QStringLiteral("quiet"));
    log_->setAccessibleName(QStringLiteral("Done so far"));
    box->addWidget(log_);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(page);
    auto* all = new QWidget; // the keys stay in sight, whatever is above them
    all->setObjectName(QStringLiteral("pane"));
    all->setAttribute(Qt::WA_StyledBackground);
    auto* both = new QVBoxLayout(all);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(0);
    both->addWidget(scroll, 1);
    QWidget* keys = buildKeys();
    keys->setContentsMargins(20, 4, 20, 10);
    both->addWidget(keys);
    return all;
}

QWidget* CookPage::buildSide() {
    auto* side = new QWidget;
    side->setMinimumWidth(kNarrowSide);
    side->setMaximumWidth(kSide);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    auto* read = new QHBoxLayout;
    auto* label = new QLabel(QStringLiteral("Core reads"));
    core_->setMaximumWidth(130);
    auto* take = new QPushButton(QStringLiteral("Take it"));
    take->setAccessibleName(QStringLiteral("Take the core"));
    connect(take, &QPushButton::clicked, this, &CookPage::typeCore);
    connect(&core_->edit(), &QLineEdit::returnPressed, this, &CookPage::typeCore);
    read->addWidget(label);
    read->addWidget(core_);
    read->addWidget(take);
    read->addStretch();
    box->addLayout(read);
    auto* line = new QHBoxLayout;
    line->addWidget(new QLabel(QStringLiteral("Probe")));
    probe_->setAccessibleName(QStringLiteral("Probe in the core"));
    connect(probe_, &QComboBox::activated, this, [this](int at) {
        const auto channels = lines_.channels();
        desk_.setProbe(chosen_, at > 0 && static_cast<std::size_t>(at) <= channels.size()
                                    ? std::optional(channels[static_cast<std::size_t>(at - 1)].id)
                                    : std::nullopt);
    });
    line->addWidget(probe_, 1);
    auto* trust = new QPushButton(QStringLiteral("Sits again"));
    trust->setAccessibleName(QStringLiteral("The probe sits right again"));
    connect(trust, &QPushButton::clicked, this, [this] { log(run::What::probeOut, 1); });
    line->addWidget(trust);
    box->addLayout(line);
    auto* looks = new QScrollArea;
    looks->setWidgetResizable(true);
    looks->setFrameShape(QFrame::NoFrame);
    looks->setFocusPolicy(Qt::NoFocus);
    looks->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    looks->setWidget(look_);
    looks->viewport()->setAutoFillBackground(false);
    look_->setAutoFillBackground(false);
    box->addWidget(looks, 1);
    return side;
}

QWidget* CookPage::buildKeys() {
    keys_ = new QWidget;
    auto* box = new QVBoxLayout(keys_);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    keyGrid_ = new QGridLayout;
    keyGrid_->setSpacing(4);
    for (const CookKey& key : kCookKeys) {
        auto* button = new QPushButton(QString::fromUtf8(key.words));
        button->setFocusPolicy(Qt::NoFocus);
        button->setAccessibleName(QString::fromUtf8(key.words).section(QStringLiteral("  "), 0, 0));
        connect(button, &QPushButton::clicked, this, [this, key] { logWith(key.what); });
        keyButtons_.push_back(button);
    }
    layKeys();
    box->addLayout(keyGrid_);
    auto* last = new QHBoxLayout;
    done_->setObjectName(QStringLiteral("act"));
    done_->setMinimumHeight(kBigHigh);
    done_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    done_->setAccessibleName(QStringLiteral("It is done"));
    connect(done_, &QPushButton::clicked, this, &CookPage::makeMove);
    last->addWidget(done_, 2);
    later_->setMinimumHeight(kBigHigh);
    later_->setAccessibleName(QStringLiteral("Take back the last entry"));
    connect(later_, &QPushButton::clicked, this, [this] {
        if (const auto back = desk_.takeBack(chosen_); !back)
            document_.say(toQt(back.error(), document_.units()));
    });
    last->addWidget(later_);
    auto* end = new QPushButton(QStringLiteral("End the run…"));
    end->setMinimumHeight(kBigHigh);
    end->setAccessibleName(QStringLiteral("End the run"));
    connect(end, &QPushButton::clicked, this, &CookPage::endRun);
    last->addWidget(end);
    box->addLayout(last);
    return keys_;
}

/// Ten keys in one row; in two where the page is narrow.
void CookPage::layKeys() {
    constexpr int kWide = 1280, kLowKey = 48;
    const bool narrow = window()->width() < kWide; // its own width waits for the keys
    const int across = narrow ? static_cast<int>(keyButtons_.size() + 1) / 2
                              : static_cast<int>(keyButtons_.size());
    if (across == keysAcross_)
        return;
    keysAcross_ = across;
    int at = 0;
    for (QPushButton* button : keyButtons_) {
        keyGrid_->removeWidget(button);
        button->setMinimumHeight(narrow ? kLowKey : kKeyHigh);
        keyGrid_->addWidget(button, at / across, at % across);
        ++at;
    }
}

} // namespace dynamet::app
