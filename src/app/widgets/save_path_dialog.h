// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <QLineEdit>

namespace dynamet::app {

/// Asks where to write a file: the path is typed, or looked for.
class SavePathDialog : public QDialog {
    Q_OBJECT
  public:
    SavePathDialog(const QString& title, const QString& fieldName, const QString& path,
                   const QString& filter, QWidget* parent = nullptr);
    QString path() const { return path_->text().trimmed(); }

  private:
    QLineEdit* path_;
};

} // namespace dynamet::app
