// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/start_page.h"

#include "app/exchange/exchange.h"
#include "book/safety/copies.h"

#include "app/widgets/quantity_kinds.h"

#include <QComboBox>
#include <QDir>
#include <QFileDialog>
#include <QFormLayout>
#include <QFrame>
#include <QHBoxLayout>
#include <QPushButton>
#include <QStandardPaths>

namespace dynamet::app {
namespace {

QVBoxLayout* column(QWidget* widget, const QString& heading, const QString& words) {
    auto* box = new QVBoxLayout(widget);
    box->setContentsMargins(24, 20, 24, 20);
    box->setSpacing(12);
    auto* title = new QLabel(heading);
    title->setObjectName(QStringLiteral("sentence"));
    auto* text = new QLabel(words);
    text->setWordWrap(true);
    text->setObjectName(QStringLiteral("quiet"));
    box->addWidget(title);
    box->addWidget(text);
    return box;
}

/// "~/…" is the user's home.
QString atHome(QString path) {
    if (path.startsWith(QLatin1String("~/")))
        path.replace(0, 1, QDir::homePath());
    return path;
}

} // namespace

StartPage::StartPage(Document& document, const QString& demoBook, QWidget* parent)
    : QWidget(parent), document_(document), demoBook_(demoBook), problem_(new QLabel),
      name_(new QLineEdit), altitude_(new QuantityField(QStringLiteral("Height above the sea"),
                                                        kinds::height(document.units()))),
      boiling_(new QLabel), file_(new QLineEdit), openPath_(new QLineEdit) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    auto* outer = new QVBoxLayout(this);
    outer->setContentsMargins(56, 48, 56, 48);
    auto* big = new QLabel(QStringLiteral("A dial is not a heat."));
    big->setStyleSheet(QStringLiteral("font-size: 34px"));
    auto* under = new QLabel(QStringLiteral(
        "Measure what your burners, ovens and grills really give, then carry recipes from one to "
        "another, with an honest ±."));
    under->setStyleSheet(QStringLiteral("font-size: 16px"));
    under->setWordWrap(true);
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong"));
    problem_->setWordWrap(true);
    problem_->hide();
    outer->addWidget(big);
    outer->addWidget(under);
    outer->addSpacing(24);
    outer->addWidget(problem_);
    outer->addWidget(rescue());
    auto* line = new QHBoxLayout;
    line->setSpacing(0);
    const auto rule = [] {
        auto* r = new QFrame;
        r->setObjectName(QStringLiteral("uprightRule"));
        return r;
    };
    line->addWidget(demoChoice(), 1);
    line->addWidget(rule());
    line->addWidget(newChoice(), 1);
    line->addWidget(rule());
    line->addWidget(openChoice(), 1);
    outer->addLayout(line);
    outer->addStretch();
    auto* safe = new QLabel(QStringLiteral(
        "! Dynamet computes; it does not watch your stove. Official minimum temperatures and local "
        "codes decide what is safe to serve; gas and flues are for licensed fitters."));
    safe->setObjectName(QStringLiteral("caution"));
    safe->setWordWrap(true);
    outer->addWidget(safe);
}

QWidget* StartPage::demoChoice() {
    auto* widget = new QWidget;
    auto* box = column(
        widget, QStringLiteral("Look around first"),
        QStringLiteral("The demo kitchen has 20 appliances in 2 places, 18 of them rated, and 5 "
                       "recipes to translate. Everything in it is made up."));
    auto* button = new QPushButton(QStringLiteral("Open the demo kitchen"));
    button->setObjectName(QStringLiteral("act"));
    button->setAccessibleName(QStringLiteral("Open the demo kitchen"));
    button->setEnabled(!demoBook_.isEmpty());
    button->setAutoDefault(true);
    setFocusProxy(button);
    connect(button, &QPushButton::clicked, this, [this] { tryDemo(); });
    box->addWidget(button);
    if (demoBook_.isEmpty()) {
        auto* why = new QLabel(QStringLiteral(
            "There is no demo book beside this program. ./demo makes one and opens it; or name one "
            "with --demo-book FILE."));
        why->setObjectName(QStringLiteral("quiet"));
        why->setAccessibleName(QStringLiteral("Why there is no demo kitchen"));
        why->setWordWrap(true);
        box->addWidget(why);
        setFocusProxy(nullptr);
    }
    box->addStretch();
    return widget;
}

