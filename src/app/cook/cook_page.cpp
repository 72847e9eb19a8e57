// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/cook_page.h"

#include "app/look/palette.h"
#include "app/widgets/quantity_kinds.h"
#include "plan/menu.h"
#include "quantity/parse_duration.h"
#include "words/cautions.h"
#include "words/run_words.h"
#include "words/sign_words.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QKeyEvent>
#include <QScrollArea>
#include <QVBoxLayout>

namespace dynamet::app {
namespace {

constexpr int kKeyHigh = 60, kBigHigh = 72, kSide = 392;

/// What is done with one key.
struct Key {
    Qt::Key key;
    run::What what;
    const char* words;
};
constexpr Key kKeys[]{
    {Qt::Key_T, run::What::turned, "Turned  T"},   {Qt::Key_O, run::What::opened, "Opened  O"},
    {Qt::Key_M, run::What::moved, "Moved  M"},     {Qt::Key_H, run::What::setTo, "Heat  H"},
    {Qt::Key_C, run::What::coals, "Coals  C"},     {Qt::Key_B, run::What::basted, "Basted  B"},
    {Qt::Key_A, run::What::paused, "Off heat  A"}, {Qt::Key_P, run::What::pulled, "Pulled  P"},
    {Qt::Key_R, run::What::served, "Served  R"},   {Qt::Key_N, run::What::note, "Note  N"}};

/// The largest letters in which a sentence fits a width: in one line where that can be read from
/// two metres, else in two.
int fittingPixels(const QString& words, int width) {
    constexpr int kFarEnough = 46;
    for (const int lines : {1, 2})
        for (const int pixels : {72, 64, 58, 52, 46, 40, 36}) {
            const QFontMetrics metrics(look::textFont(pixels, true));
            const QRect used = metrics.boundingRect(QRect(0, 0, width, 1000),
                                                    Qt::TextWordWrap | Qt::AlignLeft, words);
            if ((lines == 2 || pixels >= kFarEnough) && used.width() <= width &&
                used.height() <= lines * metrics.height() + 2)
                return pixels;
        }
    return 32;
}

QString joined(const std::vector<std::string>& lines, const QString& between) {
    QStringList out;
    for (const std::string& line : lines)
        out << toQt(line);
    return out.join(between);
}

} // namespace

CookPage::CookPage(Document& document, LineDesk& lines, QWidget* parent)
    : QWidget(parent), document_(document), lines_(lines), desk_(document, lines),
      pages_(new QStackedWidget), strip_(new QWidget), stripLine_(new QHBoxLayout(strip_)),
      headline_(new QLabel), window_(new QLabel), clocks_(new QLabel), forecast_(new QLabel),
      next_(new QLabel), cautions_(new QLabel), problem_(new QLabel), log_(new QLabel),
      signs_(new QLabel), done_(new QPushButton),
      later_(new QPushButton(QStringLiteral("Take back  ⌫"))),
      core_(new QuantityField(QStringLiteral("Core reads"),
                              kinds::temperature(document.units(), -30, 250, true))),
      probe_(new QComboBox), plot_(new CookPlot), look_(new LookPane(document, desk_)) {
    setProperty("guide", QStringLiteral("cook"));
    setFocusPolicy(Qt::StrongFocus);
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(0, 0, 0, 0);
    pages_->addWidget(buildEmpty());
    pages_->addWidget(buildRun());
    box->addWidget(pages_);
    connect(&desk_, &CookDesk::changed, this, &CookPage::refresh);
    connect(&desk_, &CookDesk::begun, this, [this] {
        held_ = false;
        chosen_ = 0;
        refresh();
    });
    connect(&document_, &Document::unitsChanged, this, [this] {
        core_->setKind(kinds::temperature(document_.units(), -30, 250, true));
        refresh();
    });
    connect(&lines_, &LineDesk::changed, this, &CookPage::fillProbes);
    refresh();
}

QWidget* CookPage::buildEmpty() {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("pane"));
    page->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(48, 64, 48, 48);
    auto* words = new QLabel(QStringLiteral("Nothing is cooking."));
    words->setObjectName(QStringLiteral("readout"));
    box->addWidget(words);
    auto* how = new QLabel(QStringLiteral(
        "Open a row in Translate and press “Cook this”, or make a plan and press “Cook the menu”. "
        "From then on this page says what to do next, keeps the clocks, and asks for a core now "
        "and then."));
    how->setObjectName(QStringLiteral("sentence"));
    how->setWordWrap(true);
    box->addWidget(how);
    auto* go = new QPushButton(QStringLiteral("Choose something to cook"));
    go->setObjectName(QStringLiteral("act"));
    go->setAccessibleName(QStringLiteral("Choose something to cook"));
    connect(go, &QPushButton::clicked, this, &CookPage::translateWanted);
    box->addWidget(go, 0, Qt::AlignLeft);
    box->addStretch();
    return page;
}

