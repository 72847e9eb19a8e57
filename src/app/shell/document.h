// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/shell/units.h"
#include "book/choices_store.h"
#include "book/kitchen_store.h"
#include "book/recipe_store.h"
#include "book/test_store.h"

#include <QObject>
#include <QUndoStack>
#include <functional>
#include <optional>

namespace dynamet::app {

/// The open book, what of it is in memory, the undo stack and the units. The only writer.
class Document : public QObject {
    Q_OBJECT
  public:
    using Clock = std::function<book::When()>;
    explicit Document(Clock clock, QObject* parent = nullptr);

    Result<bool> open(const QString& path);
    Result<bool> createNew(const QString& path, const kitchen::Site& site);
    bool isOpen() const { return book_.has_value(); }
    book::Book& book() { return *book_; }
    const kitchen::Kitchen& kitchen() const { return kitchen_; }
    const std::vector<book::RecipeRecord>& recipes() const { return recipes_; }
    const book::Choices& choices() const { return choices_; }
    const std::map<std::string, std::int64_t>& newestRatings() const { return newest_; }
    book::When now() const { return clock_(); }
    QUndoStack& undoStack() { return undo_; }
    const Units& units() const { return units_; }
    void setUnits(const Units& units);

    /// Every change of the book goes through these; each is one transaction and can be undone.
    Result<bool> importTest(const book::TestRecord& test);
    Result<bool> saveRating(const book::TestRecord& test, const rating::Reduction& reduction);
    /// Keeps a photo as an attachment of the book; returns its SHA-256.
    Result<std::string> keepPhoto(const std::string& path);
    /// Keeps a calibration that holds from now on; it can be undone.
    Result<bool> calibrate(const std::string& instrumentId, const rating::Reduction& check);
    Result<bool> addInstrument(const kitchen::Instrument& instrument);
    Result<bool> addAppliance(const kitchen::Appliance& appliance);
    /// A recipe, new or changed; schools and scales of the book.
    Result<bool> addRecipe(const book::RecipeRecord& recipe);
    Result<bool> changeRecipe(const book::RecipeRecord& to);
    Result<bool> choose(const book::Choices& to);
    Result<bool> keepTranslation(const std::string& recipeId, const std::string& snapshot,
                                 std::uint64_t seed);

    /// Reads everything anew after a change of the file.
    void reload();
    void say(const QString& notice) { emit noticed(notice); }

  signals:
    void opened();
    void changed();
    void unitsChanged();
    void noticed(const QString& notice);

  private:
    using Withdraw = Result<bool> (*)(book::Book&, const std::string&, std::optional<book::When>);
    /// Something was added to the book: its undo hides it, its redo shows it again.
    void pushAdded(const QString& words, Withdraw withdraw, const std::string& id);
    /// The same for a thing with a name, when it could be added, and reads the book anew.
    Result<bool> added(Result<bool> done, const std::string& name, Withdraw withdraw,
                       const std::string& id);
    /// Keeps a new value in place of an old one; undo puts the old one back.
    template <class Value>
    Result<bool> swap(const QString& words, const Value& from, const Value& to,
                      Result<bool> (*keep)(book::Book&, const Value&));
    Clock clock_;
    std::optional<book::Book> book_;
    kitchen::Kitchen kitchen_;
    std::vector<book::RecipeRecord> recipes_;
    book::Choices choices_;
    std::map<std::string, std::int64_t> newest_;
    QUndoStack undo_;
    Units units_;
};

/// "9 d", "3 h", "never": how long ago.
QString agoWords(std::int64_t thenMs, std::int64_t nowMs);

} // namespace dynamet::app
