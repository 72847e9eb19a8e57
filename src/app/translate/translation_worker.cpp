// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/translation_worker.h"

#include "app/document/qt_text.h"

#include <algorithm>

namespace dynamet::app {

TranslationWorker::TranslationWorker(QObject* parent) : QObject(parent) {}

TranslationWorker::~TranslationWorker() {
    cancel();
    beside_.finish();
}

void TranslationWorker::cancel() {
    stop_.request_stop();
    triedStop_.request_stop();
    beside_.clear();
    ++id_;
    ++detailId_;
    ++triedId_;
    triedPending_ = false;
    pending_ = 0;
    detailPending_ = false;
}

void TranslationWorker::askTried(const translate::Row& row, const translate::Tried& tried) {
    if (!prepared_)
        return;
    triedStop_.request_stop();
    triedStop_ = std::stop_source();
    triedPending_ = true;
    const quint64 id = ++triedId_;
    beside_.start(
        [this, id, row, tried, prepared = prepared_, stop = triedStop_.get_token()] {
            translate::Row is = rowTried(*prepared, row, tried, stop);
            auto detail = std::make_shared<translate::RowDetail>();
            if (is.reached)
                if (auto outcome = fullOutcome(*prepared, is, stop))
                    detail->outcome = std::move(*outcome);
            const auto answer = [&](bool last) {
                beside_.hand([this, id, is, last,
                              detail = std::shared_ptr<const translate::RowDetail>(detail)] {
                    if (id != triedId_)
                        return;
                    triedPending_ = triedPending_ && !last;
                    emit triedReady(is, detail);
                });
            };
            if (stop.stop_requested())
                return;
            answer(false);
            addWindow(*prepared, is, stop);
            if (!stop.stop_requested())
                answer(true);
        },
        2); // before all else: a hand is on it
}

void TranslationWorker::askDetail(const translate::Row& row) {
    if (!prepared_)
        return;
    detailPending_ = true;
    const quint64 id = ++detailId_;
    // Before the rows that still wait: somebody is looking at this one.
    beside_.start(
        [this, id, row, prepared = prepared_, stop = stop_.get_token()] {
            auto detail = std::make_shared<const translate::RowDetail>(
                translate::detailOf(*prepared, row, stop));
            beside_.hand([this, id, row, detail] {
                if (id != detailId_)
                    return;
                emit detailReady(row, detail);
            });
            auto more = std::make_shared<translate::RowDetail>(*detail);
            if (!stop.stop_requested() && row.reached && !prepared->request.moved)
                more->ways = translate::waysOn(*prepared, row, 3, stop);
            beside_.hand([this, id, row, more] {
                if (id != detailId_)
                    return;
                detailPending_ = false;
                emit detailReady(row, more);
            });
        },
        1);
}

void TranslationWorker::start(const translate::Request& request,
                              const std::vector<HeldRow>& first) {
    cancel();
    stop_ = std::stop_source();
    prepared_.reset();
    total_ = pending_ = 1;
    const quint64 id = id_;
    beside_.start([this, id, request, first, stop = stop_.get_token()] {
        auto prepared = translate::prepare(request, stop);
        if (!prepared) {
            beside_.hand([this, id, reason = toQt(prepared.error(), request.units)] {
                if (id != id_)
                    return;
                pending_ = 0;
                emit failed(reason);
            });
            return;
        }
        auto shared = std::make_shared<const translate::Prepared>(std::move(*prepared));
        beside_.hand([this, id, shared, first] { takePrepared(id, shared, first); });
    });
}

void TranslationWorker::takePrepared(quint64 id, const PreparedPointer& prepared,
                                     const std::vector<HeldRow>& first) {
    if (id != id_)
        return;
    prepared_ = prepared;
    std::vector<translate::Target> order = prepared->targets;
    std::stable_sort(order.begin(), order.end(), [&](const auto& a, const auto& b) {
        const auto early = [&](const auto& t) {
            return std::any_of(first.begin(), first.end(),
                               [&](const HeldRow& row) { return row.target == t; });
        };
        return early(a) && !early(b);
    });
    total_ = pending_ = static_cast<int>(order.size());
    emit preparedReady();
    for (const HeldRow& row : first) // before any search: what it does at the setting it has now
        if (!row.setting.values.empty())
            beside_.start([this, id, prepared, row, stop = stop_.get_token()] {
                const translate::Row quick =
                    solveRowAt(*prepared, row.target, row.setting, row.stageS, stop, row.guessS);
                if (!stop.stop_requested())
                    beside_.hand([this, id, quick] { takeRow(id, quick, false); });
            });
    for (const translate::Target& target : order) {
        beside_.start([this, id, prepared, target, stop = stop_.get_token()] {
            translate::Row row = translate::solveRow(*prepared, target, stop);
            if (stop.stop_requested())
                return;
            beside_.hand([this, id, row] { takeRow(id, row, false); });
            translate::addWindow(*prepared, row, stop);
            if (!stop.stop_requested())
                beside_.hand([this, id, row] { takeRow(id, row, true); });
        });
    }
}

void TranslationWorker::takeRow(quint64 id, const translate::Row& row, bool complete) {
    if (id != id_)
        return;
    pending_ -= complete ? 1 : 0;
    emit rowReady(row, complete);
    if (pending_ == 0)
        emit finished();
}

} // namespace dynamet::app