QWidget* CookPage::buildRun() {
    auto* page = new QWidget;
    page->setObjectName(QStringLiteral("pane"));
    page->setAttribute(Qt::WA_StyledBackground);
    auto* box = new QVBoxLayout(page);
    box->setContentsMargins(20, 10, 20, 10);
    box->setSpacing(6);
    stripLine_->setContentsMargins(0, 0, 0, 0);
    stripLine_->setSpacing(4);
    box->addWidget(strip_);
    for (QLabel* label :
         {headline_, window_, clocks_, forecast_, next_, cautions_, problem_, log_, signs_}) {
        label->setWordWrap(true);
        label->setTextFormat(Qt::PlainText);
    }
    headline_->setAccessibleName(QStringLiteral("What to do next"));
    window_->setObjectName(QStringLiteral("readout"));
    window_->setAccessibleName(QStringLiteral("When"));
    box->addWidget(headline_);
    box->addWidget(window_);
    cautions_->setObjectName(QStringLiteral("caution"));
    cautions_->setAccessibleName(QStringLiteral("Cautions"));
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong"));
    box->addWidget(cautions_);
    box->addWidget(problem_);
    auto* line = new QHBoxLayout;
    line->setSpacing(20);
    auto* left = new QVBoxLayout;
    clocks_->setAccessibleName(QStringLiteral("Clocks"));
    clocks_->setObjectName(QStringLiteral("sentence"));
    left->addWidget(clocks_);
    forecast_->setObjectName(QStringLiteral("sentence"));
    forecast_->setAccessibleName(QStringLiteral("Forecast"));
    left->addWidget(forecast_);
    signs_->setObjectName(QStringLiteral("quiet"));
    signs_->setAccessibleName(QStringLiteral("Signs without a probe"));
    left->addWidget(signs_);
    left->addWidget(plot_, 1);
    line->addLayout(left, 1);
    line->addWidget(buildSide());
    box->addLayout(line, 1);
    next_->setObjectName(QStringLiteral("sentence"));
    next_->setAccessibleName(QStringLiteral("After that"));
    box->addWidget(next_);
    log_->setObjectName(QStringLiteral("quiet"));
    log_->setAccessibleName(QStringLiteral("Done so far"));
    box->addWidget(log_);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(page);
    auto* all = new QWidget; // the keys stay in sight, whatever is above them
    all->setObjectName(QStringLiteral("pane"));
    all->setAttribute(Qt::WA_StyledBackground);
    auto* both = new QVBoxLayout(all);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(0);
    both->addWidget(scroll, 1);
    QWidget* keys = buildKeys();
    keys->setContentsMargins(20, 4, 20, 10);
    both->addWidget(keys);
    return all;
}

QWidget* CookPage::buildSide() {
    auto* side = new QWidget;
    side->setFixedWidth(kSide);
    auto* box = new QVBoxLayout(side);
    box->setContentsMargins(0, 0, 0, 0);
    auto* read = new QHBoxLayout;
    auto* label = new QLabel(QStringLiteral("Core reads"));
    core_->setMaximumWidth(130);
    auto* take = new QPushButton(QStringLiteral("Take it"));
    take->setAccessibleName(QStringLiteral("Take the core"));
    connect(take, &QPushButton::clicked, this, &CookPage::typeCore);
    connect(&core_->edit(), &QLineEdit::returnPressed, this, &CookPage::typeCore);
    read->addWidget(label);
    read->addWidget(core_);
    read->addWidget(take);
    read->addStretch();
    box->addLayout(read);
    auto* line = new QHBoxLayout;
    line->addWidget(new QLabel(QStringLiteral("Probe")));
    probe_->setAccessibleName(QStringLiteral("Probe in the core"));
    connect(probe_, &QComboBox::activated, this, [this](int at) {
        const auto channels = lines_.channels();
        desk_.setProbe(chosen_, at > 0 && static_cast<std::size_t>(at) <= channels.size()
                                    ? std::optional(channels[static_cast<std::size_t>(at - 1)].id)
                                    : std::nullopt);
    });
    line->addWidget(probe_, 1);
    auto* trust = new QPushButton(QStringLiteral("Sits again"));
    trust->setAccessibleName(QStringLiteral("The probe sits right again"));
    connect(trust, &QPushButton::clicked, this, [this] { log(run::What::probeOut, 1); });
    line->addWidget(trust);
    box->addLayout(line);
    auto* looks = new QScrollArea;
    looks->setWidgetResizable(true);
    looks->setFrameShape(QFrame::NoFrame);
    looks->setFocusPolicy(Qt::NoFocus);
    looks->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    looks->setWidget(look_);
    looks->viewport()->setAutoFillBackground(false);
    look_->setAutoFillBackground(false);
    box->addWidget(looks, 1);
    return side;
}

