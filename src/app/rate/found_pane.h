// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "rating/uncertainty/reduction.h"

#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

namespace dynamet::app {

/// What the uncertainty is made of, as one bar with a legend in words.
class CauseBar : public QWidget {
    Q_OBJECT
  public:
    explicit CauseBar(QWidget* parent = nullptr);
    void showCauses(const std::vector<rating::Contribution>& contributions);

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    std::vector<std::pair<QString, double>> shares_;
};

/// Found: one plain sentence, the numbers ±, what the uncertainty is made of, refusals with the way
/// out, Save.
class FoundPane : public QWidget {
    Q_OBJECT
  public:
    explicit FoundPane(Document& document, QWidget* parent = nullptr);
    void showNothing();
    void showRefusal(const QString& reason);
    /// `sheet` says why the rate sheet shows another number; may be empty.
    void showFound(const rating::Reduction& reduction, bool saved,
                   const QString& sheet = QString());
    /// Asks before a result is saved that would make nonsense of others: saving again says yes.
    void ask(const std::vector<QString>& questions);

  signals:
    void saveWanted();

  private:
    void clearNumbers();
    Document& document_;
    QLabel* sentence_;
    QLabel* refusal_;
    QWidget* numbers_;
    CauseBar* bar_;
    QLabel* sheet_;
    QLabel* warnings_;
    QPushButton* save_;
};

} // namespace dynamet::app
