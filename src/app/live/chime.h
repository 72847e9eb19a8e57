// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QBuffer>
#include <QObject>
#include <memory>

class QAudioSink;

namespace dynamet::app {

/// Two soft notes when something is due; the desktop's own bell where no sound can be played.
class Chime : public QObject {
  public:
    explicit Chime(QObject* parent = nullptr);
    ~Chime() override;
    /// Soon: two soft notes; now: four, higher; wrong: three that fall.
    enum class Urgency { soon, now, wrong };
    void ring(Urgency urgency = Urgency::soon);
    /// Any key: what still sounds stops.
    void silence();
    void setOn(bool on) { on_ = on; }
    bool isOn() const { return on_; }
    /// How often it rang, heard or not.
    int count() const { return count_; }

  private:
    bool on_ = true;
    int count_ = 0;
    QByteArray notes_;
    Urgency last_ = Urgency::soon;
    std::unique_ptr<QBuffer> buffer_;
    std::unique_ptr<QAudioSink> sink_;
};

} // namespace dynamet::app