QWidget* StartPage::newChoice() {
    auto* widget = new QWidget;
    auto* box = column(
        widget, QStringLiteral("Begin your own kitchen"),
        QStringLiteral(
            "Its height above the sea sets where water boils. More places can be added later."));
    auto* form = new QFormLayout;
    name_->setAccessibleName(QStringLiteral("Name of the kitchen"));
    name_->setPlaceholderText(QStringLiteral("e.g. Ground floor"));
    altitude_->setValue(0);
    boiling_->setObjectName(QStringLiteral("quiet"));
    boiling_->setAccessibleName(QStringLiteral("Where water boils"));
    connect(&altitude_->edit(), &QLineEdit::textChanged, this, &StartPage::showBoiling);
    file_->setAccessibleName(QStringLiteral("File of the new book"));
    file_->setText(QStringLiteral("~/kitchen.dynamet"));
    auto* units = new QComboBox;
    units->setAccessibleName(QStringLiteral("Units"));
    units->addItems({QStringLiteral("°C, mm"), QStringLiteral("°F, inches")});
    connect(units, &QComboBox::currentIndexChanged, this, [this](int index) {
        document_.setUnits({index == 1, index == 1, document_.units().gasMarks});
    });
    // The units are one choice, made here, in the bar above or by a key.
    connect(&document_, &Document::unitsChanged, this, [this, units] {
        units->setCurrentIndex(document_.units().fahrenheit ? 1 : 0);
        const auto typed = altitude_->value();
        altitude_->setKind(kinds::height(document_.units()));
        if (typed && *typed)
            altitude_->setValue(**typed);
        showBoiling();
    });
    units->setCurrentIndex(document_.units().fahrenheit ? 1 : 0);
    form->addRow(QStringLiteral("Name"), name_);
    form->addRow(QStringLiteral("Units"), units);
    form->addRow(QStringLiteral("Height"), altitude_);
    form->addRow(QString(), boiling_);
    form->addRow(QStringLiteral("Save in"),
                 withBrowse(file_, QStringLiteral("Browse for a place"), true));
    box->addLayout(form);
    auto* button = new QPushButton(QStringLiteral("Begin"));
    button->setAccessibleName(QStringLiteral("Begin a new kitchen"));
    button->setAutoDefault(true);
    connect(button, &QPushButton::clicked, this, &StartPage::begin);
    for (QLineEdit* field : {name_, file_})
        connect(field, &QLineEdit::returnPressed, this, &StartPage::begin);
    showBoiling();
    box->addWidget(button);
    box->addStretch();
    return widget;
}

QWidget* StartPage::openChoice() {
    auto* widget = new QWidget;
    auto* box = column(widget, QStringLiteral("Open a book"),
                       QStringLiteral("A kitchen book is one file, ending in .dynamet."));
    openPath_->setAccessibleName(QStringLiteral("File of the book"));
    openPath_->setPlaceholderText(QStringLiteral("Path of the book"));
    auto* button = new QPushButton(QStringLiteral("Open"));
    button->setAccessibleName(QStringLiteral("Open the book"));
    connect(button, &QPushButton::clicked, this, [this] { tryOpen(openPath_->text()); });
    connect(openPath_, &QLineEdit::returnPressed, this, [this] { tryOpen(openPath_->text()); });
    button->setAutoDefault(true);
    box->addLayout(withBrowse(openPath_, QStringLiteral("Browse for a book"), false));
    box->addWidget(button);
    box->addStretch();
    return widget;
}

void StartPage::showProblem(const QString& words) {
    problem_->setText(QStringLiteral("! %1").arg(words));
    problem_->show();
}

