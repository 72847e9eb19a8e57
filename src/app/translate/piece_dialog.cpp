// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/piece_dialog.h"

#include "food/seasoning.h"
#include "quantity/parse_measures.h"

#include <QFormLayout>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

template <class Range, class Name>
QStringList namesOf(const Range& range, Name name) {
    QStringList out;
    for (const auto& one : range)
        out << text(name(one));
    return out;
}

template <class Range>
int placeOf(const Range& all, const std::string& id) {
    const auto at = std::find_if(all.begin(), all.end(), [&](const auto& o) { return o.id == id; });
    return at == all.end() ? -1 : static_cast<int>(at - all.begin());
}

} // namespace

QComboBox* PieceDialog::combo(const QString& name, const QStringList& words, int at) {
    auto* out = new QComboBox;
    out->addItems(words);
    out->setCurrentIndex(std::max(at, 0));
    out->setAccessibleName(name);
    return out;
}

QLineEdit* PieceDialog::lengthField(const QString& name, double metres) {
    auto* out = new QLineEdit(text(printLength(metres, document_.units().inches)));
    out->setAccessibleName(name);
    return out;
}

PieceDialog::PieceDialog(Document& document, const book::RecipeRecord& recipe, QWidget* parent)
    : QDialog(parent), document_(document), recipe_(recipe),
      scales_(food::scalesWith(document.choices().scales)), foot_(new DialogFoot(this)) {
    setWindowTitle(tr("The piece"));
    buildChoosers();
    buildMeasures();
    auto* box = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    box->addLayout(form);
    for (QWidget* field :
         std::initializer_list<QWidget*>{food_, form_, shape_, thickness_, others_, rounds_, width_,
                                         bone_, cap_, surface_, start_, fat_, scale_, level_})
        form->addRow(field->accessibleName(), field);
    form->addRow(tr("On it"), buildSeasonings());
    box->addWidget(foot_);
    connect(foot_, &DialogFoot::saveWanted, this, &PieceDialog::take);
    connect(scale_, &QComboBox::currentIndexChanged, this, &PieceDialog::fillLevels);
    connect(food_, &QComboBox::currentIndexChanged, this, [this] {
        takeUsualShape();
        fillLevels();
    });
    fillLevels();
}

void PieceDialog::buildChoosers() {
    const cook::FoodPiece& piece = recipe_.piece;
    const auto& foods = food::shippedFoods();
    food_ = combo(tr("Food"), namesOf(foods, [](const auto& f) { return f.name; }),
                  placeOf(foods, piece.food.id));
    form_ = combo(tr("Form"), {tr("intact"), tr("bladed"), tr("rolled"), tr("minced")},
                  static_cast<int>(piece.form));
    shape_ =
        combo(tr("Shape"),
              {tr("slab"), tr("long and round"), tr("ball"), tr("block"), tr("round, flat ends")},
              static_cast<int>(piece.shape));
    bone_ = combo(tr("Bone"), {tr("none"), tr("under the first face"), tr("along one side")},
                  static_cast<int>(piece.bone));
    surface_ =
        combo(tr("Surface"), {tr("patted dry"), tr("wet"), tr("air-dried"), tr("salted ahead")},
              static_cast<int>(piece.surface));
    QStringList fats{tr("none")};
    fats << namesOf(food::shippedFats(), [](const auto& f) { return f.name; });
    fat_ = combo(tr("Fat it is fried in"), fats, placeOf(food::shippedFats(), piece.fat) + 1);
    scale_ = combo(tr("Doneness scale"), namesOf(scales_, [](const auto& s) { return s.name; }), 0);
    level_ = combo(tr("Doneness"), {}, 0);
}

void PieceDialog::buildMeasures() {
    const cook::FoodPiece& piece = recipe_.piece;
    const Units& units = document_.units();
    thickness_ = lengthField(tr("Thickness or diameter"), piece.thicknessM);
    width_ = lengthField(tr("Width"), piece.widthM);
    cap_ = lengthField(tr("Fat cap"), piece.fatCapM);
    rounds_ = new QSpinBox;
    rounds_->setRange(1, 20);
    rounds_->setButtonSymbols(QAbstractSpinBox::NoButtons);
    rounds_->setValue(piece.rounds);
    rounds_->setAccessibleName(tr("Rounds, one after another"));
    QStringList others;
    for (const double thickness : piece.othersM)
        others << text(printLength(thickness, units.inches));
    others_ = new QLineEdit(others.join(QStringLiteral(", ")));
    others_->setAccessibleName(tr("Other pieces, their thickness"));
    others_->setPlaceholderText(tr("none, or 30 mm, 36 mm"));
    start_ = new QLineEdit(
        text(printTemperature(Temperature::kelvin(piece.startK), units.temperature())));
    start_->setAccessibleName(tr("Start temperature"));
}

