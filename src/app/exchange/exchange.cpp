// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/exchange/exchange.h"

#include "app/exchange/copies_dialog.h"
#include "app/exchange/take_in_dialog.h"
#include "app/widgets/save_path_dialog.h"
#include "book/bundle/bundle.h"
#include "book/safety/salvage.h"
#include "formats/text_file.h"
#include "words/thing_words.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QDir>
#include <QFileInfo>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <sstream>

namespace dynamet::app {
namespace {

QString written(Document& document, const Result<void>& made, const std::ostringstream& text,
                const QString& path) {
    const auto done = made ? formats::writeTextFile(toStd(path), text.str()) : made;
    return done ? QString() : toQt(done.error(), document.units());
}

/// Which appliance or recipe; none = not now.
std::optional<book::ThingRef> askThing(Document& document, QString& name, QWidget* parent) {
    QDialog dialog(parent);
    dialog.setWindowTitle(QStringLiteral("Share one thing"));
    dialog.setProperty("guide", QStringLiteral("book"));
    auto* box = new QVBoxLayout(&dialog);
    auto* says = new QLabel(QStringLiteral(
        "An appliance goes with its tests and ratings, a recipe with the appliances that it was "
        "written for. Whoever takes the file in sees what it changes first."));
    says->setWordWrap(true);
    auto* which = new QComboBox;
    which->setAccessibleName(QStringLiteral("What is shared"));
    std::vector<book::ThingRef> things;
    for (const auto& recipe : document.recipes()) {
        which->addItem(QStringLiteral("Recipe: %1").arg(toQt(recipe.name)));
        things.push_back({"recipe", recipe.id});
    }
    for (const auto& appliance : document.kitchen().appliances) {
        which->addItem(QStringLiteral("Appliance: %1").arg(toQt(appliance.name)));
        things.push_back({"appliance", appliance.id});
    }
    auto* buttons = new QDialogButtonBox;
    auto* go = buttons->addButton(QStringLiteral("Go on"), QDialogButtonBox::AcceptRole);
    go->setDefault(true);
    go->setEnabled(!things.empty());
    buttons->addButton(QStringLiteral("Cancel"), QDialogButtonBox::RejectRole);
    QObject::connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    box->addWidget(says);
    box->addWidget(which);
    box->addWidget(buttons);
    dialog.resize(460, 160);
    if (dialog.exec() != QDialog::Accepted || things.empty())
        return std::nullopt;
    name = which->currentText().section(QStringLiteral(": "), 1);
    return things[static_cast<std::size_t>(which->currentIndex())];
}

} // namespace

void exportChanges(Document& document, QWidget* parent) {
    const QFileInfo file(toQt(document.book().path()));
    writeAsked(document, parent, QStringLiteral("Export changes"),
               file.completeBaseName() + QStringLiteral(".json"),
               QStringLiteral("Open kitchen files (*.json)"), [&](const QString& path) {
                   std::ostringstream text;
                   return written(document, writeBundle(document.book(), text), text, path);
               });
}

void shareThing(Document& document, QWidget* parent) {
    QString name;
    const auto thing = askThing(document, name, parent);
    if (!thing)
        return;
    writeAsked(document, parent, QStringLiteral("Share one thing"),
               name.replace(QLatin1Char('/'), QLatin1Char('-')) + QStringLiteral(".json"),
               QStringLiteral("Open kitchen files (*.json)"), [&](const QString& path) {
                   std::ostringstream text;
                   return written(document, writePart(document.book(), {*thing}, text), text, path);
               });
}

void takeInChanges(Document& document, QWidget* parent) {
    TakeInDialog(document, parent).exec();
}

void showCopies(Document& document, const QString& bookPath, QWidget* parent) {
    CopiesDialog(document, bookPath, parent).exec();
}

QString saveTheRest(Document& document, const QString& damaged) {
    const std::string path = book::freeNameBeside(toStd(damaged), "saved");
    const QString fresh = toQt(path);
    const auto saved = book::salvage(toStd(damaged), path, document.now());
    if (!saved)
        return toQt(saved.error(), document.units());
    if (const auto opened = document.open(fresh); !opened)
        return toQt(opened.error(), document.units());
    QStringList of;
    for (const std::string& table : saved->damaged)
        of << toQt(words::thingWord(table));
    document.say(
        of.isEmpty()
            ? QStringLiteral("Everything that can be read was saved into %1; the damaged book is "
                             "as it was.")
                  .arg(QFileInfo(fresh).fileName())
            : QStringLiteral("%1 rows were saved into %2. Some may be missing of: %3. The damaged "
                             "book is as it was; an older copy may have the rest.")
                  .arg(saved->rows())
                  .arg(QFileInfo(fresh).fileName(), of.join(QStringLiteral(", "))));
    return {};
}

} // namespace dynamet::app
