// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/translate_page.h"

#include "formats/snapshot_json.h"

#include <QFrame>
#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <nlohmann/json.hpp>

namespace dynamet::app {
namespace {
constexpr int kCoalesceMs = 12; // a slider sends faster than that
constexpr int kOnePaneBelow = 880, kWrittenWidth = 288, kOutcomeWidth = 248;

/// A pane that is higher than the window is scrolled, each on its own.
QScrollArea* scrolled(QWidget* pane) {
    auto* out = new QScrollArea;
    out->setWidgetResizable(true);
    out->setFrameShape(QFrame::NoFrame);
    out->setFocusPolicy(Qt::NoFocus);
    out->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    out->setWidget(pane);
    return out;
}
} // namespace

TranslatePage::TranslatePage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), written_(new WrittenPane(document)),
      outcome_(new OutcomePane(document)), reach_(new ReachPane(document)), tabs_(new QWidget),
      tabGroup_(new QButtonGroup(this)) {
    setProperty("guide", QStringLiteral("translate"));
    buildPanes();
    asked_.setSingleShot(true);
    asked_.setInterval(kCoalesceMs);
    connect(&asked_, &QTimer::timeout, this, &TranslatePage::ask);
    connect(written_, &WrittenPane::changed, this, [this] {
        if (active_)
            asked_.start();
    });
    connect(written_, &WrittenPane::held, this,
            [this](bool down) { reach_->rows().setHeld(down); });
    connect(&worker_, &TranslationWorker::preparedReady, this, [this] {
        outcome_->show(*worker_.prepared());
        reach_->rows().begin(worker_.prepared());
        reach_->showProgress(0, worker_.total());
    });
    connect(&worker_, &TranslationWorker::failed, this, [this](const QString& reason) {
        outcome_->showProblem(tr("! %1").arg(reason));
        reach_->showProblem(tr("Nothing to show: see why in the middle."));
    });
    connect(&worker_, &TranslationWorker::rowReady, this,
            [this](const translate::Row& row, bool complete) {
                reach_->rows().take(row, complete);
                reach_->showProgress(worker_.done(), worker_.total());
                if (reach_->openTarget() == row.target)
                    reach_->refreshOpenRow();
            });
    connect(&worker_, &TranslationWorker::finished, this, [this] {
        reach_->rows().rank();
        reach_->showProgress(worker_.done(), worker_.total());
    });
    connect(reach_, &ReachPane::detailWanted, this, [this](const translate::Row& row) {
        worker_.askDetail(row, document_.units().inches);
    });
    connect(&worker_, &TranslationWorker::detailReady, this,
            [this](const translate::Row& row,
                   const std::shared_ptr<const translate::RowDetail>& detail) {
                reach_->showDetail(row, *detail);
            });
    connect(reach_, &ReachPane::keepWanted, this, &TranslatePage::keep);
}

void TranslatePage::buildPanes() {
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(0, 0, 0, 0);
    outer->setSpacing(1);
    auto* tabLine = new QHBoxLayout(tabs_);
    tabLine->setContentsMargins(8, 4, 8, 4);
    int at = 0;
    for (const QString& name : {tr("Recipe"), tr("Outcome"), tr("Appliances")}) {
        auto* tab = new QPushButton(name);
        tab->setObjectName(QStringLiteral("method"));
        tab->setCheckable(true);
        tab->setChecked(at == 2);
        tab->setAccessibleName(tr("Pane %1").arg(name));
        tabGroup_->addButton(tab, at++);
        tabLine->addWidget(tab);
    }
    tabLine->addStretch();
    connect(tabGroup_, &QButtonGroup::idClicked, this, &TranslatePage::arrange);
    auto* box = new QHBoxLayout;
    box->setSpacing(1);
    writtenArea_ = scrolled(written_);
    outcomeArea_ = scrolled(outcome_);
    box->addWidget(writtenArea_);
    box->addWidget(outcomeArea_);
    box->addWidget(reach_, 1);
    outer->addWidget(tabs_);
    outer->addLayout(box, 1);
}

void TranslatePage::arrange() {
    const bool one = width() < kOnePaneBelow;
    const int at = tabGroup_->checkedId();
    tabs_->setVisible(one);
    writtenArea_->setVisible(!one || at == 0);
    outcomeArea_->setVisible(!one || at == 1);
    reach_->setVisible(!one || at == 2);
    writtenArea_->setMinimumWidth(one ? 0 : kWrittenWidth);
    outcomeArea_->setMinimumWidth(one ? 0 : kOutcomeWidth);
    writtenArea_->setMaximumWidth(one ? QWIDGETSIZE_MAX : kWrittenWidth);
    outcomeArea_->setMaximumWidth(one ? QWIDGETSIZE_MAX : kOutcomeWidth);
}

void TranslatePage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    arrange();
}

void TranslatePage::activate() {
    if (active_)
        return;
    active_ = true;
    asked_.start();
}

void TranslatePage::ask() {
    const auto request = written_->request();
    if (!request) {
        worker_.cancel();
        outcome_->showProblem(tr("Write or open a recipe first."));
        reach_->showProblem(QString());
        return;
    }
    std::vector<HeldRow> first;
    if (const auto open = reach_->openTarget()) {
        first.push_back({*open});
        for (const translate::Row& row : reach_->rows().rows())
            if (row.target == *open && row.reached)
                first.back() = {*open, row.instruction.setting, row.instruction.stageS};
    }
    worker_.start(*request, first);
}

void TranslatePage::chooseTarget(const std::string& applianceId) {
    for (int i = 0; i < reach_->rows().rowCount(); ++i)
        if (reach_->rows().item(i).row.target.applianceId == applianceId) {
            reach_->openRow(i);
            return;
        }
}

void TranslatePage::keep() {
    const recipe::Recipe* recipe = written_->recipe();
    if (!recipe || !worker_.prepared() || !worker_.isIdle()) {
        document_.say(tr("The rows are still being computed: keep it when they are done."));
        return;
    }
    const auto done = document_.keepTranslation(
        recipe->id, formats::snapshotJson(*worker_.prepared(), reach_->rows().rows()).dump(),
        worker_.prepared()->request.seed);
    document_.say(done ? tr("Kept, with everything it was computed from.")
                       : toQt(done.error(), document_.units()));
}

} // namespace dynamet::app