QWidget* CookPage::buildKeys() {
    keys_ = new QWidget;
    auto* box = new QVBoxLayout(keys_);
    box->setContentsMargins(0, 0, 0, 0);
    box->setSpacing(4);
    auto* grid = new QGridLayout;
    grid->setSpacing(4);
    int at = 0;
    for (const Key& key : kKeys) {
        auto* button = new QPushButton(QString::fromUtf8(key.words));
        button->setMinimumHeight(kKeyHigh);
        button->setFocusPolicy(Qt::NoFocus);
        button->setAccessibleName(QString::fromUtf8(key.words).section(QStringLiteral("  "), 0, 0));
        connect(button, &QPushButton::clicked, this, [this, key] { logWith(key.what); });
        grid->addWidget(button, 0, at++);
    }
    box->addLayout(grid);
    auto* last = new QHBoxLayout;
    done_->setObjectName(QStringLiteral("act"));
    done_->setMinimumHeight(kBigHigh);
    done_->setAccessibleName(QStringLiteral("It is done"));
    connect(done_, &QPushButton::clicked, this, &CookPage::makeMove);
    last->addWidget(done_, 2);
    later_->setMinimumHeight(kBigHigh);
    later_->setAccessibleName(QStringLiteral("Take back the last entry"));
    connect(later_, &QPushButton::clicked, this, [this] {
        if (const auto back = desk_.takeBack(chosen_); !back)
            document_.say(toQt(back.error(), document_.units()));
    });
    last->addWidget(later_);
    auto* end = new QPushButton(QStringLiteral("End the run…"));
    end->setMinimumHeight(kBigHigh);
    end->setAccessibleName(QStringLiteral("End the run"));
    connect(end, &QPushButton::clicked, this, &CookPage::endRun);
    last->addWidget(end);
    box->addLayout(last);
    return keys_;
}

void CookPage::activate() {
    lines_.openKnown();
    fillProbes();
    refresh();
    setFocus();
}

void CookPage::choose(std::size_t dish) {
    held_ = true;
    chosen_ = dish;
    refresh();
}

void CookPage::refresh() {
    const bool on = desk_.isOn() && !desk_.dishes().empty();
    pages_->setCurrentIndex(on ? 1 : 0);
    awake_.keep(on);
    if (!on)
        return;
    chosen_ = std::min(chosen_, desk_.dishes().size() - 1);
    const auto moves = desk_.moves();
    const double now = desk_.nowS();
    std::optional<run::Move> first, ofChosen;
    for (const run::Move& move : moves) {
        if (!first)
            first = move;
        if (!ofChosen && move.dish == chosen_)
            ofChosen = move;
    }
    // The most urgent dish has the room, unless the cook wants another and nothing burns.
    if (first &&
        (!held_ || (run::isUrgent(*first, now) && first->due != run::Due::start &&
                    first->dish != chosen_ && !(ofChosen && run::isUrgent(*ofChosen, now))))) {
        chosen_ = first->dish;
        ofChosen = first;
    }
    move_ = ofChosen;
    fillStrip();
    if (move_)
        showHeadline(*move_);
    else {
        headline_->setText(QStringLiteral("All of it is served"));
        headline_->setFont(look::textFont(60, true));
        window_->setText(QStringLiteral("End the run, then say what came out."));
        done_->setText(QStringLiteral("End the run"));
        done_->setEnabled(true);
    }
    QStringList next;
    for (const run::Move& move : moves) {
        if (move_ && move.dish == move_->dish && move.due == move_->due)
            continue;
        const DishNow& dish = desk_.dishes()[move.dish];
        next << QStringLiteral("%1  %2").arg(
            std::isfinite(move.atS) ? toQt(desk_.clock().at(move.atS)) : QStringLiteral("–"),
            toQt(words::dueWords(move, dish.cook.name, false, dish.cook.planned,
                                 document_.kitchen(), document_.units())));
        if (next.size() == 3)
            break;
    }
    next_->setText(next.isEmpty()
                       ? QString()
                       : QStringLiteral("Then  ") + next.join(QStringLiteral("   ·   ")));
    next_->setVisible(!next.isEmpty());
    if (first)
        ringFor(*first);
    showDish();
}

