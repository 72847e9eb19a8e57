// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/document/document.h"

namespace dynamet::app {

/// Writes the whole book as one open file, for another station or any reader of JSON.
void exportChanges(Document& document, QWidget* parent);
/// Writes one appliance or recipe with what it needs.
void shareThing(Document& document, QWidget* parent);
/// Shows what a file would change, and takes it in where that is wanted.
void takeInChanges(Document& document, QWidget* parent);
/// The copies that were made by themselves; one can be opened as a book of its own.
void showCopies(Document& document, const QString& bookPath, QWidget* parent);
/// Saves what can be read of a damaged book into a new one beside it, opens that and says what is
/// missing; says why where it cannot.
QString saveTheRest(Document& document, const QString& damaged);

} // namespace dynamet::app
