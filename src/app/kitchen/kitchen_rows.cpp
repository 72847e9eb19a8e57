// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

// The rows of each section: a name and the facts a cook asks for first.
#include "app/kitchen/kitchen_page.h"
#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/catalogue.h"

#include <QDateTime>

namespace dynamet::app {

void KitchenPage::addRow(const Thing& thing, const QStringList& facts) {
    things_.push_back(thing);
    rows_ << (QStringList{thing.retired ? tr("%1 (retired)").arg(toQt(thing.name))
                                        : toQt(thing.name)} +
              facts);
}

void KitchenPage::fill() {
    things_.clear();
    rows_.clear();
    QStringList headers{tr("Name")};
    const auto both = [&](void (KitchenPage::*rowsOf)(const kitchen::Kitchen&, bool)) {
        (this->*rowsOf)(document_.kitchen(), false);
        if (!withRetired_->isChecked())
            return;
        if (const auto retired = loadRetired(document_.book()))
            (this->*rowsOf)(*retired, true);
    };
    switch (section_) {
    case places:
        headers << tr("Height") << tr("Water boils at") << tr("Air temperature") << tr("Wind");
        both(&KitchenPage::fillPlaces);
        break;
    case appliances:
        headers << tr("Kind") << tr("Place") << tr("Rated");
        both(&KitchenPage::fillAppliances);
        break;
    case vessels:
        headers << tr("Material") << tr("Base") << tr("Weighs") << tr("Withstands up to");
        both(&KitchenPage::fillVessels);
        break;
    case inserts:
        headers << tr("Kind");
        both(&KitchenPage::fillInserts);
        break;
    case instruments:
        headers << tr("Kind") << tr("Accurate to ±") << tr("Upper limit") << tr("Damaged above");
        both(&KitchenPage::fillInstruments);
        break;
    case recipes:
        headers << tr("State") << tr("Kept translations");
        fillRecipes();
        break;
    default:
        headers << tr("Kept");
        fillKept();
    }
    table_->show(headers, rows_);
}

void KitchenPage::fillPlaces(const kitchen::Kitchen& from, bool retired) {
    const Units& units = document_.units();
    for (const kitchen::Site& site : from.sites)
        addRow({site.id, site.name, retired},
               {kinds::height(units).show(site.altitudeM),
                toQt(printTemperature(boilingPointAt(site), units.temperature())),
                toQt(printTemperature(site.ambient, units.temperature())),
                tr("%1 m/s").arg(toQt(printFixed(site.windMPerS, 1)))});
}

void KitchenPage::fillAppliances(const kitchen::Kitchen& from, bool retired) {
    for (const kitchen::Appliance& a : from.appliances) {
        const auto newest = document_.newestRatings().find(a.id);
        const auto* site = findSite(document_.kitchen(), a.siteId);
        addRow({a.id, a.name, retired},
               {QString::fromUtf8(kitchen::kindName(a.kind)),
                site ? toQt(site->name) : tr("a retired place"),
                newest == document_.newestRatings().end()
                    ? tr("never")
                    : tr("%1 ago").arg(agoWords(newest->second, document_.now().utcMs))});
    }
}

void KitchenPage::fillVessels(const kitchen::Kitchen& from, bool retired) {
    const Units& units = document_.units();
    for (const kitchen::Vessel& v : from.vessels)
        addRow({v.id, v.name, retired},
               {toQt(kitchen::materialOf(v.material).name),
                toQt(printLength(v.baseDiameterM, units.inches)), kinds::mass(40).show(v.massKg),
                v.highestTemperatureK ? toQt(printDegrees(*v.highestTemperatureK, units.fahrenheit))
                                      : tr("no limit")});
}

void KitchenPage::fillInserts(const kitchen::Kitchen& from, bool retired) {
    for (const kitchen::Insert& insert : from.inserts)
        addRow({insert.id, insert.name, retired},
               {insertKindNames().value(static_cast<int>(insert.kind) - 1)});
}

void KitchenPage::fillInstruments(const kitchen::Kitchen& from, bool retired) {
    const auto unit = document_.units().temperature();
    const auto point = [&](const std::optional<double>& kelvin) {
        return kelvin ? toQt(printTemperature(Temperature::kelvin(*kelvin), unit))
                      : tr("not known");
    };
    for (const kitchen::Instrument& i : from.instruments) {
        const bool heat = i.kind == kitchen::InstrumentKind::probe ||
                          i.kind == kitchen::InstrumentKind::infrared ||
                          i.kind == kitchen::InstrumentKind::builtInDial;
        const QString within =
            i.kind == kitchen::InstrumentKind::scale ? kinds::mass(1).show(i.accuracy)
            : heat ? toQt(printDifference(KelvinDelta(readingHalfWidth(i, document_.now().utcMs)),
                                          unit))
                   : QString();
        addRow({i.id, i.name, retired},
               {instrumentKindNames().value(static_cast<int>(i.kind)), within,
                heat ? point(i.highLimit) : QString(), heat ? point(i.damageLimit) : QString()});
    }
}

void KitchenPage::fillRecipes() {
    const auto lines = listRecipes(document_.book(), document_.kitchen());
    for (const book::RecipeLine& line : lines.value_or(std::vector<book::RecipeLine>{}))
        if (!line.retired || withRetired_->isChecked())
            addRow({line.id, line.name, line.retired},
                   {line.missing.empty() ? tr("ready") : toQt(line.missing),
                    line.kept > 0 ? QString::number(line.kept) : tr("none")});
}

void KitchenPage::fillKept() {
    for (const recipe::Recipe& recipe : document_.recipes()) {
        const auto lines = listTranslations(document_.book(), recipe.id);
        for (const auto& line : lines.value_or(std::vector<book::TranslationLine>{}))
            addRow({line.id, recipe.name, false},
                   {QDateTime::fromMSecsSinceEpoch(line.createdMs, Qt::UTC)
                        .toString(QStringLiteral("yyyy-MM-dd hh:mm")) +
                    tr(", %1 ago").arg(agoWords(line.createdMs, document_.now().utcMs))});
    }
}

} // namespace dynamet::app