void CookPage::showHeadline(const run::Move& move) {
    const DishNow& dish = desk_.dishes()[move.dish];
    const double now = desk_.nowS();
    const QString words =
        toQt(words::dueWords(move, dish.cook.name, run::isUrgent(move, now), dish.cook.planned,
                             document_.kitchen(), document_.units()));
    headline_->setFont(look::textFont(fittingPixels(words, std::max(300, width() - 60)), true));
    headline_->setText(words);
    const std::string window = words::dueWindow(move, desk_.clock());
    const QString in = toQt(words::inWords(move.atS - now));
    window_->setText(window.empty() ? QString() : QStringLiteral("%1 · %2").arg(in, toQt(window)));
    const auto made = run::madeBy(move);
    done_->setEnabled(document_.isWritable());
    done_->setText(made ? QStringLiteral("Done: %1  (Enter)").arg(words)
                        : QStringLiteral("Looked  (Enter)"));
    QStringList cautions;
    if (move.due == run::Due::start || move.due == run::Due::nextStage) {
        const auto all = words::cautionsOf(dish.cook.planned.recipe.stages,
                                           dish.cook.planned.recipe.piece, document_.kitchen());
        if (move.stage < all.size())
            for (const words::Caution& one : all[move.stage])
                cautions << QStringLiteral("! ") + toQt(one.text);
    }
    cautions_->setText(cautions.join(QLatin1Char(' ')));
    cautions_->setVisible(!cautions.isEmpty());
}

void CookPage::showDish() {
    const DishNow& dish = desk_.dishes()[chosen_];
    const run::Standing stands = dish.standing();
    const double now = desk_.nowS();
    const Units& units = document_.units();
    QStringList clocks;
    clocks << QStringLiteral("It is %1").arg(toQt(desk_.clock().at(now)));
    if (stands.begun)
        clocks << QStringLiteral("%1 in for %2")
                      .arg(toQt(dish.cook.name), toQt(words::clockWords(now - stands.foodInS)));
    if (stands.pulled && !stands.served)
        clocks
            << QStringLiteral("resting for %1").arg(toQt(words::clockWords(now - stands.pulledS)));
    if (stands.paused)
        clocks << QStringLiteral("off the heat for %1")
                      .arg(toQt(words::clockWords(now - stands.pausedS)));
    if (dish.forecast && stands.begun) {
        const plan::SafetyLimits limits;
        const double exposed = run::coldToHotS(*dish.forecast, dish.cook.planned.recipe.piece,
                                               now - stands.foodInS, limits.coldK, limits.hotK);
        clocks << QStringLiteral("%1between cold and hot %2")
                      .arg(exposed > limits.warnS ? QStringLiteral("! ") : QString(),
                           toQt(words::clockWords(exposed)));
    }
    clocks_->setText(clocks.join(QStringLiteral("   ·   ")));
    QString forecast;
    if (dish.forecast && stands.begun)
        forecast = joined(
            words::forecastLines(*dish.forecast, dish.cook.planned, now - stands.foodInS, units),
            QStringLiteral(" "));
    else if (stands.begun && !dish.trouble)
        forecast = QStringLiteral("Working out the forecast…");
    forecast_->setText(forecast);
    const bool unread = !dish.forecast || dish.forecast->readings == 0;
    QString signs;
    if (stands.begun && !stands.pulled && unread) {
        const recipe::Recipe& recipe = dish.cook.planned.recipe;
        signs = joined(words::signsOf(recipe.piece.food, dish.cook.planned.darker,
                                      dish.cook.planned.pullK > 0 ? dish.cook.planned.pullK
                                                                  : recipe.goal.coreK,
                                      nullptr, units),
                       QStringLiteral("   ·   "));
    }
    signs_->setText(signs);
    signs_->setVisible(!signs.isEmpty());
    QString problem;
    if (dish.trouble)
        problem = QStringLiteral("! There is no forecast: %1. Clocks and keys go on.")
                      .arg(toQt(*dish.trouble, units));
    else if (dish.forecast)
        problem = toQt(words::probeWords(dish.forecast->probe, units));
    problem_->setText(problem);
    problem_->setVisible(!problem.isEmpty());
    plot_->show(
        words::pictureOf(dish.cook.planned, dish.entries, dish.readings, dish.forecast, now, units),
        units);
    QStringList done;
    for (auto entry = dish.entries.rbegin(); entry != dish.entries.rend() && done.size() < 4;
         ++entry)
        done.prepend(toQt(words::entryWords(*entry, desk_.clock(), document_.kitchen(), units)));
    log_->setText(done.isEmpty() ? QStringLiteral("Nothing was noted yet.")
                                 : done.join(QStringLiteral("   ·   ")));
    later_->setEnabled(!dish.entries.empty() && document_.isWritable());
    look_->showDish(chosen_);
}

