// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/translate_controller.h"

#include "formats/snapshot_json.h"

#include <nlohmann/json.hpp>

namespace dynamet::app {
namespace {
constexpr int kCoalesceMs = 12; // a slider sends faster than that
} // namespace

TranslateController::TranslateController(Document& document, RowsModel& rows, RequestOf request,
                                         OpenTarget open, QObject* parent)
    : QObject(parent), document_(document), rows_(rows), request_(std::move(request)),
      open_(std::move(open)) {
    asked_.setSingleShot(true);
    asked_.setInterval(kCoalesceMs);
    connect(&asked_, &QTimer::timeout, this, &TranslateController::ask);
    connect(&worker_, &TranslationWorker::preparedReady, this, [this] {
        const auto& made = *worker_.prepared();
        if (!made.request.writtenPiece)
            believed_ = std::make_shared<const translate::Believed>(translate::Believed{
                made.request.recipe.id, made.ofOthers, made.belief, made.ownTime});
        rows_.begin(worker_.prepared());
        emit prepared(*worker_.prepared());
        emit progressed(0, worker_.total());
    });
    connect(&document_, &Document::changed, this, [this] { believed_.reset(); });
    connect(&worker_, &TranslationWorker::failed, this, &TranslateController::failed);
    connect(&worker_, &TranslationWorker::rowReady, this,
            [this](const translate::Row& row, bool complete) {
                rows_.take(row, complete);
                emit progressed(worker_.done(), worker_.total());
                emit rowChanged(row);
            });
    connect(&worker_, &TranslationWorker::finished, this, [this] {
        rows_.rank();
        emit progressed(worker_.done(), worker_.total());
    });
    connect(&worker_, &TranslationWorker::detailReady, this, &TranslateController::detailed);
    connect(&worker_, &TranslationWorker::triedReady, this, &TranslateController::tried);
}

void TranslateController::activate() {
    if (!std::exchange(active_, true))
        asked_.start();
}

void TranslateController::askSoon() {
    if (active_)
        asked_.start();
}

void TranslateController::askDetail(const translate::Row& row) {
    worker_.askDetail(row);
}

void TranslateController::askTried(const translate::Row& row, const translate::Tried& tried) {
    worker_.askTried(row, tried);
}

void TranslateController::ask() {
    auto request = request_();
    if (!request) {
        worker_.cancel();
        emit nothingWritten();
        return;
    }
    if (request->writtenPiece)
        request->believed = believed_;
    std::vector<HeldRow> first;
    if (const auto open = open_()) {
        first.push_back({*open});
        for (const translate::Row& row : rows_.rows())
            if (row.target == *open && row.reached)
                first.back() = {*open, row.instruction.setting, row.instruction.stageS,
                                row.outcome.pullS - row.outcome.lastStartS};
    }
    worker_.start(*request, first);
}

void TranslateController::keep(const recipe::Recipe* recipe) {
    if (!recipe || !worker_.prepared() || !worker_.isIdle()) {
        document_.say(
            QStringLiteral("The rows are still being computed: keep it when they are done."));
        return;
    }
    const auto done = document_.keepTranslation(
        recipe->id, formats::snapshotJson(*worker_.prepared(), rows_.rows()).dump(),
        worker_.prepared()->request.seed);
    document_.say(done ? QStringLiteral("Kept, with everything it was computed from.")
                       : toQt(done.error(), document_.units()));
}

} // namespace dynamet::app
