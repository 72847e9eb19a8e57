// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/text_table.h"
#include "book/bundle/bundle.h"

#include <QCheckBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

namespace dynamet::app {

/// A file of another book: what it would add, what both have and not alike, and whose counts.
/// Nothing is written before "Take in"; a copy of the book as it was is made first.
class TakeInDialog : public QDialog {
    Q_OBJECT
  public:
    explicit TakeInDialog(Document& document, QWidget* parent = nullptr);

  private:
    void look();
    void show(const book::BundleChanges& changes);
    void choose(bool theirs);
    void fillConflicts();
    void takeIn();
    Document& document_;
    QLineEdit* path_;
    QLabel* says_;
    TextTable* conflicts_;
    QPushButton *theirs_, *ours_, *allTheirs_, *take_;
    std::vector<book::BundleConflict> found_;
    std::set<book::ThingRef> chosen_; ///< of theirs
};

} // namespace dynamet::app