void CookPage::fillStrip() {
    const auto& dishes = desk_.dishes();
    strip_->setVisible(dishes.size() > 1);
    while (static_cast<std::size_t>(stripLine_->count()) > dishes.size()) {
        QLayoutItem* item = stripLine_->takeAt(stripLine_->count() - 1);
        delete item->widget();
        delete item;
    }
    while (static_cast<std::size_t>(stripLine_->count()) < dishes.size()) {
        auto* button = new QPushButton;
        button->setCheckable(true);
        button->setMinimumHeight(kKeyHigh);
        const auto at = static_cast<std::size_t>(stripLine_->count());
        connect(button, &QPushButton::clicked, this, [this, at] { choose(at); });
        stripLine_->addWidget(button, 1);
    }
    const auto moves = desk_.moves();
    for (std::size_t i = 0; i < dishes.size(); ++i) {
        auto* button =
            qobject_cast<QPushButton*>(stripLine_->itemAt(static_cast<int>(i))->widget());
        QString next = QStringLiteral("served");
        for (const run::Move& move : moves)
            if (move.dish == i) {
                next = QStringLiteral("%1 %2").arg(QString::fromUtf8(run::enumName(move.due))
                                                       .replace(QLatin1Char('_'), QLatin1Char(' ')),
                                                   std::isfinite(move.atS)
                                                       ? toQt(desk_.clock().at(move.atS))
                                                       : QStringLiteral("not in sight"));
                break;
            }
        const QString name = toQt(dishes[i].cook.name);
        button->setText(button->fontMetrics().elidedText(
                            name, Qt::ElideRight, width() / static_cast<int>(dishes.size()) - 40) +
                        QLatin1Char('\n') + next);
        button->setAccessibleName(QStringLiteral("Dish %1: %2").arg(name, next));
        button->setChecked(i == chosen_);
    }
}

void CookPage::fillProbes() {
    if (!desk_.isOn() || chosen_ >= desk_.dishes().size())
        return;
    const QSignalBlocker still(probe_);
    probe_->clear();
    probe_->addItem(QStringLiteral("none: cores are typed"));
    const auto& probe = desk_.dishes()[chosen_].probe;
    for (const LineDesk::Channel& channel : lines_.channels()) {
        probe_->addItem(QStringLiteral("%1, %2: %3")
                            .arg(toQt(channel.lineName), toQt(channel.spec.name),
                                 LineDesk::valueWords(channel, document_.units())));
        if (probe && *probe == channel.id)
            probe_->setCurrentIndex(probe_->count() - 1);
    }
}

/// What is due rings once as it comes due, the more urgent the more notes.
void CookPage::ringFor(const run::Move& move) {
    if (move.due == run::Due::start && desk_.dishes()[move.dish].cook.startsS <= 0)
        return; // it was just chosen
    if (!run::isUrgent(move, desk_.nowS()))
        return;
    const std::string what =
        desk_.dishes()[move.dish].cook.id + run::enumName(move.due) + std::to_string(move.stage);
    if (what == rangFor_)
        return;
    rangFor_ = what;
    const bool burns = move.due == run::Due::pull || move.due == run::Due::overshoot ||
                       move.due == run::Due::leaveStage;
    chime_.ring(burns                         ? Chime::Urgency::now
                : move.due == run::Due::probe ? Chime::Urgency::wrong
                                              : Chime::Urgency::soon);
}

void CookPage::log(run::What what, double value, const std::string& words) {
    if (const auto done = desk_.log(chosen_, what, value, words); !done)
        document_.say(toQt(done.error(), document_.units()));
}

