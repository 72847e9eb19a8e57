// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/exchange/copy_keeper.h"

#include "book/safety/copies.h"

namespace dynamet::app {

CopyKeeper::CopyKeeper(Document& document, QObject* parent) : QObject(parent), document_(document) {
    constexpr int kHourMs = 3600000;
    timer_.setInterval(kHourMs);
    connect(&timer_, &QTimer::timeout, this, &CopyKeeper::keep);
    connect(&document_, &Document::opened, this, &CopyKeeper::keep);
    timer_.start();
    keep();
}

void CopyKeeper::keep() {
    if (working_ || !document_.isOpen() || !document_.isWritable())
        return;
    working_ = true;
    beside_.start([this, path = document_.book().path(), now = document_.now()] {
        const auto made = book::copyToday(path, now);
        beside_.hand([this, made] {
            working_ = false;
            if (!made)
                document_.say(toQt(made.error(), document_.units()));
        });
    });
}

} // namespace dynamet::app
