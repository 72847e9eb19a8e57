// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/stage_edit.h"

#include "kitchen/grate_height.h"
#include "kitchen/open_lid.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QVBoxLayout>

namespace dynamet::app {

StageEdit::StageEdit(Document& document, int number, bool last, const recipe::Stage& stage,
                     QWidget* parent)
    : QWidget(parent), document_(document), number_(number), last_(last), appliance_(new QComboBox),
      zone_(new QComboBox), vessel_(new QComboBox), insert_(new QComboBox),
      setting_(new SettingEdit(QStringLiteral("Stage %1").arg(number))),
      lid_(new QCheckBox(QStringLiteral("lid open"))) {
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 6, 0, 10);
    box->setSpacing(6);
    box->addWidget(buildPlace(stage));
    box->addWidget(buildGrate(stage));
    box->addWidget(buildHandling(stage));
    box->addWidget(buildEnd(stage));
}

QString StageEdit::named(const QString& what) const {
    return QStringLiteral("Stage %1, %2").arg(number_).arg(what);
}

const kitchen::Appliance* StageEdit::appliance() const {
    return findAppliance(document_.kitchen(), toStd(appliance_->currentData().toString()));
}

QWidget* StageEdit::buildPlace(const recipe::Stage& stage) {
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(8);
    auto* number = new QLabel(QString::number(number_));
    number->setObjectName(QStringLiteral("sentence"));
    number->setFixedWidth(20);
    appliance_->setAccessibleName(named(QStringLiteral("appliance")));
    zone_->setAccessibleName(named(QStringLiteral("zone")));
    vessel_->setAccessibleName(named(QStringLiteral("vessel")));
    insert_->setAccessibleName(named(QStringLiteral("insert")));
    insert_->addItem(QStringLiteral("nothing put in"), QString());
    for (const kitchen::Insert& insert : document_.kitchen().inserts)
        insert_->addItem(toQt(insert.name), toQt(insert.id));
    insert_->setCurrentIndex(std::max(0, insert_->findData(toQt(stage.place.insertId))));
    lid_->setAccessibleName(named(QStringLiteral("lid open")));
    lid_->setChecked(stage.place.lidOpen);
    for (const kitchen::Appliance& a : document_.kitchen().appliances)
        appliance_->addItem(toQt(a.name), toQt(a.id));
    const recipe::Place& place = stage.place;
    appliance_->setCurrentIndex(std::max(0, appliance_->findData(toQt(place.applianceId))));
    fillZones();
    zone_->setCurrentIndex(std::max(0, zone_->findText(toQt(place.zone))));
    fillVessels(place.vesselId);
    if (const auto* here = appliance())
        setting_->showSetting(*here, place.setting);
    setting_->orderAfter(lid_);
    connect(appliance_, &QComboBox::currentIndexChanged, this, [this] {
        fillZones();
        fillVessels("");
        if (const auto* here = appliance())
            setting_->showSetting(*here, {});
        readBack();
    });
    line->addWidget(number);
    line->addWidget(appliance_);
    line->addWidget(zone_);
    line->addWidget(vessel_);
    line->addWidget(insert_);
    line->addWidget(lid_);
    line->addWidget(setting_, 1);
    return out;
}

/// The zones of the appliance, and the vessel where it takes one.
void StageEdit::fillZones() {
    const auto* here = appliance();
    zone_->clear();
    if (!here)
        return;
    for (const kitchen::Zone& zone : here->zones)
        zone_->addItem(toQt(zone.name));
    zone_->setVisible(here->zones.size() > 1);
    lid_->setVisible(hasLid(here->kind));
}

/// A hob needs a vessel; elsewhere the food may lie in one. Baths and fryers take none.
void StageEdit::fillVessels(const std::string& chosen) {
    const auto* here = appliance();
    if (!here)
        return;
    const bool hob = isHob(here->kind);
    const bool liquid = groupOf(here->kind) == kitchen::HeatGroup::waterAndOil;
    vessel_->clear();
    if (!hob)
        vessel_->addItem(QStringLiteral("in no vessel"), QString());
    for (const kitchen::Vessel& v : document_.kitchen().vessels)
        vessel_->addItem(toQt(v.name), toQt(v.id));
    const std::string& wanted = hob && chosen.empty() ? here->standardVesselId : chosen;
    vessel_->setCurrentIndex(std::max(0, vessel_->findData(toQt(wanted))));
    vessel_->setVisible(hob || (!liquid && vessel_->count() > 1));
    insert_->setVisible(!hob && !liquid && insert_->count() > 1);
}

