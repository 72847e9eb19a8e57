// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/main_window.h"

#include "app/shell/add_appliance_dialog.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QShortcut>
#include <QTimer>

namespace dynamet::app {
namespace {
constexpr int kFoldBelow = 1000, kNoticeMs = 12000;
}

MainWindow::MainWindow(Document& document, const QString& demoBook)
    : document_(document), top_(new TopBar(document)), outer_(new QStackedWidget),
      start_(new StartPage(document, demoBook)), pages_(new QStackedWidget),
      lineUp_(new LineUp(document)), rate_(new RatePage(document)),
      translate_(new TranslatePage(document)), notice_(new QLabel) {
    setWindowTitle(tr("Dynamet"));
    resize(1280, 800);
    auto* centre = new QWidget;
    auto* box = new QVBoxLayout(centre);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(1);
    box->addWidget(top_);
    auto* work = new QWidget;
    auto* line = new QHBoxLayout(work);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(1);
    line->addWidget(lineUp_);
    pages_->addWidget(rate_);
    pages_->addWidget(translate_);
    line->addWidget(pages_, 1);
    outer_->addWidget(start_);
    outer_->addWidget(work);
    box->addWidget(outer_, 1);
    notice_->setObjectName(QStringLiteral("quiet"));
    notice_->setAccessibleName(tr("Notice"));
    notice_->setContentsMargins(14, 4, 14, 4);
    notice_->setWordWrap(true);
    notice_->hide();
    box->addWidget(notice_);
    setCentralWidget(centre);
    connect(&document_, &Document::opened, this, &MainWindow::bookOpened);
    connect(&document_, &Document::noticed, this, &MainWindow::notice);
    connect(top_, &TopBar::workspaceChosen, this, &MainWindow::go);
    connect(lineUp_, &LineUp::applianceChosen, this, &MainWindow::applianceChosen);
    connect(lineUp_, &LineUp::addWanted, this, &MainWindow::addAppliance);
    addShortcuts();
    start_->setFocus();
    if (document_.isOpen())
        bookOpened();
}

void MainWindow::addShortcuts() {
    const auto on = [this](const QKeySequence& keys, auto action) {
        connect(new QShortcut(keys, this), &QShortcut::activated, this, action);
    };
    on(Qt::CTRL | Qt::Key_1, [this] { go(rate); });
    on(Qt::CTRL | Qt::Key_2, [this] { go(translate); });
    on(Qt::Key_Slash, [this] { lineUp_->focusFilter(); });
    on(Qt::CTRL | Qt::Key_I, [this] {
        if (pages_->currentIndex() == rate)
            rate_->importLog();
    });
    on(Qt::CTRL | Qt::Key_Return, [this] { rate_->save(); });
    on(Qt::CTRL | Qt::Key_Enter, [this] { rate_->save(); });
    on(Qt::Key_F1, [this] { showGuide(); });
    on(QKeySequence::Undo, [this] { document_.undoStack().undo(); });
    on(Qt::CTRL | Qt::SHIFT | Qt::Key_Z, [this] { document_.undoStack().redo(); });
}

void MainWindow::bookOpened() {
    outer_->setCurrentIndex(1);
    go(pages_->currentIndex());
    applianceChosen(lineUp_->currentId());
}

void MainWindow::go(int workspace) {
    if (!document_.isOpen())
        return;
    pages_->setCurrentIndex(workspace);
    top_->setWorkspace(workspace);
    if (workspace == translate)
        translate_->activate();
}

void MainWindow::applianceChosen(const std::string& id) {
    const auto* appliance = findAppliance(document_.kitchen(), id);
    if (!appliance)
        return;
    top_->setSite(appliance->siteId);
    if (pages_->currentIndex() == rate || !rate_->isVisible())
        rate_->showAppliance(id);
    if (pages_->currentIndex() == translate)
        translate_->chooseTarget(id);
}

void MainWindow::addAppliance() {
    AddApplianceDialog dialog(document_, this);
    if (dialog.exec() != QDialog::Accepted)
        return;
    const kitchen::Appliance appliance = dialog.appliance();
    if (const auto added = document_.addAppliance(appliance); !added) {
        notice(text(added.error().message));
        return;
    }
    lineUp_->select(appliance.id);
    applianceChosen(appliance.id);
    notice(tr("%1 is in the line-up with what is usual for its kind. Rate it to know better.")
               .arg(text(appliance.name)));
}

void MainWindow::showGuide() {
    const QString page = GuideWindow::pageOf(QApplication::focusWidget());
    if (!guide_)
        guide_ = new GuideWindow(this);
    guide_->showPage(page);
    guide_->show();
    guide_->raise();
}

void MainWindow::notice(const QString& words) {
    notice_->setText(words);
    notice_->show();
    QTimer::singleShot(kNoticeMs, notice_, [this, words] {
        if (notice_->text() == words)
            notice_->hide();
    });
}

bool MainWindow::isIdle() const {
    return translate_->isIdle();
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    lineUp_->setFolded(width() < kFoldBelow);
}

} // namespace dynamet::app
