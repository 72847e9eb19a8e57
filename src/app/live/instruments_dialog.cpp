// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/instruments_dialog.h"

#include "app/widgets/scrolled.h"

#include <QFormLayout>
#include <QPushButton>
#include <QSerialPortInfo>
#include <QTimer>
#include <QVBoxLayout>

namespace dynamet::app {

InstrumentsDialog::InstrumentsDialog(Document& document, LineDesk& desk, QWidget* parent)
    : QDialog(parent), document_(document), desk_(desk), list_(new QLabel), path_(new QComboBox),
      dialect_(new QComboBox), baud_(new QComboBox), book_(new QComboBox),
      query_(new QLineEdit(QStringLiteral("READ?"))), channels_(new QLineEdit),
      problem_(new QLabel), forget_(new QComboBox) {
    setWindowTitle(QStringLiteral("Instruments on the line"));
    setProperty("guide", QStringLiteral("instruments"));
    resizeOnScreen(*this, {620, 520});
    build();
    connect(&desk_, &LineDesk::changed, this, &InstrumentsDialog::refresh);
    auto* beat = new QTimer(this);
    beat->start(500);
    connect(beat, &QTimer::timeout, this, &InstrumentsDialog::refresh);
    refresh();
}

void InstrumentsDialog::build() {
    auto* box = new QVBoxLayout(this);
    list_->setWordWrap(true);
    list_->setTextFormat(Qt::PlainText);
    list_->setAccessibleName(QStringLiteral("Connected instruments"));
    box->addWidget(list_);
    forgetLine_ = new QWidget;
    auto* gone = new QHBoxLayout(forgetLine_);
    gone->setContentsMargins(0, 0, 0, 0);
    forget_->setAccessibleName(QStringLiteral("Connected instrument"));
    auto* forget = new QPushButton(QStringLiteral("Forget it"));
    forget->setAccessibleName(QStringLiteral("Forget the instrument"));
    connect(forget, &QPushButton::clicked, this, &InstrumentsDialog::forgetLine);
    gone->addWidget(forget_, 1);
    gone->addWidget(forget);
    box->addWidget(forgetLine_);
    auto* overline = new QLabel(QStringLiteral("CONNECT ANOTHER"));
    overline->setObjectName(QStringLiteral("overline"));
    box->addWidget(overline);
    auto* form = new QFormLayout;
    path_->setEditable(true);
    path_->setAccessibleName(QStringLiteral("Where it is"));
    for (const QSerialPortInfo& port : QSerialPortInfo::availablePorts())
        path_->addItem(port.systemLocation());
    path_->setCurrentText(path_->count() > 0 ? path_->itemText(0) : QStringLiteral("/dev/ttyUSB0"));
    for (const auto& [words, dialect] :
         {std::pair{QStringLiteral("our lines (it names its channels)"), device::Dialect::lines},
          {QStringLiteral("bare numbers between commas"), device::Dialect::plain},
          {QStringLiteral("bench instrument that is asked (SCPI)"), device::Dialect::scpi}})
        dialect_->addItem(words, static_cast<int>(dialect));
    dialect_->setAccessibleName(QStringLiteral("How it speaks"));
    baud_->setEditable(true);
    for (const int baud : {9600, 19200, 38400, 57600, 115200, 230400})
        baud_->addItem(QString::number(baud));
    baud_->setCurrentText(QStringLiteral("115200"));
    baud_->setAccessibleName(QStringLiteral("Speed, baud"));
    book_->addItem(QStringLiteral("none of the book's"), QString());
    for (const kitchen::Instrument& one : document_.kitchen().instruments)
        book_->addItem(toQt(one.name), toQt(one.id));
    book_->setAccessibleName(QStringLiteral("Which instrument it is"));
    query_->setAccessibleName(QStringLiteral("What it is asked"));
    channels_->setAccessibleName(QStringLiteral("Its channels"));
    channels_->setPlaceholderText(QStringLiteral("a name and unit each: left C, right C, pot g"));
    form->addRow(QStringLiteral("Where it is"), path_);
    form->addRow(QStringLiteral("How it speaks"), dialect_);
    form->addRow(QStringLiteral("Speed, baud"), baud_);
    form->addRow(QStringLiteral("What it is asked"), query_);
    form->addRow(QStringLiteral("Its channels"), channels_);
    form->addRow(QStringLiteral("Which of yours"), book_);
    box->addLayout(form);
    const auto fit = [this, form] {
        const auto dialect = static_cast<device::Dialect>(dialect_->currentData().toInt());
        form->setRowVisible(query_, dialect == device::Dialect::scpi);
        form->setRowVisible(channels_, dialect != device::Dialect::lines);
    };
    connect(dialect_, &QComboBox::currentIndexChanged, this, fit);
    fit();
    problem_->setObjectName(QStringLiteral("caution"));
    problem_->setAccessibleName(QStringLiteral("What is wrong"));
    problem_->setWordWrap(true);
    problem_->hide();
    box->addWidget(problem_);
    box->addStretch();
    auto* foot = new QHBoxLayout;
    auto* add = new QPushButton(QStringLiteral("Connect"));
    add->setObjectName(QStringLiteral("act"));
    add->setAccessibleName(QStringLiteral("Connect"));
    connect(add, &QPushButton::clicked, this, &InstrumentsDialog::connectLine);
    auto* done = new QPushButton(QStringLiteral("Done"));
    done->setAccessibleName(QStringLiteral("Done"));
    connect(done, &QPushButton::clicked, this, &QDialog::accept);
    foot->addStretch();
    foot->addWidget(add);
    foot->addWidget(done);
    box->addLayout(foot);
}

void InstrumentsDialog::connectLine() {
    KnownLine line;
    line.connection.path = toStd(path_->currentText().trimmed());
    line.connection.dialect = static_cast<device::Dialect>(dialect_->currentData().toInt());
    bool ok = false;
    line.connection.baud = baud_->currentText().toInt(&ok);
    line.connection.scpi.query = toStd(query_->text().trimmed());
    line.instrumentId = toStd(book_->currentData().toString());
    QString wrong;
    if (line.connection.path.empty())
        wrong = QStringLiteral("! Say where it is, as /dev/ttyUSB0.");
    else if (!ok || line.connection.baud < 50)
        wrong = QStringLiteral("! The speed is a number, as 9600.");
    if (line.connection.dialect != device::Dialect::lines) {
        const auto specs = device::parseChannels(toStd(channels_->text()));
        if (!specs)
            wrong = QStringLiteral("! %1.").arg(toQt(specs.error().message));
        else
            line.connection.plain.channels = line.connection.scpi.channels = *specs;
    }
    problem_->setText(wrong);
    problem_->setVisible(!wrong.isEmpty());
    if (wrong.isEmpty())
        desk_.add(line);
}

void InstrumentsDialog::forgetLine() {
    if (forget_->currentIndex() >= 0)
        desk_.forget(toStd(forget_->currentData().toString()));
}

void InstrumentsDialog::refresh() {
    QStringList words;
    for (const LineDesk::Line& line : desk_.lines()) {
        words << QStringLiteral("%1, %2: %3")
                     .arg(LineDesk::nameOf(line), toQt(line.known.connection.path),
                          LineDesk::stateWords(line));
        for (const LineDesk::Channel& channel : desk_.channels())
            if (channel.id.instrument == line.known.connection.path)
                words << QStringLiteral("    %1: %2")
                             .arg(toQt(channel.spec.name),
                                  LineDesk::valueWords(channel, document_.units()));
    }
    list_->setText(words.isEmpty()
                       ? QStringLiteral("Nothing is connected yet. Plug an instrument in and say "
                                        "below where it is; without one, ./demo --live starts a "
                                        "simulated kitchen to practise on.")
                       : words.join(QLatin1Char('\n')));
    forgetLine_->setVisible(!desk_.isEmpty());
    if (forget_->count() != static_cast<int>(desk_.lines().size())) {
        forget_->clear();
        for (const LineDesk::Line& line : desk_.lines())
            forget_->addItem(LineDesk::nameOf(line), toQt(line.known.connection.path));
    }
}

} // namespace dynamet::app
