// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/translate/binding_dialog.h"

#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"
#include "quantity/parse_temperature.h"
#include "words/binding_words.h"

#include <QLabel>

namespace dynamet::app {
namespace {

using enum recipe_text::BindingKind;

const std::vector<recipe_text::BindingKind>& kindsInOrder() {
    static const std::vector<recipe_text::BindingKind> all{
        temperature, core, duration, rest,  level,  zone,      lid,    cover, sign,
        doneness,    turn, height,   coals, vessel, thickness, weight, count, start};
    return all;
}

bool hasNumber(recipe_text::BindingKind kind) {
    switch (kind) {
    case level:
    case zone:
    case lid:
    case cover:
    case sign:
    case doneness:
    case vessel:
        return false;
    default:
        return true;
    }
}

/// Both ends of what was typed: "180", "180-200 C", "25-30 min".
Result<std::pair<double, double>> numberOf(recipe_text::BindingKind kind, const std::string& typed,
                                           const Units& units) {
    if (kind == duration || kind == rest || kind == turn) {
        const auto read = parseDuration(typed);
        if (!read)
            return tl::unexpected(read.error());
        return std::pair{read->lowS, read->highS};
    }
    if (kind == temperature || kind == core || kind == start) {
        const auto read = parseTemperature(typed, units.temperature());
        if (!read)
            return tl::unexpected(read.error());
        return std::pair{read->kelvin(), read->kelvin()};
    }
    Result<double> read =
        kind == weight ? parseMassKg(typed) : parseLengthM(typed, units.inches ? 0.0254 : 1e-3);
    if (kind == count || kind == coals) {
        read = parseWithUnits(typed, {}, 1, "a number");
    }
    if (!read)
        return tl::unexpected(read.error());
    return std::pair{*read, *read};
}

} // namespace

BindingDialog::BindingDialog(Document& document, const recipe_text::Binding& binding,
                             QWidget* parent)
    : FormDialog(document, QStringLiteral("What these words mean"), parent), binding_(binding) {
    setProperty("guide", QStringLiteral("words"));
    auto* words = new QLabel(QStringLiteral("“%1”").arg(toQt(binding.text)));
    words->setObjectName(QStringLiteral("sentence"));
    words->setWordWrap(true);
    addWide(words);
    QStringList kinds;
    int at = 0;
    for (const recipe_text::BindingKind kind : kindsInOrder()) {
        if (kind == binding.kind)
            at = static_cast<int>(kinds.size());
        kinds << QString::fromUtf8(words::kindWords(kind));
    }
    kinds << QStringLiteral("nothing of the cook");
    kind_ = addChoice(QStringLiteral("They say"), kinds, at);
    number_ = addText(QStringLiteral("That is"), words::bindingWords(binding, document.units()),
                      QStringLiteral("no number"));
    connect(kind_, &QComboBox::currentIndexChanged, this, &BindingDialog::showNumber);
    showNumber();
}

void BindingDialog::showNumber() {
    const auto at = static_cast<std::size_t>(kind_->currentIndex());
    const bool numbered = at < kindsInOrder().size() && hasNumber(kindsInOrder()[at]);
    setRowVisible(number_, numbered);
}

Result<void> BindingDialog::take() {
    const auto at = static_cast<std::size_t>(kind_->currentIndex());
    correction_ = {binding_.begin, binding_.text, "", {}, {}};
    if (at >= kindsInOrder().size())
        return {};
    const recipe_text::BindingKind kind = kindsInOrder()[at];
    correction_.kind = enumName(kind);
    const std::string typed = toStd(number_->text().trimmed());
    if (typed.empty() || !number_->isVisibleTo(this))
        return {};
    if (kind == binding_.kind && typed == words::bindingWords(binding_, document_.units())) {
        correction_.low = binding_.low;
        correction_.high = binding_.high;
        return {};
    }
    const auto number = numberOf(kind, typed, document_.units());
    if (!number)
        return tl::unexpected(number.error().in("That is"));
    correction_.low = number->first;
    correction_.high = number->second;
    return {};
}

} // namespace dynamet::app