/// Over open coals a grate can be nearer or farther; elsewhere the line is not there.
QWidget* StageEdit::buildGrate(const recipe::Stage& stage) {
    constexpr int kWidth = 168;
    const bool inches = document_.units().inches;
    auto* out = new QWidget;
    auto* line = new QHBoxLayout(out);
    line->setContentsMargins(28, 0, 0, 0);
    line->setSpacing(8);
    grate_ =
        field(QStringLiteral("grate over the coals"),
              stage.place.heightM > 0 ? toQt(printLength(stage.place.heightM, inches)) : QString(),
              QStringLiteral("as usual"), kWidth);
    line->addWidget(new QLabel(QStringLiteral("grate over the coals")));
    line->addWidget(grate_);
    line->addStretch();
    connect(zone_, &QComboBox::currentIndexChanged, this, &StageEdit::showGrate);
    showGrate();
    return out;
}

bool StageEdit::hasGrate() const {
    const auto* here = appliance();
    const auto* zone = here ? findZone(*here, toStd(zone_->currentText())) : nullptr;
    return zone && hasGrateOverCoals(*here, *zone);
}

void StageEdit::showGrate() {
    if (grate_ && grate_->parentWidget())
        grate_->parentWidget()->setVisible(hasGrate());
}

Result<double> StageEdit::grateHeight() const {
    const std::string typed = toStd(grate_->text().trimmed());
    if (typed.empty() || !hasGrate())
        return 0.0;
    const Units& units = document_.units();
    const auto height = parseLengthM(typed, units.inches ? 0.0254 : 0.01);
    if (!height)
        return tl::unexpected(height.error().in(toStd(grate_->accessibleName())));
    if (*height < kitchen::kLowestGrateM || *height > kitchen::kHighestGrateM)
        return fail(Errc::invalidArgument,
                    toStd(QStringLiteral("%1: %2 to %3 can be worked with")
                              .arg(grate_->accessibleName(),
                                   toQt(printLength(kitchen::kLowestGrateM, units.inches)),
                                   toQt(printLength(kitchen::kHighestGrateM, units.inches)))));
    return *height;
}

QWidget* StageEdit::buildHandling(const recipe::Stage& stage) {
    auto* out = new QWidget;
    auto* lines = new QVBoxLayout(out);
    lines->setContentsMargins(28, 0, 0, 0);
    lines->setSpacing(2);
    does_ = new QLineEdit;
    does_->setAccessibleName(named(QStringLiteral("what you do")));
    does_->setPlaceholderText(QStringLiteral(
        "what you do in it: 3 min, turn, 2 min, lid on at 4 min … (nothing is fine)"));
    if (const auto* here = appliance())
        does_->setText(toQt(recipe::handlingSentence(stage.handling, *here, stage.place.setting,
                                                     document_.units().temperature())));
    understood_ = new QLabel;
    understood_->setWordWrap(true);
    understood_->setObjectName(QStringLiteral("note"));
    understood_->setAccessibleName(named(QStringLiteral("understood")));
    lines->addWidget(does_);
    lines->addWidget(understood_);
    connect(does_, &QLineEdit::textChanged, this, &StageEdit::readBack);
    readBack();
    return out;
}

Result<recipe::SaidHandling> StageEdit::said() const {
    const auto* here = appliance();
    const std::string sentence = toStd(does_->text().trimmed());
    if (!here || sentence.empty())
        return recipe::SaidHandling{};
    const auto setting = setting_->setting();
    if (!setting)
        return tl::unexpected(setting.error());
    auto out = recipe::parseHandling(sentence, *here, *setting, document_.units().temperature());
    if (!out)
        return tl::unexpected(out.error().in(toStd(does_->accessibleName())));
    return out;
}

void StageEdit::readBack() {
    if (!does_ || !understood_)
        return;
    const auto* here = appliance();
    const auto means = said();
    const auto setting = setting_->setting();
    QString words;
    if (!means)
        words = toQt(means.error(), document_.units());
    else if (here && setting && !does_->text().trimmed().isEmpty())
        words = QStringLiteral("understood: ") +
                toQt(recipe::handlingSentence(means->handling, *here, *setting,
                                              document_.units().temperature())) +
                (means->totalS > 0
                     ? QStringLiteral("; %1 in all").arg(toQt(recipe::saidTime(means->totalS)))
                     : QString());
    understood_->setText(words);
    understood_->setVisible(!words.isEmpty());
}

QLineEdit* StageEdit::field(const QString& name, const QString& shown, const QString& none,
                            int width) {
    auto* out = new QLineEdit(shown);
    out->setAccessibleName(named(name));
    out->setPlaceholderText(none);
    out->setFixedWidth(width);
    return out;
}

