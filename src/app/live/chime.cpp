// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/live/chime.h"

#include <QApplication>
#include <QAudioFormat>
#include <QAudioSink>
#include <QMediaDevices>
#include <cmath>
#include <numbers>

namespace dynamet::app {
namespace {

constexpr int kRate = 22050;

/// Two notes a fourth apart that fade, 16 bit, one channel.
QByteArray notes() {
    constexpr double kNoteS = 0.28, kLoud = 9000, kFade = 9;
    QByteArray out;
    for (const double hertz : {587.33, 783.99})
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

void Chime::ring() {
    ++count_;
    if (!on_)
        return;
    const QAudioDevice device = QMediaDevices::defaultAudioOutput();
    if (device.isNull()) {
        QApplication::beep();
        return;
    }
    if (notes_.isEmpty())
        notes_ = notes();
    QAudioFormat format;
    format.setSampleRate(kRate);
    format.setChannelCount(1);
    format.setSampleFormat(QAudioFormat::Int16);
    sink_ = std::make_unique<QAudioSink>(device, format);
    buffer_ = std::make_unique<QBuffer>(&notes_);
    buffer_->open(QIODevice::ReadOnly);
    sink_->start(buffer_.get());
}

} // namespace dynamet::app
