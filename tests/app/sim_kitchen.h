// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFile>
#include <QProcess>
#include <QSerialPort>
#include <QTemporaryDir>
#include <QTest>
#include <gtest/gtest.h>
#include <map>

/// The simulated kitchen in a process of its own, and its control line.
class SimKitchen {
  public:
    explicit SimKitchen(int seed = 1, double speed = 0) {
        process_.start(QStringLiteral(SIMKITCHEN),
                       {QStringLiteral("--dir"), folder_.path(), QStringLiteral("--seed"),
                        QString::number(seed), QStringLiteral("--speed"), QString::number(speed)});
        EXPECT_TRUE(process_.waitForReadyRead(20000)) << "it did not start";
        control_.setPortName(folder_.filePath(QStringLiteral("control")));
        EXPECT_TRUE(control_.open(QIODevice::ReadWrite)) << control_.errorString().toStdString();
    }
    ~SimKitchen() {
        control_.close();
        process_.kill();
        process_.waitForFinished();
    }
    std::string port(const char* instrument) const {
        return folder_.filePath(QString::fromUtf8(instrument)).toStdString();
    }
    /// Says a line and waits for its answer, the window's events going on meanwhile.
    QString say(const QString& line, int ms = 60000) {
        control_.write(line.toUtf8() + "\n");
        EXPECT_TRUE(QTest::qWaitFor([&] { return control_.canReadLine(); }, ms))
            << line.toStdString();
        const QString answer = QString::fromUtf8(control_.readLine()).trimmed();
        EXPECT_TRUE(answer.startsWith(QStringLiteral("ok")))
            << line.toStdString() << ": " << answer.toStdString();
        return answer;
    }
    /// What is true of an appliance as it is set now: "block effective_K" and its number.
    std::map<std::string, double> truths(const QString& appliance) {
        std::map<std::string, double> out;
        for (const QString& one : say(QStringLiteral("truth")).split(QLatin1Char('|'))) {
            const QString rest = one.section(QLatin1Char(' '), 1);
            if (one.startsWith(appliance + QLatin1Char(' ')))
                out[rest.section(QLatin1Char(' '), 0, -2).toStdString()] =
                    rest.section(QLatin1Char(' '), -1).toDouble();
        }
        return out;
    }
    void stop() {
        process_.kill();
        process_.waitForFinished();
    }

  private:
    QTemporaryDir folder_;
    QProcess process_;
    QSerialPort control_;
};
