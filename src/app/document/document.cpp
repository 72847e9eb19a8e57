// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/document/document.h"

#include "book/rated_numbers.h"
#include "book/safety/seal.h"
#include "book/site_rework.h"
#include "formats/text_file.h"
#include "rating/protocols/instrument_check.h"

#include <QFileInfo>

namespace dynamet::app {

Document::Document(Clock clock, QObject* parent) : QObject(parent), clock_(std::move(clock)) {}

Result<void> Document::open(const QString& path) {
    if (book_ && book_->path() == toStd(path))
        book_.reset(); // its own lock would make the second opening read-only
    auto book = book::Book::open(toStd(path));
    if (!book)
        return tl::unexpected(book.error());
    undo_.clear();
    changedOutside_ = false;
    book_.reset();
    book_.emplace(std::move(*book));
    reload();
    emit opened();
    if (!book_->writable())
        say(toQt(book_->accessWords()));
    lookThrough(book_->path());
    return {};
}

/// A large book takes a while, so it is looked through beside the work.
void Document::lookThrough(const std::string& path) {
    beside_.start([this, path] {
        if (book::changedOutside(path).value_or(false))
            beside_.hand([this, path] { outsideFound(path); });
        const auto whole = book::quickCheck(path);
        if (!whole && whole.error().code == Errc::corruptData)
            beside_.hand([this, path, why = whole.error()] { damageFound(path, why); });
    });
}

void Document::damageFound(const std::string& path, const Error& why) {
    if (!book_ || book_->path() != path)
        return;
    book_->closeForWriting();
    say(toQt(why, units_));
    emit changed();
}

void Document::outsideFound(const std::string& path) {
    if (!book_ || book_->path() != path)
        return;
    changedOutside_ = true;
    if (book_->writable())
        if (const auto noted = noteChangedOutside(*book_); !noted)
            say(toQt(noted.error(), units_));
    emit changed();
}

void Document::acceptAsItIs() {
    if (book_->writable())
        if (const auto accepted = book::acceptAsItIs(*book_); !accepted)
            return say(toQt(accepted.error(), units_));
    changedOutside_ = false;
    emit changed();
}

Result<void> Document::createNew(const QString& path, const kitchen::Site& site) {
    {
        auto book = book::Book::create(toStd(path), now());
        if (!book)
            return tl::unexpected(book.error());
        if (const auto added = addSite(*book, site, now()); !added)
            return added;
    }
    return open(path);
}

void Document::reload() {
    auto kitchen = loadKitchenAt(*book_, now().utcMs);
    if (!kitchen) {
        say(toQt(kitchen.error(), units_));
        return;
    }
    kitchen_ = std::move(*kitchen);
    const auto take = [this](auto&& read, auto& into) {
        if (read)
            into = std::move(*read);
        else
            say(toQt(read.error(), units_));
    };
    take(loadRecipes(*book_, kitchen_), recipes_);
    take(loadMenus(*book_, kitchen_), menus_);
    take(book::loadChoicesAndLearned(*book_, kitchen_), choices_);
    take(book::newestRatings(*book_), newest_);
    emit changed();
}

std::vector<kitchen::RatedNumber> Document::ratedHistory(const std::string& applianceId) {
    const auto* appliance = findAppliance(kitchen_, applianceId);
    auto history = appliance ? book::loadRatedHistory(*book_, *appliance)
                             : Result<std::vector<kitchen::RatedNumber>>{};
    if (!history)
        say(toQt(history.error(), units_));
    return history.value_or(std::vector<kitchen::RatedNumber>{});
}

void Document::setUnits(const Units& units) {
    if (units == units_)
        return;
    units_ = units;
    emit unitsChanged();
}

void Document::pushMade(const QString& words, BookCommand::Step back, BookCommand::Step again) {
    undo_.push(new BookCommand(words, std::move(back), std::move(again)));
    reload();
}

BookCommand::Step Document::hiding(Withdraw withdraw, const std::string& id) {
    return [this, withdraw, id] { return withdraw(*book_, id, now()); };
}

BookCommand::Step Document::showing(Withdraw withdraw, const std::string& id) {
    return [this, withdraw, id] { return withdraw(*book_, id, std::nullopt); };
}

Result<void> Document::added(Result<void> done, const std::string& name, Withdraw withdraw,
                             const std::string& id) {
    if (done)
        pushMade(QStringLiteral("addition of %1").arg(toQt(name)), hiding(withdraw, id),
                 showing(withdraw, id));
    return done;
}

Result<void> Document::importTest(const book::TestRecord& test) {
    const auto done = addTest(*book_, test, now());
    if (done)
        pushMade(QStringLiteral("import of a test"), hiding(book::withdrawTest, test.id),
                 showing(book::withdrawTest, test.id));
    return done;
}

Result<void> Document::saveRating(const book::TestRecord& test,
                                  const rating::Reduction& reduction) {
    const auto id = saveReduction(*book_, test.id, reduction, test.values, "", now());
    if (!id)
        return tl::unexpected(id.error());
    pushMade(QStringLiteral("saved rating"), hiding(book::withdrawReduction, *id),
             showing(book::withdrawReduction, *id));
    return {};
}

Result<void> Document::keepCheck(const book::TestRecord& test, const std::string& instrumentId,
                                 const rating::Reduction& check) {
    const auto calibration = rating::calibrationFrom(check, book::newId(), now().utcMs);
    if (!calibration)
        return tl::unexpected(calibration.error());
    const auto done = book::addCheck(*book_, test, instrumentId, *calibration, now());
    if (!done)
        return done;
    const auto both = [this, check = test.id,
                       id = calibration->id](std::optional<book::When> when) {
        return book::withdrawCheck(*book_, check, id, when);
    };
    pushMade(
        QStringLiteral("calibration"), [this, both] { return both(now()); },
        [both] { return both(std::nullopt); });
    return {};
}

Result<void> Document::add(const kitchen::Site& site) {
    return added(addSite(*book_, site, now()), site.name, book::withdrawSite, site.id);
}
Result<void> Document::add(const kitchen::Instrument& instrument) {
    return added(addInstrument(*book_, instrument, now()), instrument.name,
                 book::withdrawInstrument, instrument.id);
}
Result<void> Document::add(const kitchen::Vessel& vessel) {
    return added(addVessel(*book_, vessel, now()), vessel.name, book::withdrawVessel, vessel.id);
}
Result<void> Document::add(const kitchen::Insert& insert) {
    return added(addInsert(*book_, insert, now()), insert.name, book::withdrawInsert, insert.id);
}
Result<void> Document::add(const kitchen::Appliance& appliance) {
    return added(addAppliance(*book_, appliance, now()), appliance.name, book::withdrawAppliance,
                 appliance.id);
}

template <class Value>
Result<void> Document::replaced(const std::vector<Value>& all, const Value& to,
                                const Keep<Value>& keep) {
    for (const Value& from : all)
        if (from.id == to.id)
            return from == to
                       ? Result<void>()
                       : swap(QStringLiteral("change of %1").arg(toQt(to.name)), from, to, keep);
    return fail(Errc::notFound, "it is no longer in the book");
}

Result<void> Document::change(const kitchen::Site& to) {
    for (const kitchen::Site& from : kitchen_.sites) {
        if (from.id != to.id || from == to)
            continue;
        const auto moved = book::moveSite(*book_, from, to, now());
        if (!moved)
            return tl::unexpected(moved.error());
        pushMade(
            QStringLiteral("change of %1").arg(toQt(to.name)),
            [this, from, made = *moved] { return book::putSite(*book_, from, made, now()); },
            [this, to, made = *moved] { return book::putSite(*book_, to, made, std::nullopt); });
        if (!moved->reductions.empty())
            say(QStringLiteral("Worked out again for the new air pressure: %1 ratings.%2")
                    .arg(moved->reductions.size())
                    .arg(moved->checks > 0
                             ? QStringLiteral(" Check the thermometers in boiling water again.")
                             : QString()));
        return {};
    }
    return {};
}

Result<void> Document::change(const kitchen::Instrument& to) {
    return replaced(kitchen_.instruments, to, book::changeInstrument);
}
Result<void> Document::change(const kitchen::Vessel& to) {
    return replaced(kitchen_.vessels, to, book::changeVessel);
}
Result<void> Document::change(const kitchen::Insert& to) {
    return replaced(kitchen_.inserts, to, book::changeInsert);
}
Result<void> Document::change(const kitchen::Appliance& to) {
    return replaced(kitchen_.appliances, to, book::changeAppliance);
}

Document::Withdraw Document::withdrawOf(Thing thing) {
    switch (thing) {
    case Thing::site:
        return book::withdrawSite;
    case Thing::appliance:
        return book::withdrawAppliance;
    case Thing::vessel:
        return book::withdrawVessel;
    case Thing::insert:
        return book::withdrawInsert;
    case Thing::instrument:
        return book::withdrawInstrument;
    case Thing::recipe:
        return book::withdrawRecipe;
    case Thing::translation:
        return book::withdrawTranslation;
    case Thing::menu:
        return book::withdrawMenu;
    }
    return nullptr;
}

Result<void> Document::retire(Thing thing, const std::string& id, const std::string& name) {
    const Withdraw withdraw = withdrawOf(thing);
    const auto done = withdraw(*book_, id, now());
    if (done)
        pushMade(QStringLiteral("retirement of %1").arg(toQt(name)), showing(withdraw, id),
                 hiding(withdraw, id));
    return done;
}

Result<void> Document::bringBack(Thing thing, const std::string& id, const std::string& name) {
    const Withdraw withdraw = withdrawOf(thing);
    const auto done = withdraw(*book_, id, std::nullopt);
    if (done)
        pushMade(QStringLiteral("return of %1").arg(toQt(name)), hiding(withdraw, id),
                 showing(withdraw, id));
    return done;
}

Result<std::string> Document::keepPhoto(const std::string& path) {
    const auto content = formats::readTextFile(path);
    if (!content)
        return tl::unexpected(content.error().in("Photo"));
    const std::string id = formats::sha256(*content);
    const QFileInfo file(toQt(path));
    const std::string type = toStd(QStringLiteral("image/") + file.suffix().toLower());
    const auto kept = book::keepAttachment(*book_, id, type, toStd(file.fileName()), *content);
    return kept ? Result<std::string>(id) : tl::unexpected(kept.error());
}

template <class Value>
Result<void> Document::swap(const QString& words, const Value& from, const Value& to,
                            const Keep<Value>& keep) {
    const auto done = keep(*book_, to);
    if (done)
        pushMade(
            words, [this, keep, from] { return keep(*book_, from); },
            [this, keep, to] { return keep(*book_, to); });
    return done;
}

Result<void> Document::addRecipe(const recipe::Recipe& recipe) {
    return added(book::addRecipe(*book_, recipe, kitchen_, now()), recipe.name,
                 book::withdrawRecipe, recipe.id);
}

Result<void> Document::changeRecipe(const recipe::Recipe& to) {
    return replaced(recipes_, to, [this](book::Book& in, const recipe::Recipe& recipe) {
        return book::changeRecipe(in, recipe, kitchen_);
    });
}

Result<void> Document::addMenu(const plan::Menu& menu) {
    return added(book::addMenu(*book_, menu, kitchen_, now()), menu.name, book::withdrawMenu,
                 menu.id);
}

Result<void> Document::changeMenu(const plan::Menu& to) {
    return replaced(menus_, to, [this](book::Book& in, const plan::Menu& menu) {
        return book::changeMenu(in, menu, kitchen_);
    });
}

Result<void> Document::choose(const book::Choices& to) {
    if (choices_ == to)
        return {};
    return swap(QStringLiteral("change of the house methods"), choices_, to, book::keepChoices);
}

Result<void> Document::judge(const book::CookRecord& cook, const run::Judged& to) {
    if (cook.judged == to)
        return {};
    return swap<run::Judged>(QStringLiteral("judgement of %1").arg(toQt(cook.name)), cook.judged,
                             to, [id = cook.id](book::Book& book, const run::Judged& judged) {
                                 return judgeCook(book, id, judged);
                             });
}

Result<void> Document::addTrial(const book::Trial& trial) {
    const auto done = book::addTrial(*book_, trial, now());
    if (done)
        emit changed();
    return done;
}

Result<void> Document::changeTrial(const book::Trial& from, const book::Trial& to) {
    return swap<book::Trial>(
        QStringLiteral("verdict of %1").arg(toQt(to.name)), from, to,
        [](book::Book& book, const book::Trial& trial) { return book::changeTrial(book, trial); });
}

Result<void> Document::learnFrom(const book::CookRecord& cook, const std::string& toldJson,
                                 bool use) {
    return swap<std::optional<bool>>(
        use ? QStringLiteral("learning from %1").arg(toQt(cook.name))
            : QStringLiteral("setting %1 aside").arg(toQt(cook.name)),
        cook.accepted, std::optional(use),
        [id = cook.id, toldJson](book::Book& book, const std::optional<bool>& accepted) {
            return keepTold(book, id, toldJson, accepted);
        });
}

Result<void> Document::keepTranslation(const std::string& recipeId, const std::string& snapshot,
                                       std::uint64_t seed) {
    const auto id = saveTranslation(*book_, recipeId, snapshot, seed, now());
    if (!id)
        return tl::unexpected(id.error());
    pushMade(QStringLiteral("kept translation"), hiding(book::withdrawTranslation, *id),
             showing(book::withdrawTranslation, *id));
    return {};
}

void Document::noteTried(const QString& words, const QString& hand, std::function<void()> back,
                         std::function<void()> again) {
    const auto step = [](std::function<void()> does) {
        return [does = std::move(does)]() -> Result<void> {
            does();
            return {};
        };
    };
    undo_.push(new TriedCommand(words, hand, step(std::move(back)), step(std::move(again))));
}

void Document::undo() {
    step(true);
}

void Document::redo() {
    step(false);
}

void Document::step(bool back) {
    if (back ? !undo_.canUndo() : !undo_.canRedo())
        return;
    const int at = back ? undo_.index() - 1 : undo_.index();
    // The stack hands its commands out as const; what they note of themselves is not the book.
    auto* command = const_cast<BookCommand*>(static_cast<const BookCommand*>(undo_.command(at)));
    back ? undo_.undo() : undo_.redo();
    if (const auto failure = command->failure()) {
        command->passNext();
        back ? undo_.redo() : undo_.undo();
        say(QStringLiteral("%1: %2").arg(back ? QStringLiteral("Could not undo")
                                              : QStringLiteral("Could not redo"),
                                         toQt(failure->message)));
        return;
    }
    if (command->touchesBook())
        reload();
    say((back ? QStringLiteral("Undone: %1.") : QStringLiteral("Redone: %1."))
            .arg(command->text()));
}

Result<void> Document::openCopy(const QString& path) {
    if (const auto copied = book::copyBook(*book_, toStd(path)); !copied)
        return copied;
    return open(path);
}

QString agoWords(std::int64_t thenMs, std::int64_t nowMs) {
    const std::int64_t minutes = (nowMs - thenMs) / 60000;
    if (minutes < 60)
        return QStringLiteral("%1 min").arg(std::max<std::int64_t>(minutes, 0));
    if (minutes < 48 * 60)
        return QStringLiteral("%1 h").arg(minutes / 60);
    return QStringLiteral("%1 d").arg(minutes / 1440);
}

} // namespace dynamet::app
