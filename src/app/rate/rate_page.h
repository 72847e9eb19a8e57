// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/rate/found_pane.h"
#include "app/rate/how_pane.h"
#include "app/rate/rate_sheet_view.h"
#include "app/rate/trace_pane.h"

#include <QHBoxLayout>

namespace dynamet::app {

/// Rate: the sheet on top, the bench (How, Trace, Found) below. Layout and the course of a test.
class RatePage : public QWidget {
    Q_OBJECT
  public:
    explicit RatePage(Document& document, QWidget* parent = nullptr);
    void showAppliance(const std::string& id);
    void importLog(const QString& path = {});
    void save();
    RateSheetView& sheet() { return *sheet_; }
    /// Shows a saved or draft test on the bench.
    void showTest(const std::string& testId);
    void showNewestTest();

  protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

  private:
    enum class Attention { how, trace, found };
    void buildHeader(QVBoxLayout* box);
    void showProtocols();
    void chooseProtocol(const std::string& id);
    void attend(Attention attention);
    void takeKeyed();
    Result<book::TestRecord> newTest() const;
    void work(const book::TestRecord& test);
    void cellChosen();
    void refresh();
    void showDraft();
    void say(const QString& words);

    Document& document_;
    std::string applianceId_;
    const rating::Protocol* protocol_ = nullptr;
    std::optional<book::TestRecord> test_;
    std::optional<rating::Reduction> reduction_;
    bool saved_ = false;
    QLabel* title_;
    QLabel* about_;
    QWidget* methods_;
    QLabel* cell_;
    QPushButton* draft_;
    std::string draftId_;
    RateSheetView* sheet_;
    QHBoxLayout* bench_;
    HowPane* how_;
    TracePane* trace_;
    FoundPane* found_;
};

} // namespace dynamet::app
