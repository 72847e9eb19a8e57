// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLabel>
#include <functional>
#include <vector>

namespace dynamet::app {

/// A line over the page that warns, with buttons that say what can be done; hidden until it has
/// something to say.
class WarningLine : public QWidget {
    Q_OBJECT
  public:
    struct Way {
        QString words;
        std::function<void()> go;
    };
    WarningLine(const QString& name, const std::vector<Way>& ways, QWidget* parent = nullptr);
    /// Empty hides it.
    void say(const QString& words);

  private:
    QLabel* words_;
};

} // namespace dynamet::app
