// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "words/card_words.h"

#include <QString>

namespace dynamet::app {

/// The card as HTML with sizes in points, all of them times `scale`.
QString cardHtml(const words::ConversionCard& card, double scale = 1);
/// Writes one A5 page as PDF, its letters as large as all of it allows. Empty when it is written,
/// else why not.
QString writeCard(const words::ConversionCard& card, const QString& path);

} // namespace dynamet::app
