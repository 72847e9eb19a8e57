// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

#include <functional>

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

/// Asks for a path, writes (`writes` says empty, or why not) and tells what became of it.
void writeAsked(Document& document, QWidget* parent, const QString& title, const QString& name,
                const QString& filter, const std::function<QString(const QString&)>& writes);

} // namespace dynamet::app
