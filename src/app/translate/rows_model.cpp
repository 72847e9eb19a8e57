// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/rows_model.h"
#include "translate/time_axis.h"
#include "words/translation_words.h"

#include <algorithm>

namespace dynamet::app {

RowsModel::RowsModel(Document& document, QObject* parent)
    : QAbstractListModel(parent), document_(document) {}

int RowsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(items_.size());
}

QVariant RowsModel::data(const QModelIndex& index, int role) const {
    const Item& it = item(index.row());
    if (role == ReachedRole)
        return it.row.reached;
    if (role != Qt::DisplayRole && role != Qt::AccessibleTextRole)
        return {};
    const QString title = toQt(words::rowTitle(it.row, document_.kitchen(), document_.units()));
    if (it.pending)
        return QStringLiteral("%1: being computed").arg(title);
    if (!it.row.reached)
        return QStringLiteral("%1: %2").arg(title,
                                            toQt(words::reasonWords(it.row, document_.units())));
    QString words =
        title + QStringLiteral(", ") + toQt(words::pullWords(it.row, document_.units()));
    if (it.row.window)
        words += QStringLiteral(", ") + toQt(words::windowWords(*it.row.window));
    if (prepared_)
        words += QStringLiteral(", ") + toQt(words::crustWords(it.row, prepared_->outcome));
    if (prepared_)
        for (const std::string& warning :
             words::warningLines(it.row, *prepared_, document_.units()))
            words += QStringLiteral(", caution: %1").arg(toQt(warning));
    return words;
}

void RowsModel::begin(TranslationWorker::PreparedPointer prepared) {
    prepared_ = std::move(prepared);
    if (!hidden_.empty()) {
        beginResetModel();
        items_.insert(items_.end(), hidden_.begin(), hidden_.end());
        hidden_.clear();
        endResetModel();
    }
    const bool same = items_.size() == prepared_->targets.size() &&
                      std::all_of(items_.begin(), items_.end(), [this](const Item& it) {
                          return std::find(prepared_->targets.begin(), prepared_->targets.end(),
                                           it.row.target) != prepared_->targets.end();
                      });
    if (same) {
        markPending();
        return;
    }
    beginResetModel();
    items_.clear();
    for (const translate::Target& target : prepared_->targets) {
        Item it;
        it.row.target = target;
        items_.push_back(it);
    }
    endResetModel();
}

void RowsModel::markPending() {
    for (Item& it : items_)
        it.pending = it.windowPending = true;
    if (!items_.empty())
        emit dataChanged(index(0), index(rowCount() - 1));
}

void RowsModel::take(const translate::Row& row, bool complete) {
    for (std::size_t i = 0; i < items_.size(); ++i)
        if (items_[i].row.target == row.target) {
            items_[i].row = row;
            items_[i].pending = false;
            items_[i].windowPending = !complete;
        }
    // The common time axis may have grown: every bar is drawn anew.
    emit dataChanged(index(0), index(rowCount() - 1));
}

void RowsModel::clear() {
    beginResetModel();
    items_.clear();
    hidden_.clear();
    prepared_.reset();
    endResetModel();
}

void RowsModel::setWatched(bool watched) {
    watched_ = watched;
    if (!watched && due_)
        rank();
}

void RowsModel::showAll(bool all) {
    all_ = all;
    beginResetModel();
    items_.insert(items_.end(), hidden_.begin(), hidden_.end());
    hidden_.clear();
    endResetModel();
    rank();
}

/// What cannot hold the food leaves the list; `showAll` brings it back with its reasons.
void RowsModel::hideUnheld() {
    const auto cannot = [this](const Item& it) {
        return (!all_ && !it.pending && !it.row.held) || isFilteredOut(it);
    };
    for (std::size_t i = items_.size(); i-- > 0;) {
        if (!cannot(items_[i]))
            continue;
        beginRemoveRows({}, static_cast<int>(i), static_cast<int>(i));
        hidden_.push_back(items_[i]);
        items_.erase(items_.begin() + static_cast<std::ptrdiff_t>(i));
        endRemoveRows();
    }
}

bool RowsModel::isFilteredOut(const Item& item) const {
    const std::string& id = item.row.target.applianceId;
    if (filter_.inUse.contains(id))
        return true;
    const auto& rated = document_.kitchen().rated;
    const auto numbers = rated.find(id);
    return filter_.onlyRated && (numbers == rated.end() || numbers->second.empty());
}

int RowsModel::hidden() const {
    return static_cast<int>(std::count_if(hidden_.begin(), hidden_.end(),
                                          [this](const Item& it) { return !isFilteredOut(it); }));
}

int RowsModel::filteredOut() const {
    return static_cast<int>(hidden_.size()) - hidden();
}

void RowsModel::setFilter(const Filter& filter) {
    if (filter == filter_)
        return;
    filter_ = filter;
    showAll(all_);
}

RowsModel::Group RowsModel::group(int at) const {
    return groupOf(item(at));
}

RowsModel::Group RowsModel::groupOf(const Item& it) {
    if (!it.row.reached && !it.pending)
        return Group::cannot;
    const bool grave =
        std::any_of(it.row.warnings.begin(), it.row.warnings.end(), [](const auto& w) {
            return w.code == "below_minimum" || w.code == "scorched" || w.code == "danger_zone";
        });
    const bool like = it.row.likeness ? it.row.likeness->distance < translate::kNearEnoughNoticed
                                      : it.row.crustDistance < translate::kSameCrust;
    return !it.pending && like && !grave ? Group::best : Group::possible;
}

bool RowsModel::leadsGroup(int at) const {
    // Before the rows are ranked (or while they keep still) a heading would come again and again.
    const bool inOrder =
        std::is_sorted(items_.begin(), items_.end(),
                       [](const Item& a, const Item& b) { return groupOf(a) < groupOf(b); });
    return inOrder && (at == 0 || group(at) != group(at - 1));
}

void RowsModel::setHeld(bool held) {
    held_ = held;
    if (!held)
        rank();
}

void RowsModel::rank() {
    due_ = held_ || watched_;
    if (due_ || !prepared_)
        return;
    hideUnheld();
    emit layoutAboutToBeChanged();
    const QModelIndexList before = persistentIndexList();
    std::vector<translate::Target> targets;
    for (const Item& it : items_)
        targets.push_back(it.row.target);
    std::stable_sort(items_.begin(), items_.end(), [this](const Item& a, const Item& b) {
        if (a.pending != b.pending)
            return !a.pending;
        const Group first = groupOf(a), second = groupOf(b);
        if (first != second)
            return first < second;
        return ranksBefore(a.row, b.row, prepared_->outcome);
    });
    for (const QModelIndex& old : before)
        for (std::size_t i = 0; i < items_.size(); ++i)
            if (items_[i].row.target == targets[static_cast<std::size_t>(old.row())])
                changePersistentIndex(old, index(static_cast<int>(i)));
    emit layoutChanged();
}

double RowsModel::axisEndS() const {
    return translate::axisEndS(rows());
}

std::vector<translate::Row> RowsModel::rows() const {
    std::vector<translate::Row> out;
    for (const Item& it : items_)
        if (!it.pending)
            out.push_back(it.row);
    return out;
}

} // namespace dynamet::app
