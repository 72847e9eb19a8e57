// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/rate/import_dialog.h"

#include "app/widgets/scrolled.h"
#include "formats/column_roles.h"
#include "formats/csv_sniff.h"
#include "formats/text_file.h"
#include "quantity/parse_duration.h"

#include <QDateTime>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QGridLayout>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace dynamet::app {
namespace {
constexpr int kPreviewLines = 8;
} // namespace

ImportDialog::ImportDialog(const rating::Protocol& protocol, const std::vector<std::string>& roles,
                           const QString& path, const book::When& made, QWidget* parent)
    : QDialog(parent), protocol_(protocol), roles_(roles), made_(made), dayWords_(new QLabel),
      day_(new QLineEdit), path_(new QLineEdit(path)), intervalLine_(new QWidget),
      timeLine_(new QWidget), interval_(new QLineEdit), time_(new QComboBox),
      description_(new QLabel), problem_(new QLabel), summary_(new QLabel),
      preview_(new QPlainTextEdit), columns_(new QWidget),
      import_(new QPushButton(QStringLiteral("Import"))) {
    setProperty("guide", QStringLiteral("rate"));
    setWindowTitle(QStringLiteral("Import a log"));
    resizeOnScreen(*this, {620, 520});
    auto* box = new QVBoxLayout(this);
    box->setSpacing(8);
    auto* row = new QHBoxLayout;
    path_->setAccessibleName(QStringLiteral("File of the log"));
    path_->setPlaceholderText(QStringLiteral("Type the path of a CSV file, or press Browse"));
    auto* look = new QPushButton(QStringLiteral("Browse…"));
    look->setAccessibleName(QStringLiteral("Browse for a file"));
    look->setAutoDefault(false);
    row->addWidget(path_, 1);
    row->addWidget(look);
    box->addLayout(row);
    description_->setWordWrap(true);
    description_->setAccessibleName(QStringLiteral("How the log is written"));
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setWordWrap(true);
    problem_->setAccessibleName(QStringLiteral("What is wrong with the file"));
    problem_->hide();
    box->addWidget(description_);
    box->addWidget(problem_);
    buildQuestions(box);
    box->addWidget(columns_);
    preview_->setReadOnly(true);
    preview_->setAccessibleName(QStringLiteral("First lines of the file"));
    preview_->setLineWrapMode(QPlainTextEdit::NoWrap);
    preview_->setTabChangesFocus(true);
    box->addWidget(preview_, 1);
    auto* dayLine = new QHBoxLayout;
    day_->setAccessibleName(QStringLiteral("Day of the log"));
    day_->setFixedWidth(130);
    dayLine->addWidget(dayWords_);
    dayLine->addWidget(day_);
    dayLine->addStretch();
    box->addLayout(dayLine);
    connect(day_, &QLineEdit::textEdited, this, &ImportDialog::parse);
    showDay();
    summary_->setObjectName(QStringLiteral("quiet"));
    summary_->setWordWrap(true);
    box->addWidget(summary_);
    auto* buttons = new QDialogButtonBox;
    import_->setObjectName(QStringLiteral("act"));
    import_->setAccessibleName(QStringLiteral("Import the log"));
    import_->setDefault(true);
    import_->setEnabled(false);
    buttons->addButton(import_, QDialogButtonBox::AcceptRole);
    buttons->addButton(QStringLiteral("Cancel"), QDialogButtonBox::RejectRole)
        ->setAutoDefault(false);
    box->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(look, &QPushButton::clicked, this, [this] {
        const QString chosen = QFileDialog::getOpenFileName(
            this, QStringLiteral("Log of a thermometer"), path_->text(),
            QStringLiteral("Logs (*.csv *.txt *.tsv *.log);;All files (*)"));
        if (!chosen.isEmpty())
            path_->setText(chosen);
    });
    connect(path_, &QLineEdit::textChanged, this, &ImportDialog::readFile);
    if (!path.isEmpty())
        readFile();
}

