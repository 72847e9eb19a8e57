// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "kitchen/rate_sheet.h"

namespace dynamet::app {

/// What is rated: the appliance, what stands on or in it, the settings that were typed this
/// session, and its tests. The views of Rate show it.
class RateController : public QObject {
    Q_OBJECT
  public:
    explicit RateController(Document& document, QObject* parent = nullptr);
    /// nullptr when none is chosen, or it is gone.
    const kitchen::Appliance* appliance() const;
    const std::string& applianceId() const { return applianceId_; }
    /// Reads its tests; another appliance begins without typed settings. False: there is none.
    bool choose(const std::string& applianceId);

    /// A hob is rated with a vessel, anything else with or without an insert: each has its own
    /// sheet.
    struct With {
        std::string id;
        QString name;
    };
    std::vector<With> withChoices() const;
    const std::string& withId() const { return withId_; }
    void chooseWith(const std::string& id) { withId_ = id; }
    kitchen::SheetWith sheetWith() const;

    /// A setting that has no row gets one; returns its row.
    kitchen::Setting addRow(const kitchen::Setting& setting);

    /// Tests of the appliance, newest first.
    const std::vector<book::TestLine>& tests() const { return tests_; }
    std::vector<book::TestLine> testsOf(const kitchen::Setting& setting,
                                        const std::string& zone) const;
    /// A test that was imported and never saved, also one from before a crash; not the one in hand.
    const book::TestLine* unfinished(const std::string& inHand) const;

  private:
    bool isHobHere() const;
    Document& document_;
    std::string applianceId_, withId_;
    std::vector<kitchen::Setting> typed_;
    std::vector<book::TestLine> tests_;
};

} // namespace dynamet::app
