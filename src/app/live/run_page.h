// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/live/chime.h"
#include "app/live/course_line.h"
#include "app/live/keyed_pane.h"
#include "app/live/live_run.h"
#include "app/widgets/plot.h"

#include <QComboBox>
#include <QElapsedTimer>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>

namespace dynamet::app {

/// A test while it is made: what to do now in large type, the clock, the channels, what was found
/// so far and how sure it is, keys for what the cook does.
class RunPage : public QWidget {
    Q_OBJECT
  public:
    RunPage(Document& document, LineDesk& desk, QWidget* parent = nullptr);
    /// Shows what is about to be measured.
    void prepare(const rating::Protocol& protocol, const book::TestRecord& test,
                 const std::vector<std::string>& roles);
    /// Goes on with a run that was cut off.
    void goOn(const std::string& testId, const std::vector<std::string>& roles);
    /// F5: begins, or ends.
    void startOrStop();
    LiveRun& run() { return run_; }
    const Chime& chime() const { return chime_; }
    bool isRunning() const { return run_.isRunning(); }
    /// Draws all of it at once; how long that took, ms.
    double drawNow();

  signals:
    void closeWanted();
    void instrumentsWanted();
    void finished(const std::string& testId);

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QWidget* buildHead();
    QWidget* buildKeys();
    void fillChannels();
    void giveFreeRoles();
    std::map<device::ChannelId, std::string> roles() const;
    void refresh();
    void showFound();
    void draw();
    void drawLine(const LiveRun::Drawn& drawn, int at);
    Document& document_;
    LineDesk& desk_;
    LiveRun run_;
    Chime chime_;
    std::vector<std::string> possible_; ///< roles
    CourseLine* course_;
    QLabel* place_; ///< what is rated, and at what
    QLabel* step_;
    QLabel* clock_;
    QLabel* found_;
    QLabel* when_;
    QLabel* cautions_;
    QLabel* marks_;
    QLabel* problem_;
    QPushButton* start_;
    QPushButton* next_;
    QWidget* channels_ = nullptr;
    QGridLayout* grid_;
    struct Row {
        device::ChannelId id;
        QLabel* value;
        QComboBox* role;
    };
    std::vector<Row> rows_;
    KeyedPane* keyed_;
    Plot* plot_;
    std::map<std::string, QPointer<QCPGraph>> graphs_;
    QTimer frame_;
    bool due_ = false;
};

} // namespace dynamet::app
