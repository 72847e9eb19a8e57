// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/conditions_form.h"
#include "app/shell/document.h"
#include "rating/needed_values.h"

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace dynamet::app {

/// How: what the test finds, what it needs, its steps and cautions, the values it asks for, and
/// where the readings come in (a log, or keyed).
class HowPane : public QWidget {
    Q_OBJECT
  public:
    explicit HowPane(Document& document, QWidget* parent = nullptr);
    /// `typed` holds what a test was given; empty = the usual values.
    void show(const rating::Protocol& protocol, double dialC,
              const std::map<std::string, std::string>& typed = {});
    /// The typed values; an error names the field.
    Result<std::map<std::string, double>> values() const;
    std::map<std::string, std::string> typed() const;
    Result<std::map<std::string, std::vector<book::KeyedReading>>> keyed() const;

    ConditionsForm& conditions() { return *conditions_; }

  signals:
    void importWanted();
    void keyedReady();

  private:
    void addText(const QString& words, const char* kind);
    void addFields(double dialC, const std::map<std::string, std::string>& typed);
    void addSources();
    Document& document_;
    const rating::Protocol* protocol_ = nullptr;
    QWidget* body_ = nullptr;
    QVBoxLayout* column_ = nullptr;
    std::vector<QLineEdit*> fields_;
    std::vector<QLineEdit*> keyed_; ///< one for each keyed role of the protocol
    ConditionsForm* conditions_;
};

} // namespace dynamet::app
