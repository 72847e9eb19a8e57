// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/compare/logbook_page.h"

#include "app/widgets/save_path_dialog.h"
#include "book/log_text.h"
#include "formats/text_file.h"

#include <QHBoxLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <set>

namespace dynamet::app {

LogbookPage::LogbookPage(Document& document, QWidget* parent)
    : QWidget(parent), document_(document), search_(new QLineEdit), kind_(new QComboBox),
      appliance_(new QComboBox), food_(new QComboBox), person_(new QComboBox), count_(new QLabel),
      table_(new TextTable(QStringLiteral("Tests and cooks"))) {
    setObjectName(QStringLiteral("pane"));
    setAttribute(Qt::WA_StyledBackground);
    setProperty("guide", QStringLiteral("compare"));
    auto* box = new QVBoxLayout(this);
    box->setContentsMargins(16, 10, 16, 10);
    auto* line = new QHBoxLayout;
    search_->setAccessibleName(QStringLiteral("Search the logbook"));
    search_->setPlaceholderText(QStringLiteral("Words: oven, dry, next time…"));
    search_->setClearButtonEnabled(true);
    connect(search_, &QLineEdit::textChanged, this, &LogbookPage::refresh);
    line->addWidget(search_, 2);
    kind_->addItem(QStringLiteral("tests and cooks"), QString());
    kind_->addItem(QStringLiteral("cooks"), QStringLiteral("cook"));
    kind_->addItem(QStringLiteral("tests"), QStringLiteral("test"));
    for (const auto& [combo, name] : {std::pair{kind_, QStringLiteral("Kind of entry")},
                                      {appliance_, QStringLiteral("Appliance")},
                                      {food_, QStringLiteral("Food")},
                                      {person_, QStringLiteral("Person")}}) {
        combo->setAccessibleName(name);
        combo->setMaximumWidth(190);
        connect(combo, &QComboBox::activated, this, &LogbookPage::refresh);
        line->addWidget(combo, 1);
    }
    box->addLayout(line);
    count_->setObjectName(QStringLiteral("quiet"));
    count_->setAccessibleName(QStringLiteral("How many are listed"));
    box->addWidget(count_);
    box->addWidget(table_, 1);
    connect(table_, &QTableView::activated, this, &LogbookPage::openLine);
    auto* foot = new QHBoxLayout;
    auto* open = new QPushButton(QStringLiteral("Open"));
    open->setObjectName(QStringLiteral("act"));
    open->setAccessibleName(QStringLiteral("Open the entry"));
    connect(open, &QPushButton::clicked, this, &LogbookPage::openLine);
    auto* save = new QPushButton(QStringLiteral("Write the list…"));
    save->setAccessibleName(QStringLiteral("Write the list to a file"));
    connect(save, &QPushButton::clicked, this, [this] {
        writeAsked(document_, this, QStringLiteral("Logbook"), QStringLiteral("logbook"),
                   QStringLiteral("Table (*.csv);;JSON (*.json)"),
                   [this](const QString& path) { return write(path); });
    });
    foot->addStretch();
    foot->addWidget(save);
    foot->addWidget(open);
    box->addLayout(foot);
    connect(&document_, &Document::changed, this, [this] {
        if (isVisible())
            activate();
    });
}

void LogbookPage::activate() {
    fillFilters();
    refresh();
}

void LogbookPage::fillFilters() {
    const auto fill = [](QComboBox* combo, const QString& all,
                         const QList<std::pair<QString, QString>>& things) {
        const QVariant was = combo->currentData();
        combo->clear();
        combo->addItem(all, QString());
        for (const auto& [name, id] : things)
            combo->addItem(name, id);
        combo->setCurrentIndex(std::max(0, combo->findData(was)));
    };
    QList<std::pair<QString, QString>> appliances, foods, people;
    for (const kitchen::Appliance& on : document_.kitchen().appliances)
        appliances.append({toQt(on.name), toQt(on.id)});
    std::set<std::string> seen;
    for (const recipe::Recipe& recipe : document_.recipes())
        if (seen.insert(recipe.piece.food.id).second)
            foods.append({toQt(recipe.piece.food.name), toQt(recipe.piece.food.id)});
    for (const std::string& person :
         logPeople(document_.book()).value_or(std::vector<std::string>{}))
        people.append({toQt(person), toQt(person)});
    fill(appliance_, QStringLiteral("any appliance"), appliances);
    fill(food_, QStringLiteral("any food"), foods);
    fill(person_, QStringLiteral("anybody"), people);
}

void LogbookPage::refresh() {
    if (!document_.isOpen())
        return;
    book::LogFilter filter;
    filter.text = toStd(search_->text());
    filter.kind = toStd(kind_->currentData().toString());
    filter.applianceId = toStd(appliance_->currentData().toString());
    filter.foodId = toStd(food_->currentData().toString());
    filter.person = toStd(person_->currentData().toString());
    const auto found = logLines(document_.book(), filter);
    if (!found) {
        count_->setText(QStringLiteral("! %1").arg(toQt(found.error(), document_.units())));
        return;
    }
    lines_ = *found;
    QVector<QStringList> rows;
    for (const book::LogLine& one : lines_) {
        const auto* on = findAppliance(document_.kitchen(), one.applianceId);
        QString words = toQt(one.words), where = on ? toQt(on->name) : QString();
        if (one.kind == "test") { // its first line is for the search: protocol, setting, zone
            const QString setting = words.section(QLatin1Char(' '), 1, 1);
            const auto at = on ? parseSetting(on->controls, toStd(setting))
                               : Result<kitchen::Setting>(kitchen::Setting{});
            where = on && at ? toQt(settingLabel(on->controls, *at, document_.units())) : setting;
            words = words.contains(QLatin1Char('\n')) ? words.section(QLatin1Char('\n'), 1)
                                                      : QStringLiteral("draft");
        }
        words.replace(QLatin1Char('\n'), QStringLiteral(" · "));
        rows << QStringList{toQt(book::dayText(one.atMs)),
                            toQt(one.kind),
                            toQt(one.title),
                            where,
                            toQt(one.person),
                            words};
    }
    table_->showRows({QStringLiteral("day"), QStringLiteral("kind"), QStringLiteral("what"),
                      QStringLiteral("where, at"), QStringLiteral("who"),
                      QStringLiteral("what came out")},
                     rows);
    count_->setText(
        lines_.empty() ? QStringLiteral("Nothing is found. Tests and cooks are listed here as "
                                        "they are made.")
        : static_cast<int>(lines_.size()) == filter.most
            ? QStringLiteral("The newest %1; narrow the search for older ones.").arg(lines_.size())
            : QStringLiteral("%1 entries").arg(lines_.size()));
}

void LogbookPage::openLine() {
    const int at = table_->currentRow();
    if (at < 0 || static_cast<std::size_t>(at) >= lines_.size())
        return;
    const book::LogLine& line = lines_[static_cast<std::size_t>(at)];
    if (line.kind == "cook")
        emit cookWanted(line.ref);
    else
        emit testWanted(line.applianceId);
}

QString LogbookPage::write(const QString& path) {
    const bool json = path.endsWith(QStringLiteral(".json"));
    const auto done =
        formats::writeTextFile(toStd(path), json ? book::logJson(lines_) : book::logCsv(lines_));
    return done ? QString() : toQt(done.error(), document_.units());
}

} // namespace dynamet::app