/// Some of it needs a word more: where to, how many, what.
void CookPage::logWith(run::What what) {
    if (!desk_.isOn())
        return;
    const DishNow& dish = desk_.dishes()[chosen_];
    const run::Standing stands = dish.standing();
    const auto stage = std::min(stands.stage, dish.cook.planned.recipe.stages.size() - 1);
    const auto& place = dish.cook.planned.recipe.stages[stage].place;
    const auto* on = findAppliance(document_.kitchen(), place.applianceId);
    bool ok = true;
    switch (what) {
    case run::What::opened:
        return log(stands.open ? run::What::shut : run::What::opened);
    case run::What::paused:
        return log(stands.paused ? run::What::resumed : run::What::paused);
    case run::What::moved: {
        QStringList zones;
        for (const kitchen::Zone& zone : on ? on->zones : std::vector<kitchen::Zone>{})
            zones << toQt(zone.name);
        if (zones.size() < 2)
            return document_.say(QStringLiteral("There is one place only on this appliance."));
        const QString to = QInputDialog::getItem(this, QStringLiteral("Moved"),
                                                 QStringLiteral("To"), zones, 0, false, &ok);
        if (ok)
            log(what, 0, toStd(to));
        return;
    }
    case run::What::setTo: {
        if (!on)
            return;
        QStringList labels;
        std::vector<kitchen::Setting> settings;
        for (const kitchen::Setting& one : possibleSettings(on->controls, 20, 60)) {
            settings.push_back(one);
            labels << toQt(settingLabel(on->controls, one, document_.units()));
        }
        const QString to = QInputDialog::getItem(this, QStringLiteral("Heat changed"),
                                                 QStringLiteral("To"), labels, 0, false, &ok);
        if (ok && labels.contains(to))
            log(what, 0,
                settingText(on->controls, settings[static_cast<std::size_t>(labels.indexOf(to))]));
        return;
    }
    case run::What::coals: {
        const int count = QInputDialog::getInt(this, QStringLiteral("Coals added"),
                                               QStringLiteral("How many"), 6, 1, 200, 1, &ok);
        if (ok)
            log(what, count);
        return;
    }
    case run::What::note: {
        const QString words = QInputDialog::getText(this, QStringLiteral("A note"),
                                                    QStringLiteral("What is to be remembered"),
                                                    QLineEdit::Normal, {}, &ok);
        if (ok && !words.trimmed().isEmpty())
            log(what, 0, toStd(words.trimmed()));
        return;
    }
    default:
        log(what);
    }
}

void CookPage::makeMove() {
    if (!desk_.isOn())
        return;
    if (!move_)
        return endRun();
    const auto what = run::madeBy(*move_);
    if (what == run::What::stageOn)
        return log(*what, static_cast<double>(move_->stage));
    if (what)
        return log(*what);
    core_->edit().setFocus(); // it was looked at: what does it read?
}

void CookPage::typeCore() {
    const auto value = core_->value();
    if (!value || !*value) {
        core_->check();
        return;
    }
    log(run::What::reading, **value);
    core_->setValue(std::nullopt);
    QTimer::singleShot(0, this, [this] { setFocus(); }); // the key itself still goes its way
}

void CookPage::endRun() {
    if (!desk_.isOn())
        return;
    const std::string id = desk_.run()->id;
    if (const auto done = desk_.end(); !done)
        return document_.say(toQt(done.error(), document_.units()));
    emit judgeWanted(id);
}

void CookPage::keyPressEvent(QKeyEvent* event) {
    chime_.silence(); // any key
    const bool typing = qobject_cast<QLineEdit*>(QApplication::focusWidget());
    if (!desk_.isOn() || event->modifiers() != Qt::NoModifier || typing)
        return QWidget::keyPressEvent(event); // a key of a text field is never one of the run
    for (const Key& key : kKeys)
        if (event->key() == key.key)
            return logWith(key.what);
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)
        return makeMove();
    if (event->key() == Qt::Key_Backspace)
        return later_->click();
    if (event->key() >= Qt::Key_0 && event->key() <= Qt::Key_9) { // a core is typed
        core_->edit().setFocus();
        core_->edit().setText(event->text());
        return;
    }
    QWidget::keyPressEvent(event);
}

void CookPage::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    if (desk_.isOn() && move_)
        showHeadline(*move_);
}

} // namespace dynamet::app
