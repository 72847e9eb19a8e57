// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/serial_link.h"

#include "app/document/qt_text.h"

namespace dynamet::app {
namespace {

constexpr int kTickMs = 500;
constexpr double kSilentS = 4, kAskEveryS = 1;

} // namespace

SerialLink::SerialLink(const device::Connection& connection, const QElapsedTimer& clock,
                       QObject* parent)
    : QObject(parent), connection_(connection), clock_(clock), talk_(connection) {
    connect(&port_, &QSerialPort::readyRead, this, &SerialLink::hear);
    connect(&port_, &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError error) {
        // A port that was pulled out goes on complaining until it is closed.
        const bool gone = error == QSerialPort::ResourceError || error == QSerialPort::ReadError ||
                          error == QSerialPort::WriteError;
        if (port_.isOpen() && gone)
            lose(QStringLiteral("it was unplugged"));
    });
    tick_.setInterval(kTickMs);
    connect(&tick_, &QTimer::timeout, this, &SerialLink::tick);
}

SerialLink::~SerialLink() {
    port_.disconnect(this);
}

void SerialLink::open() {
    wanted_ = true;
    tryOpen();
    tick_.start();
}

void SerialLink::close() {
    wanted_ = false;
    tick_.stop();
    port_.close();
    emit changed();
}

SerialLink::State SerialLink::state() const {
    if (!wanted_)
        return State::closed;
    if (!port_.isOpen())
        return State::lost;
    if (talk_.looksLikeWrongSpeed())
        return State::wrongSpeed;
    const double nowS = static_cast<double>(clock_.elapsed()) / 1000;
    return spoke_ && nowS - heardS_ < kSilentS ? State::talking : State::silent;
}

void SerialLink::tryOpen() {
    port_.setPortName(toQt(connection_.path));
    port_.setBaudRate(connection_.baud);
    if (!port_.open(QIODevice::ReadWrite)) {
        if (problem_.isEmpty())
            problem_ = port_.error() == QSerialPort::DeviceNotFoundError
                           ? QStringLiteral("there is nothing at %1").arg(toQt(connection_.path))
                       : port_.error() == QSerialPort::PermissionError
                           ? QStringLiteral("it is in use, or this user may not open it (group "
                                            "dialout)")
                           : port_.errorString();
        emit changed();
        return;
    }
    port_.clear();
    problem_.clear();
    talk_.openedAgain();
    spoke_ = false;
    heardS_ = askedS_ = static_cast<double>(clock_.elapsed()) / 1000;
    port_.write(QByteArray::fromStdString(talk_.opening()));
    emit changed();
}

void SerialLink::lose(const QString& why) {
    port_.close();
    problem_ = why;
    emit changed();
}

void SerialLink::hear() {
    const QByteArray bytes = port_.readAll();
    const double nowS = static_cast<double>(clock_.elapsed()) / 1000;
    bool news = false;
    for (const device::Message& message :
         talk_.feed({bytes.constData(), static_cast<std::size_t>(bytes.size())})) {
        if (const auto* reading = std::get_if<device::Reading>(&message)) {
            news = news || !spoke_;
            spoke_ = true;
            heardS_ = nowS;
            emit this->reading(*reading, nowS);
        } else if (const auto* unusable = std::get_if<device::Unusable>(&message)) {
            unusable_ = toQt(unusable->line);
        } else if (const auto* complaint = std::get_if<device::Complaint>(&message)) {
            problem_ = toQt(complaint->words);
            news = true;
        } else {
            news = true;
        }
    }
    if (news)
        emit changed();
}

/// Opens again what was lost, asks again what is silent, and what must be asked each time.
void SerialLink::tick() {
    if (!port_.isOpen())
        return tryOpen();
    const double nowS = static_cast<double>(clock_.elapsed()) / 1000;
    if (const std::string ask = talk_.asking(); !ask.empty() && talk_.hello())
        port_.write(QByteArray::fromStdString(ask));
    const bool known = talk_.hello() || connection_.dialect == device::Dialect::plain;
    if ((!known || nowS - heardS_ > kSilentS) && nowS - askedS_ > kAskEveryS) {
        askedS_ = nowS;
        port_.write(QByteArray::fromStdString(talk_.opening()));
    }
    emit changed();
}

} // namespace dynamet::app