/// Lines that stand there only when the file leaves something open.
void ImportDialog::buildQuestions(QVBoxLayout* box) {
    const auto add = [&](QWidget* line, const QString& words, QWidget* field) {
        auto* row = new QHBoxLayout(line);
        row->setContentsMargins(0, 0, 0, 0);
        field->setAccessibleName(words);
        row->addWidget(new QLabel(words));
        row->addWidget(field);
        row->addStretch();
        line->hide();
        box->addWidget(line);
    };
    interval_->setPlaceholderText(QStringLiteral("5 s, 1 min"));
    interval_->setFixedWidth(130);
    add(intervalLine_, QStringLiteral("The log has no times. Its readings are apart by"),
        interval_);
    time_->addItem(QStringLiteral("choose"), QString());
    time_->addItem(QStringLiteral("minutes and seconds"), QStringLiteral("elapsed_min_s"));
    time_->addItem(QStringLiteral("hours and minutes"), QStringLiteral("elapsed_clock"));
    add(timeLine_, QStringLiteral("Its times are"), time_);
    connect(interval_, &QLineEdit::textEdited, this, &ImportDialog::recognise);
    connect(time_, &QComboBox::activated, this, &ImportDialog::recognise);
}

formats::CsvAnswers ImportDialog::answers() const {
    formats::CsvAnswers out;
    out.weights = protocol_.logsWeight;
    if (asksInterval_)
        if (const auto apart = parseInterval(toStd(interval_->text())))
            out.intervalS = *apart;
    if (asksTime_)
        out.time = formats::timeStyleOf(toStd(time_->currentData().toString()));
    return out;
}

void ImportDialog::showQuestions() {
    using formats::CsvQuestion;
    asksInterval_ = asksInterval_ || dialect_->asks(CsvQuestion::interval);
    asksTime_ = asksTime_ || dialect_->asks(CsvQuestion::minutesOrHours);
    intervalLine_->setVisible(asksInterval_);
    timeLine_->setVisible(asksTime_);
}

QString ImportDialog::missingTimes() const {
    using formats::CsvQuestion;
    if (dialect_->asks(CsvQuestion::interval))
        return QStringLiteral("Say how far apart its readings are.");
    if (dialect_->asks(CsvQuestion::minutesOrHours))
        return QStringLiteral(
            "Say whether its times are minutes and seconds or hours and minutes.");
    return {};
}

QString ImportDialog::missingRoles() const {
    QStringList used;
    for (const ColumnRow& row : rows_) {
        if (row.role->currentIndex() >= static_cast<int>(roles_.size()))
            continue;
        if (used.contains(row.role->currentText()))
            return QStringLiteral("Two columns have the role %1.").arg(row.role->currentText());
        used << row.role->currentText();
        if (row.unit->currentIndex() < 0)
            return QStringLiteral("Say whether %1 is in °C or in °F: the file does not.")
                .arg(toQt(dialect_->columns[row.column].name));
    }
    return used.isEmpty() ? QStringLiteral("No column has a role yet: say which probe is which.")
                          : QString();
}

void ImportDialog::showProblem(const QString& words) {
    problem_->setText(QStringLiteral("! %1").arg(words));
    problem_->setVisible(!words.isEmpty());
    import_->setEnabled(words.isEmpty());
    if (!words.isEmpty())
        summary_->setText(QStringLiteral("Nothing was imported."));
}

