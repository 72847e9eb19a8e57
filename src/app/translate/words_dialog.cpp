// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/words_dialog.h"

#include "app/look/palette.h"
#include "book/recipe_request.h"
#include "formats/recipe_source.h"
#include "formats/text_file.h"
#include "words/binding_words.h"
#include "words/translation_words.h"

#include <QFileDialog>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QScreen>
#include <QVBoxLayout>

namespace dynamet::app {

WordsDialog::WordsDialog(Document& document, QWidget* parent)
    : QDialog(parent), document_(document), name_(new QLineEdit), author_(new QLineEdit),
      on_(new QComboBox), text_(new QPlainTextEdit),
      understood_(new TextTable(QStringLiteral("What is understood"))), stages_(new QLabel),
      asked_(new QLabel), foot_(new DialogFoot(this)) {
    setWindowTitle(QStringLiteral("A recipe in its own words"));
    setProperty("guide", QStringLiteral("words"));
    auto* box = new QVBoxLayout(this);
    auto* sides = new QHBoxLayout;
    sides->setSpacing(16);
    sides->addWidget(buildLeft(), 1);
    sides->addWidget(buildRight(), 1);
    box->addLayout(sides, 1);
    auto* without = new QPushButton(QStringLiteral("Begin without words"));
    without->setAccessibleName(QStringLiteral("Begin without words"));
    connect(without, &QPushButton::clicked, this, [this] {
        empty_ = true;
        accept();
    });
    box->addWidget(without, 0, Qt::AlignLeft);
    box->addWidget(foot_);
    connect(foot_, &DialogFoot::saveWanted, this, &WordsDialog::take);
    soon_.setSingleShot(true);
    soon_.setInterval(250);
    connect(&soon_, &QTimer::timeout, this, &WordsDialog::readAgain);
    connect(text_, &QPlainTextEdit::textChanged, &soon_, qOverload<>(&QTimer::start));
    connect(on_, &QComboBox::currentIndexChanged, this, &WordsDialog::readAgain);
    const QSize room = screen()->availableGeometry().size();
    resize(std::min(1040, room.width() - 40), std::min(660, room.height() - 60));
    readAgain();
    text_->setFocus();
}

QWidget* WordsDialog::buildLeft() {
    auto* side = new QWidget;
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    auto* form = new QFormLayout;
    const auto row = [&](const QString& words, QWidget* field) {
        field->setAccessibleName(words);
        form->addRow(words, field);
    };
    row(QStringLiteral("Name"), name_);
    row(QStringLiteral("By"), author_);
    on_->addItem(QStringLiteral("as its words say"));
    for (const kitchen::Appliance& one : document_.kitchen().appliances)
        on_->addItem(toQt(one.name), toQt(one.id));
    row(QStringLiteral("Written for"), on_);
    box->addLayout(form);
    text_->setAccessibleName(QStringLiteral("Words of the recipe"));
    text_->setPlaceholderText(
        QStringLiteral("Paste the recipe here: its words, or a page's JSON-LD."));
    text_->setTabChangesFocus(true);
    box->addWidget(text_, 1);
    auto* open = new QPushButton(QStringLiteral("Open a file…"));
    open->setAccessibleName(QStringLiteral("Open a file…"));
    open->setToolTip(QStringLiteral("Plain text, schema.org JSON-LD, or a saved page"));
    connect(open, &QPushButton::clicked, this, &WordsDialog::openFile);
    box->addWidget(open, 0, Qt::AlignLeft);
    return side;
}

QWidget* WordsDialog::buildRight() {
    auto* side = new QWidget;
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    auto* overline = new QLabel(QStringLiteral("UNDERSTOOD"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    box->addWidget(understood_, 2);
    auto* cooks = new QLabel(QStringLiteral("SO IT IS COOKED"));
    cooks->setObjectName(QStringLiteral("overline"));
    box->addWidget(cooks);
    stages_->setWordWrap(true);
    stages_->setAccessibleName(QStringLiteral("How it is cooked"));
    box->addWidget(stages_);
    auto* open = new QLabel(QStringLiteral("LEFT OPEN, TAKEN AS USUAL"));
    open->setObjectName(QStringLiteral("overline"));
    box->addWidget(open);
    asked_->setWordWrap(true);
    asked_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    asked_->setAccessibleName(QStringLiteral("What the words leave open"));
    box->addWidget(asked_, 1);
    return side;
}

void WordsDialog::begin(const QString& name, const QString& words) {
    name_->setText(name);
    text_->setPlainText(words);
    readAgain();
}

void WordsDialog::openFile() {
    const QString path = QFileDialog::getOpenFileName(
        this, QStringLiteral("Open a recipe"), QString(),
        QStringLiteral("Recipes (*.txt *.md *.json *.jsonld *.html *.htm);;All files (*)"));
    if (path.isEmpty())
        return;
    const auto bytes = formats::readTextFile(toStd(path));
    const auto source = bytes ? formats::readRecipeSource(*bytes) : tl::unexpected(bytes.error());
    if (!source)
        return foot_->showProblem(source.error(), document_.units());
    foot_->clearProblem();
    if (!source->name.empty())
        name_->setText(toQt(source->name));
    if (!source->author.empty())
        author_->setText(toQt(source->author));
    text_->setPlainText(toQt(source->text));
    readAgain();
}

void WordsDialog::readAgain() {
    soon_.stop();
    filled_.reset();
    stages_->clear();
    const std::string typed = toStd(text_->toPlainText());
    // A page or its JSON that was pasted gives way to its recipe.
    if (const auto source = formats::readRecipeSource(typed);
        source && source->from != formats::RecipeSource::From::plainText) {
        if (name_->text().trimmed().isEmpty())
            name_->setText(toQt(source->name));
        if (author_->text().trimmed().isEmpty())
            author_->setText(toQt(source->author));
        text_->setPlainText(toQt(source->text));
        return readAgain();
    }
    if (typed.find_first_not_of(" \n\t") == std::string::npos) {
        understood_->showRows({QStringLiteral("Words"), QStringLiteral("Say")}, {});
        asked_->setText(QStringLiteral("Nothing is written yet."));
        return mark({});
    }
    recipe_text::ReadWith with;
    with.kitchen = &document_.kitchen();
    with.scales = food::scalesWith(document_.choices().scales);
    with.applianceId = toStd(on_->currentData().toString());
    auto read = recipe_text::recipeFrom(toStd(name_->text().trimmed()), typed, with);
    if (!read) {
        asked_->setText(QStringLiteral("! %1").arg(toQt(read.error(), document_.units())));
        return mark({});
    }
    QVector<QStringList> rows;
    for (const recipe_text::Binding& b : read->bindings) {
        const QString kind = QString::fromUtf8(words::kindWords(b.kind));
        const QString means = toQt(words::bindingWords(b, document_.units()));
        rows.push_back(
            {toQt(b.text), means.isEmpty() ? kind : kind + QStringLiteral(": ") + means});
    }
    understood_->showRows({QStringLiteral("Words"), QStringLiteral("Say")}, rows);
    QStringList open;
    for (const recipe_text::Asked& one : read->asked)
        open << QStringLiteral("%1 — %2").arg(toQt(one.question), toQt(one.taken));
    asked_->setText(open.isEmpty() ? QStringLiteral("Nothing: the words say it all.")
                                   : open.join(QStringLiteral("\n")));
    mark(read->bindings);
    const auto request = requestOf(read->recipe, document_.kitchen(), document_.choices());
    stages_->setText(toQt(words::referenceWords(request, document_.units()) + "\n" +
                          words::pieceWords(request, document_.units())));
    filled_ = std::move(*read);
}

void WordsDialog::mark(const std::vector<recipe_text::Binding>& bindings) {
    const std::string text = toStd(text_->toPlainText());
    QList<QTextEdit::ExtraSelection> marks;
    for (const recipe_text::Binding& b : bindings) {
        QTextEdit::ExtraSelection one;
        one.cursor = QTextCursor(text_->document());
        const auto place = [&](std::size_t byte) {
            return static_cast<int>(toQt(text.substr(0, byte)).size());
        };
        one.cursor.setPosition(place(b.begin));
        one.cursor.setPosition(place(b.end), QTextCursor::KeepAnchor);
        one.format.setBackground(look::cautionGround());
        marks << one;
    }
    text_->setExtraSelections(marks);
}

void WordsDialog::take() {
    if (soon_.isActive())
        readAgain();
    if (!filled_)
        return foot_->showProblem(
            {Errc::invalidArgument,
             "there are no words of a recipe yet: paste them, or begin without words"},
            document_.units());
    recipe::Recipe made = filled_->recipe;
    made.name = toStd(name_->text().trimmed());
    if (made.name.empty())
        return foot_->showProblem({Errc::invalidArgument, "Name: the recipe should have one"},
                                  document_.units());
    made.author = toStd(author_->text().trimmed());
    if (const auto whole = checkRecipe(made, document_.kitchen()); !whole)
        return foot_->showProblem(whole.error(), document_.units());
    recipe_ = made;
    accept();
}

} // namespace dynamet::app
