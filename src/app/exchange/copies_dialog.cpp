// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/exchange/copies_dialog.h"

#include "app/widgets/scrolled.h"

#include <QDialogButtonBox>
#include <QFileInfo>
#include <QLocale>
#include <QPushButton>
#include <QVBoxLayout>

namespace dynamet::app {

CopiesDialog::CopiesDialog(Document& document, const QString& bookPath, QWidget* parent)
    : QDialog(parent), document_(document), bookPath_(bookPath), says_(new QLabel),
      table_(new TextTable(QStringLiteral("Copies of the book"))),
      copies_(book::copiesOf(toStd(bookPath))) {
    setWindowTitle(QStringLiteral("Copies of the book"));
    setProperty("guide", QStringLiteral("book"));
    auto* box = new QVBoxLayout(this);
    says_->setWordWrap(true);
    says_->setAccessibleName(QStringLiteral("About the copies"));
    says_->setText(
        copies_.empty()
            ? QStringLiteral("There is no copy yet. One is made each day that the book is opened, "
                             "%1 are kept, in %2.")
                  .arg(book::kCopiesKept)
                  .arg(toQt(book::copiesFolder(toStd(bookPath))))
            : QStringLiteral("One is made each day that the book is opened; %1 are kept. A copy "
                             "becomes a book of its own beside today's, which stays as it is.")
                  .arg(book::kCopiesKept));
    box->addWidget(says_);
    QVector<QStringList> rows;
    constexpr double kKilo = 1024;
    for (const auto& copy : copies_)
        rows.push_back({toQt(copy.day), QStringLiteral("%1 kB").arg(QLocale::c().toString(
                                            static_cast<double>(copy.bytes) / kKilo, 'f', 0))});
    table_->showRows({QStringLiteral("As it was on"), QStringLiteral("Size")}, rows);
    box->addWidget(table_, 1);
    auto* buttons = new QDialogButtonBox;
    auto* open =
        buttons->addButton(QStringLiteral("Open it as a book"), QDialogButtonBox::AcceptRole);
    open->setObjectName(QStringLiteral("act"));
    open->setEnabled(!copies_.empty());
    buttons->addButton(QStringLiteral("Close"), QDialogButtonBox::RejectRole);
    box->addWidget(buttons);
    if (!copies_.empty())
        table_->setCurrentRow(0);
    connect(buttons, &QDialogButtonBox::accepted, this, &CopiesDialog::restore);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    resizeOnScreen(*this, {560, 380});
}

void CopiesDialog::restore() {
    const int row = table_->currentRow();
    if (row < 0 || row >= static_cast<int>(copies_.size()))
        return;
    const book::BookCopy& copy = copies_[static_cast<std::size_t>(row)];
    const std::string path = book::freeNameBeside(toStd(bookPath_), "of " + copy.day);
    auto done = book::restoreCopy(copy, path);
    if (done)
        done = document_.open(toQt(path));
    if (!done) {
        says_->setText(QStringLiteral("! %1").arg(toQt(done.error(), document_.units())));
        return;
    }
    document_.say(QStringLiteral("This is the book as it was on %1, under the name %2.")
                      .arg(toQt(copy.day), QFileInfo(toQt(path)).fileName()));
    accept();
}

} // namespace dynamet::app