void ImportDialog::readFile() {
    dialect_.reset();
    log_.reset();
    rows_.clear();
    qDeleteAll(columns_->findChildren<QWidget*>(Qt::FindDirectChildrenOnly));
    delete columns_->layout();
    description_->clear();
    preview_->clear();
    const QFileInfo file(path_->text().trimmed());
    if (!file.isFile()) {
        problem_->hide();
        import_->setEnabled(false);
        summary_->setText(path_->text().isEmpty()
                              ? QString()
                              : QStringLiteral("There is no file of that name yet."));
        return;
    }
    auto read = formats::readTextFile(toStd(file.filePath()));
    if (!read) {
        showProblem(toQt(read.error().message));
        return;
    }
    sha256_ = formats::sha256(*read);
    text_ = formats::asUtf8(std::move(*read));
    preview_->setPlainText(
        toQt(text_.substr(0, 4000)).section(QLatin1Char('\n'), 0, kPreviewLines));
    asksInterval_ = asksTime_ = dayCleared_ = false;
    recognise();
    if (dialect_) {
        showColumns();
        parse();
    }
}

/// Reads anew how the log is written, with what was answered.
void ImportDialog::recognise() {
    const auto dialect = formats::sniffCsv(text_, answers());
    if (!dialect) {
        dialect_.reset();
        intervalLine_->hide();
        timeLine_->hide();
        showProblem(QStringLiteral("Line %1: %2")
                        .arg(dialect.error().line)
                        .arg(toQt(dialect.error().message)));
        return;
    }
    dialect_ = *dialect;
    showQuestions();
    if (!rows_.empty())
        parse();
}

namespace {

std::vector<formats::LogUnit> unitsOf(const rating::Protocol& protocol) {
    using formats::LogUnit;
    if (protocol.logsWeight)
        return {LogUnit::gram, LogUnit::kilogram, LogUnit::ounce, LogUnit::pound};
    return {LogUnit::celsius, LogUnit::fahrenheit, LogUnit::kelvin};
}

} // namespace

void ImportDialog::showColumns() {
    auto* grid = new QGridLayout(columns_);
    grid->setContentsMargins(0, 0, 0, 0);
    const auto found = formats::rolesByName(*dialect_, protocol_, roles_);
    const bool asksUnit = dialect_->asks(formats::CsvQuestion::unit);
    for (std::size_t c = 0; c < dialect_->columns.size(); ++c) {
        const formats::CsvColumn& column = dialect_->columns[c];
        if (column.use != formats::ColumnUse::readings)
            continue;
        const QString name = toQt(column.name);
        auto* role = new QComboBox;
        for (const std::string& r : roles_)
            role->addItem(toQt(r));
        role->addItem(QStringLiteral("not used"));
        const auto own = found.roles.find(c);
        const auto at = own == found.roles.end() || !found.certain
                            ? roles_.end()
                            : std::find(roles_.begin(), roles_.end(), own->second);
        role->setCurrentIndex(static_cast<int>(at - roles_.begin()));
        role->setAccessibleName(QStringLiteral("Role of %1").arg(name));
        auto* unit = new QComboBox;
        for (const formats::LogUnit each : unitsOf(protocol_))
            unit->addItem(QString::fromUtf8(formats::logUnitSign(each)));
        unit->setCurrentIndex(
            asksUnit && !column.unitWritten
                ? -1
                : unit->findText(QString::fromUtf8(formats::logUnitSign(column.unit))));
        unit->setAccessibleName(QStringLiteral("Unit of %1").arg(name));
        const int row = static_cast<int>(rows_.size());
        grid->addWidget(new QLabel(name), row, 0);
        grid->addWidget(role, row, 1);
        grid->addWidget(unit, row, 2);
        if (!column.unitWritten)
            grid->addWidget(new QLabel(QStringLiteral("? unit not written in the file")), row, 3);
        rows_.push_back({c, role, unit});
        connect(unit, &QComboBox::currentIndexChanged, this, &ImportDialog::parse);
        connect(role, &QComboBox::currentIndexChanged, this, &ImportDialog::parse);
    }
}

