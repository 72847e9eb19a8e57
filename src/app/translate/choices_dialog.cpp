// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/choices_dialog.h"

#include "app/widgets/scrolled.h"
#include "food/foods.h"

#include <QFormLayout>
#include <QTabWidget>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

/// The classes of food, in the order of the shipped foods.
QStringList foodClasses() {
    QStringList out;
    for (const food::Food& food : food::shippedFoods())
        if (!out.contains(toQt(food.foodClass)))
            out << toQt(food.foodClass);
    return out;
}

} // namespace

ChoicesDialog::ChoicesDialog(Document& document, const std::string& foodClass, QWidget* parent)
    : QDialog(parent), document_(document), choices_(document.choices()),
      scales_(food::scalesWith(document.choices().scales)), scale_(new QComboBox),
      class_(new QComboBox), readAt_(new QComboBox), levels_(new QPlainTextEdit),
      source_(new QLabel), foot_(new DialogFoot(this)) {
    setWindowTitle(QStringLiteral("House methods"));
    setProperty("guide", QStringLiteral("schools"));
    resizeOnScreen(*this, {760, 680});
    auto* box = new QVBoxLayout(this);
    auto* tabs = new QTabWidget;
    tabs->addTab(scrolled(buildSchools()), QStringLiteral("Where cooks disagree"));
    tabs->addTab(scrolled(buildScales()), QStringLiteral("Doneness scales"));
    box->addWidget(tabs, 1);
    box->addWidget(foot_);
    connect(foot_, &DialogFoot::saveWanted, this, &ChoicesDialog::take);
    class_->setCurrentText(toQt(foodClass));
    showScale();
}

QWidget* ChoicesDialog::buildSchools() {
    auto* page = new QWidget;
    auto* form = new QFormLayout(page);
    for (const food::School& school : food::shippedSchools()) {
        auto* side = new QComboBox;
        side->setAccessibleName(toQt(school.question));
        const std::string now = food::chosen(school, choices_.schools).id;
        for (const food::SchoolChoice& choice : school.choices) {
            side->addItem(toQt(choice.name), toQt(choice.why));
            if (choice.id == now)
                side->setCurrentIndex(side->count() - 1);
        }
        auto* why = new QLabel(side->currentData().toString());
        why->setObjectName(QStringLiteral("quiet"));
        why->setWordWrap(true);
        connect(side, &QComboBox::currentIndexChanged, why,
                [side, why] { why->setText(side->currentData().toString()); });
        auto* question = new QLabel(toQt(school.question));
        question->setWordWrap(true);
        question->setMinimumWidth(260);
        form->addRow(question, side);
        form->addRow(QString(), why);
        sides_.push_back(side);
    }
    return page;
}

QWidget* ChoicesDialog::buildScales() {
    auto* page = new QWidget;
    auto* form = new QFormLayout(page);
    for (const food::DonenessScale& scale : scales_)
        scale_->addItem(toQt(scale.name));
    class_->addItems(foodClasses());
    for (const food::GoalMoment at : {food::GoalMoment::pull, food::GoalMoment::peak,
                                      food::GoalMoment::bath, food::GoalMoment::plate})
        readAt_->addItem(QString::fromUtf8(phraseOf(at)));
    scale_->setAccessibleName(QStringLiteral("Scale"));
    class_->setAccessibleName(QStringLiteral("Kind of food"));
    readAt_->setAccessibleName(QStringLiteral("Read"));
    levels_->setAccessibleName(QStringLiteral("Levels, one a line"));
    source_->setObjectName(QStringLiteral("quiet"));
    source_->setWordWrap(true);
    form->addRow(QStringLiteral("Scale"), scale_);
    form->addRow(QStringLiteral("Its temperatures are read"), readAt_);
    form->addRow(QStringLiteral("Kind of food"), class_);
    form->addRow(QStringLiteral("Levels, %1")
                     .arg(QString::fromUtf8(unitSign(document_.units().temperature()))),
                 levels_);
    form->addRow(QString(), source_);
    for (const QComboBox* chooser : {scale_, class_})
        connect(chooser, &QComboBox::currentIndexChanged, this, [this] {
            if (takeScale())
                showScale();
        });
    return page;
}

void ChoicesDialog::showScale() {
    shownScale_ = scale_->currentIndex();
    shownClass_ = class_->currentIndex();
    const auto& scale = scales_[static_cast<std::size_t>(shownScale_)];
    readAt_->setCurrentIndex(static_cast<int>(scale.readAt));
    levels_->setPlainText(toQt(linesOf(levelsOf(scale, toStd(class_->itemText(shownClass_))),
                                       document_.units().fahrenheit)));
    source_->setText(toQt(scale.source));
}

bool ChoicesDialog::takeScale() {
    if (shownScale_ < 0)
        return true;
    const auto levels =
        food::levelsFromLines(toStd(levels_->toPlainText()), document_.units().fahrenheit);
    if (!levels) {
        foot_->showProblem(levels.error(), document_.units());
        const QSignalBlocker quietScale(scale_), quietClass(class_);
        scale_->setCurrentIndex(shownScale_);
        class_->setCurrentIndex(shownClass_);
        return false;
    }
    foot_->clearProblem();
    food::DonenessScale& scale = scales_[static_cast<std::size_t>(shownScale_)];
    const food::DonenessScale was = scale;
    scale.readAt = static_cast<food::GoalMoment>(readAt_->currentIndex());
    setLevels(scale, toStd(class_->itemText(shownClass_)), *levels);
    if (!(scale == was))
        putOwn(choices_.scales, scale);
    return true;
}

void ChoicesDialog::take() {
    if (!takeScale())
        return;
    for (std::size_t i = 0; i < sides_.size(); ++i) {
        const food::School& school = food::shippedSchools()[i];
        choices_.schools[school.id] =
            school.choices[static_cast<std::size_t>(sides_[i]->currentIndex())].id;
    }
    accept();
}

} // namespace dynamet::app
