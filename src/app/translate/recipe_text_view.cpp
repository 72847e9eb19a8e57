// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/recipe_text_view.h"

#include "app/look/theme.h"

#include "words/rewrite_words.h"

#include <QVBoxLayout>

namespace dynamet::app {
namespace {

/// Text with stretches of it marked; offsets are bytes of UTF-8.
class Marked {
  public:
    explicit Marked(const std::string& text) : text_(text) {}
    void mark(std::size_t begin, std::size_t end, const QString& open, const QString& close) {
        out_ += plain(at_, begin) + open + plain(begin, end) + close;
        at_ = end;
    }
    QString done() { return out_ + plain(at_, text_.size()); }

  private:
    QString plain(std::size_t from, std::size_t to) const {
        return toQt(text_.substr(from, to - from))
            .toHtmlEscaped()
            .replace(QLatin1Char('\n'), QStringLiteral("<br>"));
    }
    const std::string& text_;
    QString out_;
    std::size_t at_ = 0;
};

/// The recipe with its words marked, each a link to what it means.
QString marked(const recipe::Recipe& recipe) {
    Marked out(recipe.text);
    int at = 0;
    for (const recipe_text::Binding& word : RecipeTextView::bindingsOf(recipe)) {
        using enum recipe_text::BindingKind;
        const bool heat = word.kind == temperature || word.kind == core || word.kind == level;
        out.mark(word.begin, word.end,
                 QStringLiteral("<a href='%1' style='color:%3;text-decoration:none;"
                                "background:%2'>")
                     .arg(at++)
                     .arg((heat ? look::theme().heatMark : look::theme().wordMark).name(),
                          look::ink().name()),
                 QStringLiteral("</a>"));
    }
    return out.done();
}

QString withChanges(const recipe_text::Rewritten& text) {
    Marked out(text.text);
    for (const recipe_text::Change& one : text.changes)
        out.mark(one.newBegin, one.newEnd,
                 QStringLiteral("<b style='background:%1'>").arg(look::theme().heatMark.name()),
                 QStringLiteral("</b>"));
    return out.done();
}

} // namespace

std::vector<recipe_text::Binding> RecipeTextView::bindingsOf(const recipe::Recipe& recipe) {
    return recipe_text::corrected(recipe_text::bindingsIn(recipe.text), recipe.text,
                                  recipe.corrections);
}

RecipeTextView::RecipeTextView(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), text_(new QLabel), there_(new QLabel),
      rewritten_(new QLabel), notes_(new QLabel) {
    setAccessibleName(QStringLiteral("The recipe and what it says"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(10);
    for (QLabel* label : {text_, there_, rewritten_, notes_}) {
        label->setWordWrap(true);
        box->addWidget(label);
    }
    text_->setAccessibleName(QStringLiteral("Text of the recipe"));
    text_->setTextFormat(Qt::RichText);
    text_->setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
    text_->setToolTip(QStringLiteral("Click on marked words to see and correct what they mean"));
    connect(text_, &QLabel::linkActivated, this,
            [this](const QString& link) { emit bindingClicked(link.toInt()); });
    there_->setObjectName(QStringLiteral("overline"));
    rewritten_->setTextFormat(Qt::RichText);
    rewritten_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    rewritten_->setAccessibleName(QStringLiteral("Text for the opened row"));
    notes_->setObjectName(QStringLiteral("quiet"));
    notes_->setAccessibleName(QStringLiteral("What is not carried over"));
    hideRow();
}

void RecipeTextView::showRecipe(const recipe::Recipe& recipe) {
    text_->setText(marked(recipe));
}

void RecipeTextView::showWords(const QString& words) {
    text_->setText(words.toHtmlEscaped());
}

void RecipeTextView::hideRow() {
    for (QLabel* label : {there_, rewritten_, notes_})
        label->hide();
}

void RecipeTextView::showRow(const translate::Row& row, const translate::Prepared& prepared) {
    if (!row.reached || prepared.request.recipe.text.empty())
        return hideRow();
    const auto* on = findAppliance(document_.kitchen(), row.target.applianceId);
    there_->setText(QStringLiteral("FOR %1").arg(on ? toQt(on->name).toUpper() : QString()));
    const auto done = words::rewrittenFor(row, prepared);
    QStringList notes;
    if (done) {
        for (const std::string& line : done->notes)
            notes << toQt(line);
        rewritten_->setText(done->after.changes.empty() ? QStringLiteral("As it is written.")
                                                        : withChanges(done->after));
    } else {
        notes << toQt(done.error(), document_.units());
    }
    there_->show();
    rewritten_->setVisible(done.has_value() && done->understood);
    notes_->setText(notes.join(QStringLiteral("\n")));
    notes_->setVisible(!notes.isEmpty());
}

} // namespace dynamet::app
