// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/piece_dialog.h"

#include "app/widgets/quantity_kinds.h"
#include "cook/cook.h"
#include "food/seasoning.h"
#include "quantity/parse_measures.h"

#include <QGridLayout>
#include <QSignalBlocker>

namespace dynamet::app {
namespace {

constexpr double kThinnestM = 1e-3, kThickestM = 0.4;

template <class Range>
int placeOf(const Range& all, const std::string& id) {
    const auto at = std::find_if(all.begin(), all.end(), [&](const auto& o) { return o.id == id; });
    return at == all.end() ? -1 : static_cast<int>(at - all.begin());
}

heat::Shape shapeOf(const food::Food& food) {
    return heat::shapeOf(food.shape).value_or(heat::Shape::slab);
}

} // namespace

PieceDialog::PieceDialog(Document& document, const recipe::Recipe& recipe, QWidget* parent)
    : FormDialog(document, QStringLiteral("The piece"), parent), recipe_(recipe),
      scales_(food::scalesWith(document.choices().scales)) {
    setProperty("guide", QStringLiteral("translate"));
    buildChoosers();
    buildMeasures();
    connect(scale_, &QComboBox::currentIndexChanged, this, &PieceDialog::fillLevels);
    connect(food_, &QComboBox::currentIndexChanged, this, &PieceDialog::takeFood);
    connect(shape_, &QComboBox::currentIndexChanged, this, &PieceDialog::showMeasures);
    fillLevels();
    showMeasures();
    food_->setFocus();
}

void PieceDialog::buildChoosers() {
    const recipe::FoodPiece& piece = recipe_.piece;
    food_ = addChoice(QStringLiteral("Food"), namesOf(food::shippedFoods()),
                      std::max(0, placeOf(food::shippedFoods(), piece.food.id)));
    food_->setMaxVisibleItems(20);
    scale_ = addChoice(QStringLiteral("Doneness scale"), namesOf(scales_), 0);
    level_ = addChoice(QStringLiteral("Doneness"), {}, -1);
    form_ = addChoice(QStringLiteral("Form"),
                      {QStringLiteral("intact"), QStringLiteral("blade-tenderised"),
                       QStringLiteral("rolled"), QStringLiteral("minced")},
                      static_cast<int>(piece.form));
    shape_ =
        addChoice(QStringLiteral("Shape"),
                  {QStringLiteral("slab"), QStringLiteral("long cylinder"), QStringLiteral("ball"),
                   QStringLiteral("block"), QStringLiteral("short cylinder")},
                  static_cast<int>(piece.shape));
}

void PieceDialog::buildMeasures() {
    const recipe::FoodPiece& piece = recipe_.piece;
    const Units& units = document_.units();
    thickness_ = addQuantity(QStringLiteral("Thickness or diameter"),
                             kinds::length(units, kThinnestM, kThickestM), piece.thicknessM);
    thicknessBy_ =
        addChoice(QStringLiteral("Thickness known by"),
                  {QStringLiteral("eye"), QStringLiteral("ruler"), QStringLiteral("calipers")},
                  static_cast<int>(piece.thicknessBy));
    width_ = addQuantity(QStringLiteral("Width"), kinds::length(units, kThinnestM, kThickestM),
                         piece.widthM);
    start_ = addQuantity(QStringLiteral("Start temperature"), kinds::temperature(units, -40, 90),
                         piece.startK);
    startBy_ = addChoice(QStringLiteral("Start known by"),
                         {QStringLiteral("hand or habit"), QStringLiteral("a probe")},
                         piece.startProbed ? 1 : 0);
    QStringList others;
    for (const double thickness : piece.othersM)
        others << toQt(printLength(thickness, units.inches));
    others_ = addText(
        QStringLiteral("Other pieces (thickness)"), toStd(others.join(QStringLiteral("; "))),
        QStringLiteral("none, or %1; %2")
            .arg(toQt(printLength(0.030, units.inches)), toQt(printLength(0.036, units.inches))));
    pieces_ = addCount(QStringLiteral("How many pieces"), static_cast<int>(recipe::kMostPieces),
                       piece.pieces);
    covers_ = addQuantity(QStringLiteral("Each takes up"), kinds::area(units, 1e-4, 0.5, true),
                          piece.coversM2 > 0 ? std::optional(piece.coversM2) : std::nullopt);
    covers_->edit().setPlaceholderText(
        QStringLiteral("not known: batches are then as you say below"));
    beside_ = addQuantity(QStringLiteral("Other food beside it takes up"),
                          kinds::area(units, 1e-4, 0.5, true),
                          piece.besideM2 > 0 ? std::optional(piece.besideM2) : std::nullopt);
    beside_->edit().setPlaceholderText(QStringLiteral("nothing"));
    rounds_ = addCount(QStringLiteral("Batches, one after another"), 20, piece.rounds);
    bone_ =
        addChoice(QStringLiteral("Bone"),
                  {QStringLiteral("none"), QStringLiteral("under the side that goes down first"),
                   QStringLiteral("along one side")},
                  static_cast<int>(piece.bone));
    cap_ =
        addQuantity(QStringLiteral("Fat cap"), kinds::length(units, 0, kThickestM), piece.fatCapM);
    surface_ = addChoice(QStringLiteral("Surface"),
                         {QStringLiteral("patted dry"), QStringLiteral("wet"),
                          QStringLiteral("air-dried"), QStringLiteral("salted ahead")},
                         static_cast<int>(piece.surface));
    fat_ = addChoice(QStringLiteral("Fat it is fried in"),
                     QStringList{QStringLiteral("none")} + namesOf(food::shippedFats()),
                     placeOf(food::shippedFats(), piece.fat) + 1);
    form().addRow(QStringLiteral("Seasoning"), buildSeasonings());
}

QSpinBox* PieceDialog::addCount(const QString& name, int most, int value) {
    auto* out = new QSpinBox;
    out->setRange(1, most);
    out->setButtonSymbols(QAbstractSpinBox::NoButtons);
    out->setValue(value);
    out->setAccessibleName(name);
    form().addRow(name, out);
    return out;
}

QWidget* PieceDialog::buildSeasonings() {
    const auto& on = recipe_.piece.seasonings;
    auto* out = new QWidget;
    auto* grid = new QGridLayout(out);
    grid->setContentsMargins(0, 0, 0, 0);
    for (const food::Seasoning& one : food::shippedSeasonings()) {
        auto* check = new QCheckBox(toQt(one.name));
        check->setChecked(std::find(on.begin(), on.end(), one.id) != on.end());
        const int at = static_cast<int>(on_.size());
        grid->addWidget(check, at / 2, at % 2);
        on_.push_back(check);
    }
    return out;
}

const food::Food& PieceDialog::food() const {
    return food::shippedFoods()[static_cast<std::size_t>(food_->currentIndex())];
}

const food::DonenessScale& PieceDialog::scale() const {
    return scales_[static_cast<std::size_t>(scale_->currentIndex())];
}

/// Another food comes as it usually is, with a doneness of its own; all of it can be changed again.
void PieceDialog::takeFood() {
    const food::Food& now = food();
    const bool own = now.id == recipe_.piece.food.id;
    const recipe::FoodPiece& piece = recipe_.piece;
    shape_->setCurrentIndex(static_cast<int>(own ? piece.shape : shapeOf(now)));
    form_->setCurrentIndex(static_cast<int>(own ? piece.form : now.usualForm));
    thickness_->setValue(own ? piece.thicknessM : now.thicknessM);
    width_->setValue(own ? piece.widthM : now.widthM);
    start_->setValue(own ? piece.startK : now.usualStartK);
    cap_->setValue(own ? piece.fatCapM : 0);
    bone_->setCurrentIndex(own ? static_cast<int>(piece.bone) : 0);
    others_->clear();
    const QSignalBlocker quiet(scale_);
    for (int i = 0; i < scale_->count() && levelsOf(scale(), now.foodClass).empty(); ++i)
        scale_->setCurrentIndex(i);
    fillLevels();
    showMeasures();
}

/// The levels that the scale has for this food; first the recipe's own, as long as the food is.
void PieceDialog::fillLevels() {
    level_->clear();
    const bool own = food().id == recipe_.piece.food.id;
    const bool byClock = recipe_.endsByClock(), first = own || byClock;
    if (first)
        level_->addItem(byClock ? QStringLiteral("what the recipe's time gives")
                                : QStringLiteral("as written: %1").arg(toQt(recipe_.goal.words)));
    const auto unit = document_.units().temperature();
    const auto levels = levelsOf(scale(), food().foodClass);
    for (const food::DonenessLevel& level : levels)
        level_->addItem(QStringLiteral("%1, %2 to %3")
                            .arg(toQt(level.name),
                                 toQt(printTemperature(Temperature::kelvin(level.lowK), unit)),
                                 toQt(printTemperature(Temperature::kelvin(level.highK), unit))));
    level_->setCurrentIndex(first ? 0 : static_cast<int>(levels.size() / 2));
    scale_->setToolTip(QStringLiteral("read %1").arg(QString::fromUtf8(phraseOf(scale().readAt))));
}

void PieceDialog::showMeasures() {
    const auto shape = static_cast<heat::Shape>(shape_->currentIndex());
    setRowVisible(width_, isCrossSection(shape));
    setRowVisible(bone_, hasTwoFaces(shape));
    setRowVisible(cap_, hasTwoFaces(shape));
}

Result<void> PieceDialog::takeMeasures(recipe::FoodPiece& piece) const {
    piece.thicknessM = **thickness_->value();
    piece.widthM = **width_->value();
    piece.startK = **start_->value();
    piece.thicknessBy = static_cast<recipe::KnownBy>(thicknessBy_->currentIndex());
    piece.startProbed = startBy_->currentIndex() == 1;
    piece.fatCapM = hasTwoFaces(piece.shape) ? **cap_->value() : 0;
    piece.rounds = rounds_->value();
    piece.pieces = pieces_->value();
    piece.coversM2 = covers_->value()->value_or(0);
    piece.besideM2 = beside_->value()->value_or(0);
    piece.othersM.clear();
    const double unit = document_.units().inches ? 0.0254 : 1e-3;
    QString typed = others_->text();
    typed.replace(QStringLiteral(", "), QStringLiteral("; "));
    for (const QString& one : typed.split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        const auto other = parseLengthM(toStd(one.trimmed()), unit);
        if (!other)
            return tl::unexpected(other.error().in(toStd(others_->accessibleName())));
        piece.othersM.push_back(*other);
    }
    return {};
}

Result<recipe::Goal> PieceDialog::goal() const {
    const bool own = food().id == recipe_.piece.food.id || recipe_.endsByClock();
    const int level = level_->currentIndex() - (own ? 1 : 0);
    const auto levels = levelsOf(scale(), food().foodClass);
    if (level >= 0 && level < static_cast<int>(levels.size()))
        return recipe::goalOf(scale(), levels[static_cast<std::size_t>(level)]);
    if (!own)
        return fail(
            Errc::invalidArgument,
            toStd(QStringLiteral("Doneness: no scale has a level for this food; write the recipe's "
                                 "time in its last stage instead")));
    return recipe_.goal;
}

Result<void> PieceDialog::take() {
    recipe::Recipe changed = recipe_;
    recipe::FoodPiece& piece = changed.piece;
    piece.food = food();
    piece.form = static_cast<food::Form>(form_->currentIndex());
    piece.shape = static_cast<heat::Shape>(shape_->currentIndex());
    piece.bone = hasTwoFaces(piece.shape) ? static_cast<heat::Bone>(bone_->currentIndex())
                                          : heat::Bone::none;
    piece.surface = static_cast<recipe::SurfaceState>(surface_->currentIndex());
    piece.fat = fat_->currentIndex() > 0
                    ? food::shippedFats()[static_cast<std::size_t>(fat_->currentIndex() - 1)].id
                    : "";
    piece.seasonings.clear();
    for (std::size_t i = 0; i < on_.size(); ++i)
        if (on_[i]->isChecked())
            piece.seasonings.push_back(food::shippedSeasonings()[i].id);
    if (const auto measures = takeMeasures(piece); !measures)
        return measures;
    const auto wanted = goal();
    if (!wanted)
        return tl::unexpected(wanted.error());
    changed.goal = *wanted;
    const bool byClock = changed.endsByClock();
    if (!byClock)
        if (const auto makes = food::checkDoneness(scales_, piece.food, changed.goal.coreK); !makes)
            return makes;
    if (const auto fits = cook::checkPiece(piece, byClock ? 1e9 : changed.goal.coreK); !fits)
        return fits;
    recipe_ = changed;
    return {};
}

} // namespace dynamet::app
