// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/exchange/take_in_dialog.h"

#include "app/widgets/scrolled.h"
#include "book/safety/copies.h"
#include "words/thing_words.h"

#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>
#include <fstream>
#include <map>

namespace dynamet::app {

TakeInDialog::TakeInDialog(Document& document, QWidget* parent)
    : QDialog(parent), document_(document), path_(new QLineEdit), says_(new QLabel),
      conflicts_(new TextTable(QStringLiteral("What both books have and not alike"))),
      theirs_(new QPushButton(QStringLiteral("Take theirs"))),
      ours_(new QPushButton(QStringLiteral("Keep ours"))),
      allTheirs_(new QPushButton(QStringLiteral("All theirs"))),
      take_(new QPushButton(QStringLiteral("Take in"))) {
    setWindowTitle(QStringLiteral("Take in changes"));
    setProperty("guide", QStringLiteral("book"));
    auto* box = new QVBoxLayout(this);
    auto* line = new QHBoxLayout;
    path_->setAccessibleName(QStringLiteral("File to take in"));
    path_->setPlaceholderText(QStringLiteral("a file that another book exported, .json"));
    auto* browse = new QPushButton(QStringLiteral("Browse…"));
    browse->setAutoDefault(false);
    line->addWidget(path_, 1);
    line->addWidget(browse);
    box->addLayout(line);
    says_->setWordWrap(true);
    says_->setAccessibleName(QStringLiteral("What it would change"));
    says_->setText(QStringLiteral("Nothing is changed before you press Take in."));
    box->addWidget(says_);
    box->addWidget(conflicts_, 1);
    auto* sides = new QHBoxLayout;
    for (QPushButton* button : {ours_, theirs_, allTheirs_}) {
        button->setAutoDefault(false);
        sides->addWidget(button);
    }
    sides->addStretch();
    box->addLayout(sides);
    // No default button: Enter after the path looks at the file and takes nothing in.
    auto* cancel = new QPushButton(QStringLiteral("Cancel"));
    take_->setObjectName(QStringLiteral("act"));
    for (QPushButton* button : {take_, cancel})
        button->setAutoDefault(false);
    sides->addWidget(cancel);
    sides->addWidget(take_);
    resizeOnScreen(*this, {860, 460});
    connect(browse, &QPushButton::clicked, this, [this] {
        const QString chosen = QFileDialog::getOpenFileName(
            this, QStringLiteral("A file of another book"), QDir::homePath(),
            QStringLiteral("Open kitchen files (*.json)"));
        if (!chosen.isEmpty()) {
            path_->setText(chosen);
            look();
        }
    });
    connect(path_, &QLineEdit::editingFinished, this, &TakeInDialog::look);
    connect(theirs_, &QPushButton::clicked, this, [this] { choose(true); });
    connect(ours_, &QPushButton::clicked, this, [this] { choose(false); });
    connect(allTheirs_, &QPushButton::clicked, this, [this] {
        for (const auto& one : found_)
            chosen_.insert(one.thing);
        fillConflicts();
    });
    connect(take_, &QPushButton::clicked, this, &TakeInDialog::takeIn);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    show({});
}

void TakeInDialog::look() {
    const QString path = path_->text().trimmed();
    if (path.isEmpty())
        return;
    std::ifstream in(toStd(path));
    if (!in) {
        show({});
        says_->setText(QStringLiteral("! %1 cannot be read.").arg(path));
        return;
    }
    const auto changes = changesIn(document_.book(), in);
    show(changes.value_or(book::BundleChanges{}));
    if (!changes)
        says_->setText(QStringLiteral("! %1").arg(toQt(changes.error(), document_.units())));
}

void TakeInDialog::show(const book::BundleChanges& changes) {
    found_ = changes.conflicts;
    chosen_.clear();
    std::stable_partition(found_.begin(), found_.end(),
                          [](const auto& one) { return !one.onlyTheirs; });
    for (const auto& one : found_)
        if (one.onlyTheirs)
            chosen_.insert(one.thing);
    std::map<std::string, std::size_t> counts;
    for (const auto& [thing, name] : changes.added)
        ++counts[thing.table];
    QStringList of;
    for (const auto& [table, count] : counts)
        of << toQt(words::thingsWords(table, count));
    const bool anything = !changes.added.empty() || !found_.empty();
    QString says =
        QStringLiteral("It adds %1. %2 both books have alike.")
            .arg(of.isEmpty() ? QStringLiteral("nothing") : of.join(QStringLiteral(", ")))
            .arg(changes.same);
    const std::size_t onlyTheirs = chosen_.size(), both = found_.size() - onlyTheirs;
    if (changes.newerHere > 0)
        says += QStringLiteral(" %1 only you changed: they stay.").arg(changes.newerHere);
    if (onlyTheirs > 0)
        says += QStringLiteral(" %1 only they changed: they are taken.").arg(onlyTheirs);
    if (both > 0)
        says += QStringLiteral(" %1 differ: choose whose counts.").arg(both);
    if (anything || changes.same > 0 || changes.newerHere > 0)
        says_->setText(says);
    take_->setEnabled(anything && document_.isWritable());
    fillConflicts();
}

void TakeInDialog::fillConflicts() {
    QVector<QStringList> rows;
    for (const auto& one : found_) {
        QStringList differs;
        for (const std::string& column : one.differs)
            differs << toQt(words::columnWord(column));
        rows.push_back(
            {toQt(one.name), toQt(words::thingWord(one.thing.table)),
             differs.join(QStringLiteral(", ")), toQt(one.ours), toQt(one.theirs),
             chosen_.contains(one.thing) ? QStringLiteral("theirs") : QStringLiteral("ours")});
    }
    const int row = conflicts_->currentRow();
    conflicts_->showRows({QStringLiteral("Name"), QStringLiteral("Kind"),
                          QStringLiteral("What differs"), QStringLiteral("Ours"),
                          QStringLiteral("Theirs"), QStringLiteral("Counts")},
                         rows);
    if (!rows.isEmpty())
        conflicts_->setCurrentRow(std::max(0, row));
    for (QWidget* one : {static_cast<QWidget*>(conflicts_), static_cast<QWidget*>(theirs_),
                         static_cast<QWidget*>(ours_), static_cast<QWidget*>(allTheirs_)})
        one->setEnabled(!found_.empty());
}

void TakeInDialog::choose(bool theirs) {
    const int row = conflicts_->currentRow();
    if (row < 0 || row >= static_cast<int>(found_.size()))
        return;
    const book::ThingRef& thing = found_[static_cast<std::size_t>(row)].thing;
    if (theirs)
        chosen_.insert(thing);
    else
        chosen_.erase(thing);
    fillConflicts();
}

void TakeInDialog::takeIn() {
    const std::string before = book::freeNameBeside(document_.book().path(), "before");
    if (const auto copied = copyBook(document_.book(), before); !copied) {
        says_->setText(QStringLiteral("! No copy from before could be made (%1): nothing was "
                                      "changed.")
                           .arg(toQt(copied.error(), document_.units())));
        return;
    }
    std::ifstream in(toStd(path_->text().trimmed()));
    const auto taken = book::takeIn(document_.book(), in, chosen_);
    if (!taken) {
        QFile::remove(toQt(before));
        says_->setText(QStringLiteral("! %1").arg(toQt(taken.error(), document_.units())));
        return;
    }
    document_.reload();
    document_.say(QStringLiteral("%1 things were added, %2 are theirs now. The book from before is "
                                 "%3.")
                      .arg(taken->added.size())
                      .arg(chosen_.size())
                      .arg(QFileInfo(toQt(before)).fileName()));
    accept();
}

} // namespace dynamet::app