/// A demo kitchen that is installed for all is copied, so that things can be tried in it.
void StartPage::tryDemo() {
    if (QFileInfo(demoBook_).isWritable())
        return tryOpen(demoBook_);
    const QDir own(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation));
    const QString copy = own.filePath(QStringLiteral("demo.dynamet"));
    if (!QFileInfo(copy).isFile()) {
        own.mkpath(QStringLiteral("."));
        if (!QFile::copy(demoBook_, copy))
            return tryOpen(demoBook_); // to look at
        QFile::setPermissions(copy, QFile::ReadOwner | QFile::WriteOwner);
    }
    tryOpen(copy);
}

void StartPage::tryOpen(const QString& path) {
    if (path.trimmed().isEmpty())
        return showProblem(QStringLiteral("Type where the book is, or press Browse."));
    const QString file = atHome(path);
    const auto opened = document_.open(file);
    if (!opened)
        showProblem(toQt(opened.error(), document_.units()));
    const bool damaged = !opened && opened.error().code == Errc::corruptData;
    damaged_ = damaged ? file : QString();
    saveRest_->setVisible(damaged);
    copies_->setVisible(damaged && !book::copiesOf(toStd(file)).empty());
}

QWidget* StartPage::rescue() {
    auto* widget = new QWidget;
    auto* line = new QHBoxLayout(widget);
    line->setContentsMargins(0, 0, 0, 8);
    saveRest_ = new QPushButton(QStringLiteral("Save what can be read into a new book"));
    saveRest_->setAccessibleName(saveRest_->text());
    copies_ = new QPushButton(QStringLiteral("Copies of the last days…"));
    copies_->setAccessibleName(copies_->text());
    for (QPushButton* button : {saveRest_, copies_}) {
        button->hide();
        line->addWidget(button);
    }
    line->addStretch();
    connect(saveRest_, &QPushButton::clicked, this, [this] {
        if (const QString why = saveTheRest(document_, damaged_); !why.isEmpty())
            showProblem(why);
    });
    connect(copies_, &QPushButton::clicked, this,
            [this] { showCopies(document_, damaged_, this); });
    return widget;
}

QLayout* StartPage::withBrowse(QLineEdit* field, const QString& name, bool fresh) {
    auto* line = new QHBoxLayout;
    auto* button = new QPushButton(QStringLiteral("Browse…"));
    button->setAccessibleName(name);
    connect(button, &QPushButton::clicked, this, [this, field, fresh] { browse(field, fresh); });
    line->addWidget(field, 1);
    line->addWidget(button);
    return line;
}

void StartPage::browse(QLineEdit* field, bool fresh) {
    const QString filter = QStringLiteral("Kitchen books (*.dynamet)"),
                  from = atHome(field->text());
    const QString chosen =
        fresh ? QFileDialog::getSaveFileName(this, QStringLiteral("Where the new book is kept"),
                                             from, filter)
              : QFileDialog::getOpenFileName(this, QStringLiteral("A kitchen book"), from, filter);
    if (!chosen.isEmpty())
        field->setText(chosen);
}

/// What the height was taken as, before anything is built on it.
void StartPage::showBoiling() {
    const auto height = altitude_->value();
    if (!height) {
        boiling_->clear();
        return;
    }
    kitchen::Site site;
    site.altitudeM = **height;
    const Units& units = document_.units();
    boiling_->setText(QStringLiteral("%1: water boils at %2 there.")
                          .arg(kinds::height(units).show(site.altitudeM),
                               toQt(printTemperature(boilingPointAt(site), units.temperature()))));
}

void StartPage::begin() {
    if (!altitude_->check())
        return altitude_->setFocus();
    kitchen::Site site;
    site.id = book::newId();
    site.name = name_->text().trimmed().isEmpty() ? "Kitchen" : toStd(name_->text().trimmed());
    site.altitudeM = **altitude_->value();
    if (const auto made = document_.createNew(atHome(file_->text().trimmed()), site); !made)
        showProblem(toQt(made.error(), document_.units()));
}

} // namespace dynamet::app
