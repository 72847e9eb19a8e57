// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/tried_pane.h"

#include "quantity/parse_duration.h"
#include "translate/tried_times.h"
#include "words/tried_words.h"

#include <QGridLayout>
#include <QLabel>
#include <QPointer>

namespace dynamet::app {
namespace {

/// What a cook does: left alone, turned halfway, or all the time.
std::vector<recipe::Turning> turnings() {
    using enum recipe::TurnWhen;
    return {{never, 0, 0}, {half, 0, 0}, {every, cook::kOftenTurnS, 0}};
}

} // namespace

TriedPane::TriedPane(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), turning_(new QComboBox), cover_(new QCheckBox),
      reset_(new QPushButton(QStringLiteral("Back to the row"))), box_(new QVBoxLayout(this)) {
    box_->setContentsMargins(0, 0, 0, 0);
    box_->setSpacing(4);
    auto* overline = new QLabel(QStringLiteral("WHAT IF, HERE"));
    overline->setObjectName(QStringLiteral("overline"));
    auto* head = new QHBoxLayout;
    head->addWidget(overline);
    head->addStretch();
    reset_->setAccessibleName(QStringLiteral("Back to the row as it was found"));
    head->addWidget(reset_);
    box_->addLayout(head);
    auto* line = new QHBoxLayout;
    turning_->setAccessibleName(QStringLiteral("Turning, tried"));
    turning_->addItem(QStringLiteral("turned as the row has it"));
    for (const recipe::Turning& one : turnings())
        turning_->addItem(toQt(words::turningWords(one, document_.units())));
    cover_->setAccessibleName(QStringLiteral("Covered, tried"));
    line->addWidget(turning_);
    line->addWidget(cover_);
    line->addStretch();
    box_->addLayout(line);
    connect(turning_, &QComboBox::activated, this, [this] { take(QStringLiteral("turning")); });
    connect(cover_, &QCheckBox::clicked, this, [this] { take(QStringLiteral("cover")); });
    connect(reset_, &QPushButton::clicked, this, [this] {
        const translate::Tried before = tried_;
        become({});
        note(QStringLiteral("back to the row"), before);
    });
    connect(&document_, &Document::unitsChanged, this, [this] {
        for (StepperSlider* slider : sliders_)
            slider->refreshText();
    });
}

StepperSlider* TriedPane::addSlider(const QString& name, double step, StepperSlider::Print print,
                                    StepperSlider::Parse parse) {
    auto* out = new StepperSlider(name, step, std::move(print), std::move(parse));
    connect(out, &StepperSlider::tried, this, [this, name] { take(name); });
    return out;
}

void TriedPane::build(const kitchen::Appliance& on) {
    delete fields_;
    fields_ = new QWidget;
    auto* grid = new QGridLayout(fields_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(18);
    sliders_.clear();
    int at = 0;
    const auto place = [&](StepperSlider* slider) {
        grid->addWidget(slider, at / 2, at % 2);
        ++at;
    };
    for (const kitchen::Knob& knob : knobs_) {
        auto* slider = addSlider(
            toQt(knob.name), knob.step,
            [this, knob](double value) { return toQt(knobText(controls_, knob, value)); },
            [this, knob](const QString& typed) {
                return parseKnob(controls_, knob, toStd(typed));
            });
        slider->begin(knob.at, knob.low, knob.high);
        sliders_.push_back(slider);
        place(slider);
    }
    const translate::TriedTimes times =
        translate::triedTimes(best_.outcome.pullS - best_.outcome.lastStartS);
    time_ = addSlider(
        QStringLiteral("Out after"), times.stepS,
        [](double seconds) { return toQt(printDuration(seconds)); },
        [](const QString& typed) {
            return parseDuration(toStd(typed)).map([](DurationRange r) { return r.highS; });
        });
    time_->begin(times.ownS, times.shortestS, times.longestS);
    place(time_);
    box_->insertWidget(1, fields_);
    const auto cover = translate::coverThere(on.kind);
    cover_->setText(toQt(words::coverWords(cover)));
    cover_->setVisible(cover != translate::CoverThere::none);
}

void TriedPane::showRow(const translate::Row& best, const translate::Prepared& prepared) {
    const auto* on = findAppliance(prepared.request.kitchen, best.target.applianceId);
    setVisible(on && best.reached);
    if (!on || !best.reached)
        return;
    const bool samePlace = best.target == best_.target;
    const bool same = samePlace && best.instruction.setting == best_.instruction.setting &&
                      best.outcome.pullS == best_.outcome.pullS && controls_ == on->controls;
    best_ = best;
    if (!samePlace)
        tried_ = {};
    if (!same) {
        controls_ = on->controls;
        knobs_ = knobsOf(controls_, best.instruction.setting);
        build(*on);
    }
    const auto stages = stagesOf(prepared.request, best);
    cover_->setProperty("own",
                        translate::isCovered(stages[prepared.request.moved.value_or(0)], on->kind));
    showTried();
}

/// The controls say what is tried.
void TriedPane::showTried() {
    const QSignalBlocker quiet(this);
    const auto shown = tried_.setting ? knobsOf(controls_, *tried_.setting) : knobs_;
    for (std::size_t i = 0; i < std::min(shown.size(), sliders_.size()); ++i)
        sliders_[i]->put(shown[i].at == knobs_[i].at ? std::nullopt : std::optional(shown[i].at));
    if (time_)
        time_->put(tried_.lastS);
    int at = 0;
    const auto all = turnings();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (tried_.turning == all[i])
            at = static_cast<int>(i) + 1;
    turning_->setCurrentIndex(at);
    cover_->setChecked(tried_.covered.value_or(cover_->property("own").toBool()));
    reset_->setEnabled(tried_.any());
}

void TriedPane::take(const QString& hand) {
    const translate::Tried before = tried_;
    translate::Tried now;
    kitchen::Setting setting = best_.instruction.setting;
    for (std::size_t i = 0; i < sliders_.size(); ++i)
        if (const auto value = sliders_[i]->state())
            setting = turned(controls_, setting, knobs_[i], *value);
    if (!(setting == best_.instruction.setting))
        now.setting = setting;
    now.lastS = time_->state();
    if (turning_->currentIndex() > 0)
        now.turning = turnings()[static_cast<std::size_t>(turning_->currentIndex() - 1)];
    if (cover_->isChecked() != cover_->property("own").toBool())
        now.covered = cover_->isChecked();
    tried_ = now;
    note(hand, before);
}

void TriedPane::note(const QString& hand, const translate::Tried& before) {
    if (tried_ == before)
        return;
    reset_->setEnabled(tried_.any());
    const auto put = [pane = QPointer(this), target = best_.target](const translate::Tried& tried) {
        return [=] {
            if (!pane)
                return;
            if (!(pane->best_.target == target))
                emit pane->rowWanted(target);
            if (pane->best_.target == target)
                pane->put(tried);
        };
    };
    document_.noteTried(QStringLiteral("what if: %1").arg(hand.toLower()),
                        hand + toQt(best_.target.applianceId), put(before), put(tried_));
    emit changed();
}

void TriedPane::become(const translate::Tried& tried) {
    tried_ = tried;
    showTried();
}

void TriedPane::put(const translate::Tried& tried) {
    if (tried == tried_)
        return;
    become(tried);
    emit changed();
}

} // namespace dynamet::app
