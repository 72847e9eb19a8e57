// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/chime.h"

#include <QApplication>
#include <QAudioFormat>
#include <QAudioSink>
#include <QMediaDevices>
#include <cmath>
#include <numbers>
#include <vector>

namespace dynamet::app {
namespace {

constexpr int kRate = 22050;

/// Notes that fade, 16 bit, one channel: d and g, fifths upwards, or down.
QByteArray notes(Chime::Urgency urgency) {
    constexpr double kNoteS = 0.28, kLoud = 9000, kFade = 9;
    QByteArray out;
    const std::vector<double> all = urgency == Chime::Urgency::soon ? std::vector{587.33, 783.99}
                                    : urgency == Chime::Urgency::now
                                        ? std::vector{783.99, 1174.66, 783.99, 1174.66}
                                        : std::vector{783.99, 587.33, 440.0};
    for (const double hertz : all)
        for (int i = 0; i < static_cast<int>(kNoteS * kRate); ++i) {
            const double t = static_cast<double>(i) / kRate;
            const auto sample = static_cast<qint16>(kLoud * std::exp(-kFade * t) *
                                                    std::sin(2 * std::numbers::pi * hertz * t));
            out.append(reinterpret_cast<const char*>(&sample), sizeof sample);
        }
    return out;
}

} // namespace

Chime::Chime(QObject* parent) : QObject(parent) {}
Chime::~Chime() = default;

void Chime::ring(Urgency urgency) {
    ++count_;
    if (!on_)
        return;
    const QAudioDevice device = QMediaDevices::defaultAudioOutput();
    if (device.isNull()) {
        QApplication::beep();
        return;
    }
    silence();
    if (notes_.isEmpty() || urgency != last_)
        notes_ = notes(urgency);
    last_ = urgency;
    QAudioFormat format;
    format.setSampleRate(kRate);
    format.setChannelCount(1);
    format.setSampleFormat(QAudioFormat::Int16);
    sink_ = std::make_unique<QAudioSink>(device, format);
    buffer_ = std::make_unique<QBuffer>(&notes_);
    buffer_->open(QIODevice::ReadOnly);
    sink_->start(buffer_.get());
}

void Chime::silence() {
    sink_.reset();
    buffer_.reset();
}

} // namespace dynamet::app
