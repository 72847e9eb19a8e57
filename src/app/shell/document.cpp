// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/shell/document.h"

#include "app/shell/swap_command.h"
#include "app/shell/withdraw_command.h"
#include "formats/text_file.h"
#include "rating/instrument_check.h"

#include <QFileInfo>

namespace dynamet::app {

Document::Document(Clock clock, QObject* parent) : QObject(parent), clock_(std::move(clock)) {}

Result<bool> Document::open(const QString& path) {
    if (book_ && book_->path() == plain(path))
        book_.reset(); // its own lock would make the second opening read-only
    auto book = book::Book::open(plain(path));
    if (!book)
        return tl::unexpected(book.error());
    undo_.clear();
    book_.reset();
    book_.emplace(std::move(*book));
    reload();
    emit opened();
    if (!book_->writable())
        say(text(book_->accessWords()));
    return true;
}

Result<bool> Document::createNew(const QString& path, const kitchen::Site& site) {
    {
        auto book = book::Book::create(plain(path), now());
        if (!book)
            return tl::unexpected(book.error());
        if (const auto added = addSite(*book, site, now()); !added)
            return added;
    }
    return open(path);
}

void Document::reload() {
    auto kitchen = loadKitchen(*book_);
    if (!kitchen) {
        say(text(kitchen.error().message));
        return;
    }
    kitchen_ = std::move(*kitchen);
    if (auto recipes = loadRecipes(*book_, kitchen_))
        recipes_ = std::move(*recipes);
    if (auto choices = book::loadChoices(*book_))
        choices_ = std::move(*choices);
    if (auto newest = book::newestRatings(*book_))
        newest_ = std::move(*newest);
    emit changed();
}

void Document::setUnits(const Units& units) {
    if (units == units_)
        return;
    units_ = units;
    emit unitsChanged();
}

void Document::pushAdded(const QString& words, Withdraw withdraw, const std::string& id) {
    undo_.push(new WithdrawCommand(*this, words, [withdraw, id](book::Book& book, auto when) {
        return withdraw(book, id, when);
    }));
}

Result<bool> Document::importTest(const book::TestRecord& test) {
    if (const auto done = addTest(*book_, test, now()); !done)
        return done;
    pushAdded(tr("import of a test"), book::withdrawTest, test.id);
    reload();
    return true;
}

Result<bool> Document::saveRating(const book::TestRecord& test,
                                  const rating::Reduction& reduction) {
    const auto id = saveReduction(*book_, test.id, reduction, test.values, "", now());
    if (!id)
        return tl::unexpected(id.error());
    pushAdded(tr("saving of a rating"), book::withdrawReduction, *id);
    reload();
    return true;
}

Result<bool> Document::added(Result<bool> done, const std::string& name, Withdraw withdraw,
                             const std::string& id) {
    if (!done)
        return done;
    pushAdded(tr("adding of %1").arg(text(name)), withdraw, id);
    reload();
    return done;
}

Result<bool> Document::addAppliance(const kitchen::Appliance& appliance) {
    return added(book::addAppliance(*book_, appliance, now()), appliance.name,
                 book::withdrawAppliance, appliance.id);
}

Result<bool> Document::addInstrument(const kitchen::Instrument& instrument) {
    return added(book::addInstrument(*book_, instrument, now()), instrument.name,
                 book::withdrawInstrument, instrument.id);
}

Result<bool> Document::calibrate(const std::string& instrumentId, const rating::Reduction& check) {
    const auto calibration = rating::calibrationFrom(check, book::newId(), now().utcMs);
    if (!calibration)
        return tl::unexpected(calibration.error());
    const auto done = book::addCalibration(*book_, instrumentId, *calibration);
    if (!done)
        return done;
    pushAdded(tr("calibration"), book::withdrawCalibration, calibration->id);
    reload();
    return done;
}

Result<std::string> Document::keepPhoto(const std::string& path) {
    const auto content = formats::readTextFile(path);
    if (!content)
        return tl::unexpected(content.error().in("Photo"));
    const std::string id = formats::sha256(*content);
    const QFileInfo file(text(path));
    const std::string type = plain(QStringLiteral("image/") + file.suffix().toLower());
    const auto kept = book::keepAttachment(*book_, id, type, plain(file.fileName()), *content);
    return kept ? Result<std::string>(id) : tl::unexpected(kept.error());
}

template <class Value>
Result<bool> Document::swap(const QString& words, const Value& from, const Value& to,
                            Result<bool> (*keep)(book::Book&, const Value&)) {
    const auto done = keep(*book_, to);
    if (done)
        undo_.push(new SwapCommand<Value>(*this, words, from, to, keep));
    reload();
    return done;
}

Result<bool> Document::addRecipe(const book::RecipeRecord& recipe) {
    return added(book::addRecipe(*book_, recipe, now()), recipe.name, book::withdrawRecipe,
                 recipe.id);
}

Result<bool> Document::changeRecipe(const book::RecipeRecord& to) {
    for (const book::RecipeRecord& from : recipes_)
        if (from.id == to.id)
            return swap(tr("change of %1").arg(text(to.name)), from, to, book::changeRecipe);
    return fail(Errc::notFound, "the recipe is no longer in the book");
}

Result<bool> Document::choose(const book::Choices& to) {
    if (choices_ == to)
        return true;
    return swap(tr("choice for the whole book"), choices_, to, book::keepChoices);
}

Result<bool> Document::keepTranslation(const std::string& recipeId, const std::string& snapshot,
                                       std::uint64_t seed) {
    const auto id = saveTranslation(*book_, recipeId, snapshot, seed, now());
    if (!id)
        return tl::unexpected(id.error());
    pushAdded(tr("keeping of a translation"), book::withdrawTranslation, *id);
    return true;
}

QString agoWords(std::int64_t thenMs, std::int64_t nowMs) {
    const std::int64_t minutes = (nowMs - thenMs) / 60000;
    if (minutes < 60)
        return QObject::tr("%1 min").arg(std::max<std::int64_t>(minutes, 0));
    if (minutes < 48 * 60)
        return QObject::tr("%1 h").arg(minutes / 60);
    return QObject::tr("%1 d").arg(minutes / 1440);
}

} // namespace dynamet::app