QLayout* PieceDialog::buildSeasonings() {
    const auto& on = recipe_.piece.seasonings;
    auto* grid = new QGridLayout;
    for (const food::Seasoning& one : food::shippedSeasonings()) {
        auto* check = new QCheckBox(text(one.name));
        check->setChecked(std::find(on.begin(), on.end(), one.id) != on.end());
        const int at = static_cast<int>(on_.size());
        grid->addWidget(check, at / 2, at % 2);
        on_.push_back(check);
    }
    return grid;
}

/// Another food comes in its usual shape and measures; they can be changed again.
void PieceDialog::takeUsualShape() {
    const auto& food = food::shippedFoods()[static_cast<std::size_t>(food_->currentIndex())];
    const auto shape = heat::shapeOf(food.shape).value_or(heat::Shape::slab);
    shape_->setCurrentIndex(static_cast<int>(shape));
    const bool inches = document_.units().inches;
    thickness_->setText(text(printLength(food.thicknessM, inches)));
    if (isCrossSection(shape))
        width_->setText(text(printLength(food.widthM, inches)));
}

/// The levels that the scale has for this food, and first the recipe's own.
void PieceDialog::fillLevels() {
    level_->clear();
    level_->addItem(tr("as written: %1").arg(text(recipe_.goal.words)));
    const auto& food = food::shippedFoods()[static_cast<std::size_t>(food_->currentIndex())];
    const auto& scale = scales_[static_cast<std::size_t>(scale_->currentIndex())];
    const auto unit = document_.units().temperature();
    for (const food::DonenessLevel& level : levelsOf(scale, food.foodClass))
        level_->addItem(tr("%1, %2 to %3")
                            .arg(text(level.name),
                                 text(printTemperature(Temperature::kelvin(level.lowK), unit)),
                                 text(printTemperature(Temperature::kelvin(level.highK), unit))));
    scale_->setToolTip(tr("read %1").arg(QString::fromUtf8(words(scale.readAt))));
}

void PieceDialog::take() {
    const double unit = document_.units().inches ? 0.0254 : 1e-3;
    const auto thickness = parseLengthM(plain(thickness_->text()), unit),
               width = parseLengthM(plain(width_->text()), unit),
               cap = parseLengthM(plain(cap_->text()), unit);
    const auto start = parseTemperature(plain(start_->text()), document_.units().temperature());
    book::RecipeRecord changed = recipe_;
    cook::FoodPiece& piece = changed.piece;
    const auto& food = food::shippedFoods()[static_cast<std::size_t>(food_->currentIndex())];
    piece.food = food;
    piece.form = static_cast<food::Form>(form_->currentIndex());
    piece.shape = static_cast<heat::Shape>(shape_->currentIndex());
    piece.bone = static_cast<heat::Bone>(bone_->currentIndex());
    piece.surface = static_cast<cook::SurfaceState>(surface_->currentIndex());
    piece.fat = fat_->currentIndex() > 0
                    ? food::shippedFats()[static_cast<std::size_t>(fat_->currentIndex() - 1)].id
                    : "";
    piece.seasonings.clear();
    for (std::size_t i = 0; i < on_.size(); ++i)
        if (on_[i]->isChecked())
            piece.seasonings.push_back(food::shippedSeasonings()[i].id);
    std::optional<Error> wrong;
    for (const auto* length : {&thickness, &width, &cap})
        if (!*length)
            wrong = length->error();
    piece.rounds = rounds_->value();
    piece.othersM.clear();
    for (const QString& one : others_->text().split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        const auto other = parseLengthM(plain(one.trimmed()), unit);
        if (!other)
            wrong = other.error();
        else
            piece.othersM.push_back(*other);
    }
    if (!start)
        wrong = start.error();
    if (!wrong) {
        piece.thicknessM = *thickness;
        piece.widthM = *width;
        piece.fatCapM = *cap;
        piece.startK = start->kelvin();
        const int level = level_->currentIndex() - 1;
        const auto& scale = scales_[static_cast<std::size_t>(scale_->currentIndex())];
        const auto levels = levelsOf(scale, food.foodClass);
        if (level >= 0 && level < static_cast<int>(levels.size()))
            changed.goal = translate::goalOf(scale, levels[static_cast<std::size_t>(level)]);
        if (const auto fits = cook::checkPiece(piece, changed.goal.coreK); !fits)
            wrong = fits.error();
    }
    if (wrong)
        return foot_->showProblem(*wrong);
    recipe_ = changed;
    accept();
}

} // namespace dynamet::app
