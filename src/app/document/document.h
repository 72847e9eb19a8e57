// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/beside.h"
#include "app/document/book_command.h"
#include "app/document/qt_text.h"
#include "book/cook_store.h"
#include "book/kitchen_store.h"
#include "book/menu_store.h"
#include "book/recipe_store.h"
#include "book/test_store.h"

#include <QObject>
#include <QUndoStack>
#include <functional>
#include <optional>
#include <type_traits>

namespace dynamet::app {

/// The open book, what of it is in memory, the undo stack and the units. The only writer.
class Document : public QObject {
    Q_OBJECT
  public:
    using Clock = std::function<book::When()>;
    explicit Document(Clock clock, QObject* parent = nullptr);

    Result<void> open(const QString& path);
    Result<void> createNew(const QString& path, const kitchen::Site& site);
    bool isOpen() const { return book_.has_value(); }
    book::Book& book() { return *book_; }
    const kitchen::Kitchen& kitchen() const { return kitchen_; }
    const std::vector<recipe::Recipe>& recipes() const { return recipes_; }
    const std::vector<plan::Menu>& menus() const { return menus_; }
    const book::Choices& choices() const { return choices_; }
    const std::map<std::string, std::int64_t>& newestRatings() const { return newest_; }
    /// Every rated number of an appliance, oldest first; the kitchen has the newest of each place.
    std::vector<kitchen::RatedNumber> ratedHistory(const std::string& applianceId);
    book::When now() const { return clock_(); }
    QUndoStack& undoStack() { return undo_; }
    const Units& units() const { return units_; }
    void setUnits(const Units& units);
    /// Has everything drawn anew, as another unit would.
    void sayUnits() { emit unitsChanged(); }

    bool isWritable() const { return book_ && book_->writable(); }
    /// The file was found to be another than this program left (book/safety/seal.h), and nobody has
    /// said yet that it is right so.
    bool changedOutside() const { return changedOutside_; }
    void acceptAsItIs();

    /// Every change of the book goes through these; each is one transaction and one undo.
    Result<void> importTest(const book::TestRecord& test);
    Result<void> saveRating(const book::TestRecord& test, const rating::Reduction& reduction);
    /// Keeps a photo as an attachment of the book; returns its SHA-256.
    Result<std::string> keepPhoto(const std::string& path);
    /// Keeps a check of an instrument and the calibration that follows from it.
    Result<void> keepCheck(const book::TestRecord& test, const std::string& instrumentId,
                           const rating::Reduction& check);
    Result<void> add(const kitchen::Site& site);
    Result<void> add(const kitchen::Instrument& instrument);
    Result<void> add(const kitchen::Vessel& vessel);
    Result<void> add(const kitchen::Insert& insert);
    Result<void> add(const kitchen::Appliance& appliance);
    /// A site that moves takes the tests with it whose result rests on its air pressure.
    Result<void> change(const kitchen::Site& to);
    Result<void> change(const kitchen::Instrument& to);
    Result<void> change(const kitchen::Vessel& to);
    Result<void> change(const kitchen::Insert& to);
    Result<void> change(const kitchen::Appliance& to);
    enum class Thing { site, appliance, vessel, insert, instrument, recipe, translation, menu };
    /// Hides a thing from every list; nothing of it is lost.
    Result<void> retire(Thing thing, const std::string& id, const std::string& name);
    Result<void> bringBack(Thing thing, const std::string& id, const std::string& name);
    /// A recipe, new or changed; schools and scales of the book.
    Result<void> addRecipe(const recipe::Recipe& recipe);
    Result<void> changeRecipe(const recipe::Recipe& to);
    /// A menu, new or changed.
    Result<void> addMenu(const plan::Menu& menu);
    Result<void> changeMenu(const plan::Menu& to);
    Result<void> choose(const book::Choices& to);
    /// What came out of a cook, in place of what stood there; whether the kitchen learns from it.
    Result<void> judge(const book::CookRecord& cook, const run::Judged& to);
    Result<void> addTrial(const book::Trial& trial);
    Result<void> changeTrial(const book::Trial& from, const book::Trial& to);
    Result<void> learnFrom(const book::CookRecord& cook, const std::string& toldJson, bool use);
    Result<void> keepTranslation(const std::string& recipeId, const std::string& snapshot,
                                 std::uint64_t seed);

    /// A what-if was moved by a hand (`hand` names which): it can be taken back like a change of
    /// the book, which it does not touch.
    void noteTried(const QString& words, const QString& hand, std::function<void()> back,
                   std::function<void()> again);

    /// Takes back the last change, or makes it again, and says which; one that fails stays where it
    /// was on the stack.
    void undo();
    void redo();
    /// Writes the book as it is into another file and opens that.
    Result<void> openCopy(const QString& path);

    /// Reads everything anew after a change of the file.
    void reload();
    void say(const QString& notice) { emit noticed(notice); }

  signals:
    void opened();
    void changed();
    void unitsChanged();
    void noticed(const QString& notice);

  private:
    using Withdraw = Result<void> (*)(book::Book&, const std::string&, std::optional<book::When>);
    static Withdraw withdrawOf(Thing thing);
    /// A change that has been made: its way back and there again on the stack, the book read anew.
    void pushMade(const QString& words, BookCommand::Step back, BookCommand::Step again);
    BookCommand::Step hiding(Withdraw withdraw, const std::string& id);
    BookCommand::Step showing(Withdraw withdraw, const std::string& id);
    /// Something was added when it could be: its undo hides it.
    Result<void> added(Result<void> done, const std::string& name, Withdraw withdraw,
                       const std::string& id);
    /// How a value is put in place of an old one in the book.
    template <class Value>
    using Keep = std::type_identity_t<std::function<Result<void>(book::Book&, const Value&)>>;
    /// Keeps a new value in place of an old one; undo puts the old one back.
    template <class Value>
    Result<void> swap(const QString& words, const Value& from, const Value& to,
                      const Keep<Value>& keep);
    template <class Value>
    Result<void> replaced(const std::vector<Value>& all, const Value& to, const Keep<Value>& keep);
    void step(bool back);
    void lookThrough(const std::string& path);
    void damageFound(const std::string& path, const Error& why);
    void outsideFound(const std::string& path);
    Clock clock_;
    std::optional<book::Book> book_;
    kitchen::Kitchen kitchen_;
    std::vector<recipe::Recipe> recipes_;
    std::vector<plan::Menu> menus_;
    book::Choices choices_;
    std::map<std::string, std::int64_t> newest_;
    QUndoStack undo_;
    Units units_;
    bool changedOutside_ = false;
    Beside beside_; ///< let go of first: it waits for what still runs
};

/// "9 d", "3 h", "never": how long ago.
QString agoWords(std::int64_t thenMs, std::int64_t nowMs);

} // namespace dynamet::app
