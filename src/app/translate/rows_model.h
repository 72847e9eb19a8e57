// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/translate/translation_worker.h"

#include <set>

#include <QAbstractListModel>

namespace dynamet::app {

/// The rows of a translation in the order they are shown. They keep their places while `held`;
/// ranked again otherwise.
class RowsModel : public QAbstractListModel {
    Q_OBJECT
  public:
    enum Role { ReachedRole = Qt::UserRole };
    struct Item {
        translate::Row row;
        bool pending = true;
        bool windowPending = true;
    };
    explicit RowsModel(Document& document, QObject* parent = nullptr);
    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    const Item& item(int at) const { return items_[static_cast<std::size_t>(at)]; }
    void begin(TranslationWorker::PreparedPointer prepared);
    void take(const translate::Row& row, bool complete);
    void markPending();
    void setHeld(bool held);
    /// Nothing moves while the pointer is over the rows: they are ranked when it has left.
    void setWatched(bool watched);
    void rank();
    /// Nobody's result stays on the screen.
    void clear();
    /// With or without what cannot hold the food at all.
    void showAll(bool all);
    int hidden() const;
    /// What stands in the list: only what was rated, and nothing of what is in use today.
    struct Filter {
        bool onlyRated = false;
        std::set<std::string> inUse; ///< ids of appliances
        bool operator==(const Filter&) const = default;
    };
    void setFilter(const Filter& filter);
    const Filter& filter() const { return filter_; }
    int filteredOut() const;
    /// Best for this food, possible with differences, cannot; a group's first row has a heading.
    enum class Group { best, possible, cannot };
    Group group(int at) const;
    static Group groupOf(const Item& item);
    bool leadsGroup(int at) const;
    double axisEndS() const;
    std::vector<translate::Row> rows() const;
    const translate::Prepared* prepared() const { return prepared_.get(); }
    Document& document() const { return document_; }

  private:
    Document& document_;
    TranslationWorker::PreparedPointer prepared_;
    std::vector<Item> items_;
    void hideUnheld();
    bool isFilteredOut(const Item& item) const;
    std::vector<Item> hidden_; ///< what cannot hold the food, and what is filtered out
    Filter filter_;
    bool held_ = false, watched_ = false, due_ = false, all_ = false;
};

} // namespace dynamet::app
