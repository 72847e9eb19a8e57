// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "app/cook/cook_desk.h"

namespace dynamet::app {

/// What is done with one key.
struct CookKey {
    Qt::Key key;
    run::What what;
    const char* words;
};
inline constexpr CookKey kCookKeys[]{
    {Qt::Key_T, run::What::turned, "Turned  T"},   {Qt::Key_O, run::What::opened, "Opened  O"},
    {Qt::Key_M, run::What::moved, "Moved  M"},     {Qt::Key_H, run::What::setTo, "Heat  H"},
    {Qt::Key_C, run::What::coals, "Coals  C"},     {Qt::Key_B, run::What::basted, "Basted  B"},
    {Qt::Key_A, run::What::paused, "Off heat  A"}, {Qt::Key_P, run::What::pulled, "Pulled  P"},
    {Qt::Key_R, run::What::served, "Served  R"},   {Qt::Key_N, run::What::note, "Note  N"}};

/// Logs what a key means for a dish; some of it needs a word more: where to, how many, what.
Result<void> logByKey(QWidget* over, Document& document, CookDesk& desk, std::size_t dish,
                      run::What what);

} // namespace dynamet::app
