// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/widgets/text_table.h"
#include "kitchen/find_setting.h"

#include <QLabel>
#include <QLineEdit>
#include <QWidget>

namespace dynamet::app {

/// Backwards: "what do I set so that the indirect side is 110–125 and the direct one above 240?"
class FindPane : public QWidget {
    Q_OBJECT
  public:
    explicit FindPane(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);
    /// Fills a zone's wish in, as typed.
    void wish(const std::string& zone, const QString& low, const QString& high);
    void find();

  signals:
    /// The cook wants this setting in the rate sheet.
    void settingChosen(const std::string& settingText, const std::string& zone);

  private:
    struct ZoneRow {
        std::string zone;
        QLineEdit *low, *high;
    };
    Result<kitchen::WantedHeat> wanted() const;
    QString noneWords(const kitchen::WantedHeat& wish) const;
    void showFound(const std::vector<kitchen::FoundSetting>& found,
                   const kitchen::WantedHeat& wish);
    Document& document_;
    std::string applianceId_;
    TemperatureUnit unit_ = TemperatureUnit::celsius; ///< that the fields were built for
    QWidget* form_;
    std::vector<ZoneRow> rows_;
    QLabel* words_;
    TextTable* table_;
    std::vector<std::string> settings_;
};

} // namespace dynamet::app
