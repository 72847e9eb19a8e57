// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/cook_page.h"

#include "app/cook/cook_keys.h"
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

void CookPage::activate() {
    lines_.openKnown();
    takeKnownProbe();
    fillProbes();
    refresh();
    setFocus();
}

/// A single dish finds the probe again that was in a core before.
void CookPage::takeKnownProbe() {
    if (!desk_.isOn() || desk_.dishes().size() != 1 || desk_.dishes().front().probe)
        return;
    for (const LineDesk::Channel& channel : lines_.channels())
        if (channel.role == "core")
            return desk_.setProbe(0, channel.id);
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
    forecast.replace(QStringLiteral(" °"), QStringLiteral("\u00a0°"));
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
    const std::string below = words::minimumWords(
        dish.cook.planned, dish.forecast ? dish.forecast->peak.kelvin : dish.cook.planned.peakK,
        units);
    if (!below.empty())
        problem += (problem.isEmpty() ? QString() : QStringLiteral("\n")) + toQt(below);
    problem_->setText(problem);
    problem_->setVisible(!problem.isEmpty());
    plot_->show(
        words::pictureOf(dish.cook.planned, dish.entries, dish.readings, dish.forecast, now, units),
        units);
    QStringList done;
    for (auto entry = dish.entries.rbegin(); entry != dish.entries.rend() && done.size() < 4;
         ++entry)
        done.prepend(toQt(words::entryWords(*entry, desk_.clock(), units)));
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
        button->setMinimumHeight(look::kRunTarget);
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

void CookPage::logWith(run::What what) {
    if (const auto done = logByKey(this, document_, desk_, chosen_, what); !done)
        document_.say(toQt(done.error(), document_.units()));
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
    for (const CookKey& key : kCookKeys)
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
    layKeys();
    if (desk_.isOn() && move_)
        showHeadline(*move_);
}

} // namespace dynamet::app
