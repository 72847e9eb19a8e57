// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"
#include "app/translate/translation_worker.h"
#include "app/widgets/text_table.h"
#include "formats/snapshot_json.h"

#include <QDialog>
#include <QLabel>

namespace dynamet::app {

/// A kept translation beside what the same recipe gives today, place by place. The kept one stays
/// as it was.
class KeptDialog : public QDialog {
    Q_OBJECT
  public:
    KeptDialog(Document& document, const std::string& translationId, QWidget* parent);
    bool isIdle() const { return worker_.isIdle(); }

  private:
    void fill();
    QStringList rowOf(const formats::KeptRow& row) const;
    Document& document_;
    TranslationWorker worker_;
    std::vector<formats::KeptRow> kept_;
    std::vector<translate::Row> today_;
    QLabel* about_;
    TextTable* table_;
};

} // namespace dynamet::app