QWidget* StageEdit::buildEnd(const recipe::Stage& stage) {
    constexpr int kShort = 84, kLong = 168;
    const auto timeText = [](double s) { return s > 0 ? toQt(recipe::saidTime(s)) : QString(); };
    auto* out = new QWidget;
    auto* lines = new QVBoxLayout(out); // one line would be wider than a small screen
    lines->setContentsMargins(28, 0, 0, 0);
    auto* line = new QHBoxLayout;
    line->setSpacing(8);
    lines->addLayout(line);
    time_ = field(QStringLiteral("time"), timeText(stage.end.afterS),
                  last_ ? QStringLiteral("until the goal is met") : QStringLiteral("no time"),
                  last_ ? kLong : kShort);
    if (last_) {
        line->addWidget(new QLabel(QStringLiteral("for")));
        line->addWidget(time_);
        line->addStretch();
        return out;
    }
    const auto unit = document_.units().temperature();
    core_ =
        field(QStringLiteral("core"),
              stage.end.coreK ? toQt(printTemperature(Temperature::kelvin(*stage.end.coreK), unit))
                              : QString(),
              QStringLiteral("no core"), kShort);
    wait_ = field(QStringLiteral("wait"), timeText(stage.waitS), QStringLiteral("no wait"), kShort);
    edges_ = new QCheckBox(QStringLiteral("edges down"));
    edges_->setAccessibleName(named(QStringLiteral("edges down")));
    edges_->setChecked(stage.edgesDown);
    foil_ = new QCheckBox(QStringLiteral("under foil"));
    foil_->setAccessibleName(named(QStringLiteral("under foil")));
    foil_->setChecked(stage.waitTented);
    auto* earlier = new QPushButton(QStringLiteral("Earlier"));
    earlier->setAccessibleName(named(QStringLiteral("earlier")));
    earlier->setEnabled(number_ > 1);
    auto* remove = new QPushButton(QStringLiteral("Remove"));
    remove->setAccessibleName(named(QStringLiteral("remove")));
    connect(earlier, &QPushButton::clicked, this, &StageEdit::earlierWanted);
    connect(remove, &QPushButton::clicked, this, &StageEdit::removeWanted);
    line->addWidget(new QLabel(QStringLiteral("until the core reads")));
    line->addWidget(core_);
    line->addWidget(new QLabel(QStringLiteral("or for")));
    line->addWidget(time_);
    line->addWidget(edges_);
    line->addStretch();
    line = new QHBoxLayout;
    line->setSpacing(8);
    lines->addLayout(line);
    line->addWidget(new QLabel(QStringLiteral("then wait")));
    line->addWidget(wait_);
    line->addWidget(foil_);
    line->addStretch();
    line->addWidget(earlier);
    line->addWidget(remove);
    return out;
}

/// 0 for an empty field.
Result<double> StageEdit::seconds(const QLineEdit* field) const {
    const QString typed = field->text().trimmed();
    if (typed.isEmpty())
        return 0.0;
    const auto time = parseDuration(toStd(typed));
    if (!time)
        return tl::unexpected(time.error().in(toStd(field->accessibleName())));
    return time->highS;
}

Result<recipe::Stage> StageEdit::stage() const {
    recipe::Stage stage;
    const auto* here = appliance();
    if (!here)
        return fail(Errc::invalidArgument, "the kitchen has no appliance yet: add one first");
    const auto setting = setting_->setting();
    if (!setting)
        return tl::unexpected(setting.error());
    const bool liquid = groupOf(here->kind) == kitchen::HeatGroup::waterAndOil;
    stage.place = {here->id,
                   *setting,
                   toStd(zone_->currentText()),
                   liquid ? "" : toStd(vessel_->currentData().toString()),
                   hasLid(here->kind) && lid_->isChecked(),
                   liquid || isHob(here->kind) ? "" : toStd(insert_->currentData().toString())};
    const auto height = grateHeight();
    if (!height)
        return tl::unexpected(height.error());
    stage.place.heightM = *height;
    const auto means = said();
    if (!means)
        return tl::unexpected(means.error());
    stage.handling = means->handling;
    const auto time = seconds(time_);
    if (!time)
        return tl::unexpected(time.error());
    stage.end.afterS = *time > 0 ? *time : means->totalS;
    if (last_)
        return stage;
    const auto wait = seconds(wait_);
    if (!wait)
        return tl::unexpected(wait.error());
    stage.waitS = *wait;
    stage.waitTented = foil_->isChecked();
    stage.edgesDown = edges_->isChecked();
    if (const QString typed = core_->text().trimmed(); !typed.isEmpty()) {
        const auto core = parseTemperature(toStd(typed), document_.units().temperature());
        if (!core)
            return tl::unexpected(core.error().in(toStd(core_->accessibleName())));
        stage.end.coreK = core->kelvin();
    }
    return stage;
}

} // namespace dynamet::app