void ImportDialog::parse() {
    for (const ColumnRow& row : rows_)
        if (row.unit->currentIndex() >= 0)
            dialect_->columns[row.column].unit =
                unitsOf(protocol_)[static_cast<std::size_t>(row.unit->currentIndex())];
    if (std::all_of(rows_.begin(), rows_.end(),
                    [](const ColumnRow& row) { return row.unit->currentIndex() >= 0; }))
        std::erase(dialect_->questions, formats::CsvQuestion::unit); // answered
    description_->setText(toQt(formats::describe(*dialect_)) + QStringLiteral("."));
    if (const QString open = missingTimes(); !open.isEmpty()) {
        log_.reset();
        return showProblem(open);
    }
    auto log = formats::parseCsv(text_, *dialect_);
    if (!log) {
        log_.reset();
        showProblem(QStringLiteral("Line %1: %2. Correct the file and import it again.")
                        .arg(log.error().line)
                        .arg(toQt(log.error().message)));
        return;
    }
    log_ = std::move(*log);
    if (log_->startUnixS)
        made_.utcMs = std::llround(*log_->startUnixS * 1000);
    showDay();
    const QDate day = QDate::fromString(day_->text().trimmed(), QStringLiteral("yyyy-MM-dd"));
    if (!day.isValid())
        return showProblem(day_->text().isEmpty()
                               ? QStringLiteral("Say on which day it was recorded.")
                               : QStringLiteral("\"%1\" is not a date; write it as 2026-11-02.")
                                     .arg(day_->text()));
    if (const QString open = missingRoles(); !open.isEmpty())
        return showProblem(open);
    showProblem(QString());
    summary_->setText(QStringLiteral("%1 rows over %2; %3 lines skipped; %4 gaps")
                          .arg(log_->timeS.size())
                          .arg(toQt(printDuration(log_->timeS.back())))
                          .arg(log_->junkLines.size())
                          .arg(log_->gaps));
}

/// The log's own day, or the one that is asked for.
void ImportDialog::showDay() {
    const bool known = log_ && log_->startUnixS;
    const bool unclear = dialect_ && dialect_->asks(formats::CsvQuestion::dayOrMonth);
    dayWords_->setText(known ? QStringLiteral("Tested on")
                       : unclear
                           ? QStringLiteral("Its date is day or month first. It was recorded on")
                           : QStringLiteral("The log has no date. It was recorded on"));
    if (unclear &&
        !std::exchange(dayCleared_, true)) { // a day that may be the other is not offered
        day_->clear();
        day_->setPlaceholderText(QStringLiteral("year-month-day"));
    }
    day_->setEnabled(!known);
    if (known || (!unclear && day_->text().isEmpty()))
        day_->setText(
            QDateTime::fromMSecsSinceEpoch(made_.utcMs, Qt::OffsetFromUTC, made_.offsetMin * 60)
                .toString(QStringLiteral("yyyy-MM-dd")));
}

void ImportDialog::fill(book::TestRecord& test) const {
    test.setStarted(made_);
    const QDateTime before =
        QDateTime::fromMSecsSinceEpoch(made_.utcMs, Qt::OffsetFromUTC, made_.offsetMin * 60);
    const QDate day = QDate::fromString(day_->text().trimmed(), QStringLiteral("yyyy-MM-dd"));
    if (day.isValid() && day != before.date())
        test.startedMs = QDateTime(day, QTime(12, 0), Qt::OffsetFromUTC, made_.offsetMin * 60)
                             .toMSecsSinceEpoch();
    std::size_t channel = 0;
    for (const ColumnRow& row : rows_) {
        const formats::LoggedChannel& logged = log_->channels[channel++];
        if (row.role->currentIndex() >= static_cast<int>(roles_.size()))
            continue;
        test.channels.push_back({roles_[static_cast<std::size_t>(row.role->currentIndex())],
                                 logged.name, logUnitSign(logged.unit), "", log_->timeS,
                                 logged.asRecorded, logged.resolution});
    }
    test.fileName = toStd(QFileInfo(path_->text()).fileName());
    test.fileSha256 = sha256_;
    test.dialectJson = formats::dialectJson(*dialect_);
}

} // namespace dynamet::app
