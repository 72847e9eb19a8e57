// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "recipe_text/rewrite.h"
#include "translate/translate.h"

namespace dynamet::words {

/// A recipe's text for another place: the words that change, and what cannot be carried over.
struct RewrittenRecipe {
    std::string before;
    recipe_text::Rewritten after;
    std::vector<std::string> notes;
    bool understood = true; ///< false: the text says other stages than the recipe's
};

/// The recipe's own words for a row. refused: a recipe of several stages that goes over straight
/// through has no words for each; move a stage at a time. A text that does not say what the
/// recipe's stages do is left as it is, with a note.
Result<RewrittenRecipe> rewrittenFor(const translate::Row& row,
                                     const translate::Prepared& prepared);

/// What cannot be carried over from one kind of heat to another (smoke, drippings, steam, the pan's
/// fond) and what cooks do instead; common practice, no source.
std::vector<std::string> notCarriedOver(const recipe::Recipe& recipe,
                                        const kitchen::Appliance& from,
                                        const kitchen::Appliance& to);

} // namespace dynamet::words
