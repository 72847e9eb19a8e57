// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/rate/conditions_form.h"
#include "rating/inputs/keyed_readings.h"
#include "rating/inputs/typed_values.h"

#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>
#include <set>

namespace dynamet::app {

/// How: what the test finds, what it needs, its steps and cautions, the values it asks for, and
/// where the readings come in (a log, or typed). What was typed stays while the setting, the place,
/// the units or the test's kind change.
class HowPane : public QWidget {
    Q_OBJECT
  public:
    explicit HowPane(Document& document, QWidget* parent = nullptr);
    /// `given` are values that follow from the place (rating/given_values.h): those that are never
    /// typed have no field, the others stand in theirs until somebody types.
    void showProtocol(const rating::Protocol& protocol, const std::map<std::string, double>& given);
    /// Puts what a kept test was given into the fields.
    void fill(const book::TestRecord& test);
    /// The values, given ones included, without those that come later; an error names the field.
    Result<rating::TypedValues> values(const std::set<std::string>& later = {}) const;
    std::map<std::string, std::string> typed() const;
    Result<std::map<std::string, std::vector<book::KeyedReading>>> keyed() const;
    /// Readings typed with the clock beside them, as channels of a log.
    Result<std::vector<book::RecordedChannel>> timed() const;

    ConditionsForm& conditions() { return *conditions_; }

  signals:
    void importWanted();
    void liveWanted();
    void keyedReady();

  private:
    struct Field {
        const rating::ValueSpec* value;
        QLineEdit* edit;      ///< nullptr for a choice
        QComboBox* choice;    ///< nullptr for what is typed
        bool touched = false; ///< somebody typed: what is given no longer replaces it
    };
    void rebuild();
    void remember();
    void translateUnits();
    void showGiven();
    QString textOf(const Field& field) const;
    void setText(const Field& field, const QString& text);
    void addField(QFormLayout& form, const rating::ValueSpec& value);
    void addText(const QString& words, const char* kind);
    void addFields();
    void addKeyed();
    void addSources();
    void addImport(const char* rank);
    void addLive();
    void addWork(const char* rank);
    QLineEdit* reading(QFormLayout& form, const QString& label, const QString& hint,
                       const std::string& role);
    Document& document_;
    const rating::Protocol* protocol_ = nullptr;
    std::map<std::string, double> given_;
    TemperatureUnit unit_ = TemperatureUnit::celsius;
    QWidget* body_ = nullptr;
    QVBoxLayout* column_ = nullptr;
    std::vector<Field> fields_;
    std::vector<std::pair<std::string, QLineEdit*>> readings_;   ///< by role
    std::map<std::string, std::map<std::string, QString>> kept_; ///< typed texts by protocol
    ConditionsForm* conditions_;
};

} // namespace dynamet::app
