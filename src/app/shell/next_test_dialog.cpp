// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/next_test_dialog.h"

#include "app/widgets/scrolled.h"
#include "book/recipe_request.h"
#include "words/evidence_words.h"

#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

NextTestDialog::NextTestDialog(Document& document, QWidget* parent)
    : QDialog(parent), document_(document), says_(new QLabel),
      table_(new TextTable(QStringLiteral("Tests that would narrow windows"))) {
    setWindowTitle(QStringLiteral("What to rate next"));
    setProperty("guide", QStringLiteral("evidence"));
    auto* box = new QVBoxLayout(this);
    says_->setWordWrap(true);
    says_->setAccessibleName(QStringLiteral("What to rate next"));
    box->addWidget(says_);
    box->addWidget(table_, 1);
    auto* close = new QPushButton(QStringLiteral("Close"));
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    box->addWidget(close, 0, Qt::AlignRight);
    resizeOnScreen(*this, {820, 420});
    work();
}

NextTestDialog::~NextTestDialog() {
    stop_.request_stop();
    beside_.finish();
}

void NextTestDialog::work() {
    const auto requests =
        book::requestsOf(document_.recipes(), document_.kitchen(), document_.choices());
    if (requests.empty()) {
        says_->setText(
            QStringLiteral("There is no recipe yet: a test is worth what it does for one."));
        return;
    }
    const auto total = requests.size();
    says_->setText(QStringLiteral("Working it out for %1 recipes…").arg(total));
    beside_.start([this, requests, stop = stop_.get_token(), total] {
        const auto tests = translate::nextTests(requests, stop, [this, total](int done) {
            beside_.hand([this, done, total] {
                says_->setText(QStringLiteral("%1 of %2 recipes…").arg(done).arg(total));
            });
        });
        if (stop.stop_requested())
            return;
        beside_.hand([this, tests] {
            QVector<QStringList> rows;
            for (const translate::NextTest& one : tests)
                rows.push_back(
                    {toQt(words::nextTestWords(one, document_.kitchen(), document_.units()))});
            table_->showRows({QStringLiteral("Rate, most for the minute of work first")}, rows);
            says_->setText(rows.isEmpty()
                               ? QStringLiteral("No test would narrow a window of these recipes.")
                               : QStringLiteral("Next best: %1.").arg(rows.front().front()));
        });
    });
}

} // namespace dynamet::app
