// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "panel.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGroupBox>
#include <QHBoxLayout>
#include <QPushButton>
#include <QScrollArea>
#include <QTimer>

Panel::Panel(const QString& port, QWidget* parent)
    : QWidget(parent), clock_(new QLabel), said_(new QLabel), box_(new QVBoxLayout) {
    setWindowTitle(QStringLiteral("Simulated kitchen"));
    resize(460, 720);
    auto* outer = new QVBoxLayout(this);
    auto* top = new QHBoxLayout;
    top->addWidget(clock_, 1);
    for (const int speed : {1, 20, 200}) {
        auto* button = new QPushButton(QStringLiteral("× %1").arg(speed));
        button->setAccessibleName(QStringLiteral("speed %1").arg(speed));
        connect(button, &QPushButton::clicked, this,
                [this, speed] { say(QStringLiteral("speed %1").arg(speed)); });
        top->addWidget(button);
    }
    outer->addLayout(top);
    auto* page = new QWidget;
    page->setLayout(box_);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setWidget(page);
    outer->addWidget(scroll, 1);
    said_->setWordWrap(true);
    said_->setAccessibleName(QStringLiteral("Answer"));
    outer->addWidget(said_);
    port_.setPortName(port);
    if (!port_.open(QIODevice::ReadWrite)) {
        said_->setText(QStringLiteral("There is no simulated kitchen at %1.").arg(port));
        return;
    }
    connect(&port_, &QSerialPort::readyRead, this, &Panel::hear);
    connect(&port_, &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError error) {
        if (error == QSerialPort::NoError || !port_.isOpen())
            return;
        port_.close();
        said_->setText(QStringLiteral("The simulated kitchen has ended."));
    });
    say(QStringLiteral("list"));
    auto* beat = new QTimer(this);
    connect(beat, &QTimer::timeout, this, [this] { say(QStringLiteral("now")); });
    beat->start(1000);
}

void Panel::say(const QString& line) {
    if (port_.isOpen())
        port_.write(line.toUtf8() + "\n");
}

void Panel::hear() {
    heard_ += port_.readAll();
    for (qsizetype end = heard_.indexOf('\n'); end >= 0; end = heard_.indexOf('\n')) {
        const QString line = QString::fromUtf8(heard_.left(end)).trimmed();
        heard_.remove(0, end + 1);
        if (line.startsWith(QStringLiteral("ok|")))
            build(line.split(QLatin1Char('|')).mid(1));
        else if (line.startsWith(QStringLiteral("ok ")))
            clock_->setText(
                QStringLiteral("%1 min of its time").arg(line.mid(3).toDouble() / 60, 0, 'f', 1));
        else if (line.startsWith(QStringLiteral("no")))
            said_->setText(line);
        else
            said_->clear();
    }
}

QWidget* Panel::knob(const QString& appliance, const QString& name) {
    if (name == QStringLiteral("lid") || name == QStringLiteral("door")) {
        const bool lid = name == QStringLiteral("lid");
        auto* box = new QCheckBox(lid ? QStringLiteral("lid on") : QStringLiteral("door open"));
        box->setAccessibleName(QStringLiteral("%1 %2").arg(appliance, name));
        box->setChecked(lid);
        connect(box, &QCheckBox::toggled, this, [this, appliance, name](bool on) {
            say(QStringLiteral("set %1 %2 %3").arg(appliance, name).arg(on ? 1 : 0));
        });
        return box;
    }
    auto* row = new QWidget;
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(new QLabel(name), 1);
    auto* value = new QDoubleSpinBox;
    value->setRange(0, 400);
    value->setDecimals(1);
    value->setAccessibleName(QStringLiteral("%1 %2").arg(appliance, name));
    auto* set = new QPushButton(QStringLiteral("Turn"));
    set->setAccessibleName(QStringLiteral("Turn %1 %2").arg(appliance, name));
    connect(set, &QPushButton::clicked, this, [this, appliance, name, value] {
        say(QStringLiteral("set %1 %2 %3").arg(appliance, name).arg(value->value()));
    });
    line->addWidget(value);
    line->addWidget(set);
    return row;
}

QWidget* Panel::probe(int channel, const QStringList& points) {
    auto* row = new QWidget;
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(new QLabel(QStringLiteral("probe %1").arg(channel)), 1);
    auto* where = new QComboBox;
    where->addItem(QStringLiteral("not plugged in"), QString());
    for (const QString& point : points)
        where->addItem(point, point);
    where->setAccessibleName(QStringLiteral("probe %1 is at").arg(channel));
    connect(where, &QComboBox::activated, this, [this, channel, where] {
        say(QStringLiteral("plug thermometer %1 %2")
                .arg(channel)
                .arg(where->currentData().toString()));
    });
    line->addWidget(where);
    return row;
}

void Panel::build(const QStringList& list) {
    if (built_)
        return;
    built_ = true;
    std::map<QString, QVBoxLayout*> groups;
    QStringList points{QStringLiteral("room air"), QStringLiteral("ice water")};
    for (const QString& item : list) {
        const QStringList words = item.split(QLatin1Char(' '));
        const QString appliance = words.value(1), rest = words.mid(2).join(QLatin1Char(' '));
        if (words.first() == QStringLiteral("appliance")) {
            auto* group = new QGroupBox(appliance);
            groups[appliance] = new QVBoxLayout(group);
            box_->addWidget(group);
        } else if (words.first() == QStringLiteral("knob")) {
            groups[appliance]->addWidget(knob(appliance, rest));
        } else if (words.first() == QStringLiteral("thing")) {
            auto* in = new QCheckBox(rest + QStringLiteral(" in or on it"));
            connect(in, &QCheckBox::toggled, this, [this, appliance, rest](bool on) {
                say(QStringLiteral("%1 %2 %3")
                        .arg(on ? QStringLiteral("put") : QStringLiteral("take"), appliance, rest));
            });
            groups[appliance]->addWidget(in);
        } else if (words.first() == QStringLiteral("point")) {
            points << appliance + QLatin1Char(' ') + rest;
        }
    }
    auto* probes = new QGroupBox(QStringLiteral("Where the probes are"));
    auto* lines = new QVBoxLayout(probes);
    for (int channel = 1; channel <= 4; ++channel)
        lines->addWidget(probe(channel, points));
    box_->insertWidget(0, probes);
}
