// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/kitchen/kitchen_controller.h"

#include "app/kitchen/thing_dialogs.h"
#include "app/widgets/quantity_kinds.h"
#include "kitchen/catalogue.h"

#include <QDateTime>
#include <fmt/format.h>

namespace dynamet::app {

namespace {

void addRow(KitchenController::Listing& out, const KitchenController::Thing& thing,
            const QStringList& facts) {
    out.things.push_back(thing);
    out.rows << (QStringList{thing.retired ? QStringLiteral("%1 (retired)").arg(toQt(thing.name))
                                           : toQt(thing.name)} +
                 facts);
}

} // namespace

KitchenController::Listing KitchenController::list(Section section, bool withRetired) const {
    Listing out;
    out.headers << QStringLiteral("Name");
    const auto both = [&](void (KitchenController::*add)(Listing&, const kitchen::Kitchen&, bool)
                              const) {
        (this->*add)(out, document_.kitchen(), false);
        if (!withRetired)
            return;
        if (const auto retired = loadRetired(document_.book()))
            (this->*add)(out, *retired, true);
    };
    switch (section) {
    case places:
        out.headers << QStringLiteral("Height") << QStringLiteral("Water boils at")
                    << QStringLiteral("Air temperature") << QStringLiteral("Wind");
        both(&KitchenController::addPlaces);
        break;
    case appliances:
        out.headers << QStringLiteral("Kind") << QStringLiteral("Place") << QStringLiteral("Rated");
        both(&KitchenController::addAppliances);
        break;
    case vessels:
        out.headers << QStringLiteral("Material") << QStringLiteral("Base")
                    << QStringLiteral("Weighs") << QStringLiteral("Withstands up to");
        both(&KitchenController::addVessels);
        break;
    case inserts:
        out.headers << QStringLiteral("Kind");
        both(&KitchenController::addInserts);
        break;
    case instruments:
        out.headers << QStringLiteral("Kind") << QStringLiteral("Accurate to ±")
                    << QStringLiteral("Upper limit") << QStringLiteral("Damaged above");
        both(&KitchenController::addInstruments);
        break;
    case recipes:
        out.headers << QStringLiteral("State") << QStringLiteral("Kept translations");
        addRecipes(out, withRetired);
        break;
    case kept:
        out.headers << QStringLiteral("Kept");
        addKept(out);
    }
    return out;
}

void KitchenController::addPlaces(Listing& out, const kitchen::Kitchen& from, bool retired) const {
    const Units& units = document_.units();
    for (const kitchen::Site& site : from.sites)
        addRow(out, {site.id, site.name, retired},
               {kinds::height(units).show(site.altitudeM),
                toQt(printTemperature(boilingPointAt(site), units.temperature())),
                toQt(printTemperature(site.ambient, units.temperature())),
                QStringLiteral("%1 m/s").arg(toQt(printFixed(site.windMPerS, 1)))});
}

void KitchenController::addAppliances(Listing& out, const kitchen::Kitchen& from,
                                      bool retired) const {
    for (const kitchen::Appliance& a : from.appliances) {
        const auto newest = document_.newestRatings().find(a.id);
        const auto* site = findSite(document_.kitchen(), a.siteId);
        addRow(
            out, {a.id, a.name, retired},
            {QString::fromUtf8(kitchen::kindName(a.kind)),
             site ? toQt(site->name) : QStringLiteral("a retired place"),
             newest == document_.newestRatings().end()
                 ? QStringLiteral("never")
                 : QStringLiteral("%1 ago").arg(agoWords(newest->second, document_.now().utcMs))});
    }
}

void KitchenController::addVessels(Listing& out, const kitchen::Kitchen& from, bool retired) const {
    const Units& units = document_.units();
    for (const kitchen::Vessel& v : from.vessels)
        addRow(out, {v.id, v.count > 1 ? fmt::format("{} × {}", v.name, v.count) : v.name, retired},
               {toQt(kitchen::materialOf(v.material).name),
                toQt(printLength(v.baseDiameterM, units.inches)), kinds::mass(40).show(v.massKg),
                v.highestTemperatureK ? toQt(printDegrees(*v.highestTemperatureK, units))
                                      : QStringLiteral("no limit")});
}

void KitchenController::addInserts(Listing& out, const kitchen::Kitchen& from, bool retired) const {
    for (const kitchen::Insert& insert : from.inserts)
        addRow(out, {insert.id, insert.name, retired},
               {insertKindNames().value(static_cast<int>(insert.kind) - 1)});
}

void KitchenController::addInstruments(Listing& out, const kitchen::Kitchen& from,
                                       bool retired) const {
    const auto unit = document_.units().temperature();
    const auto point = [&](const std::optional<double>& kelvin) {
        return kelvin ? toQt(printTemperature(Temperature::kelvin(*kelvin), unit))
                      : QStringLiteral("not known");
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
        addRow(out, {i.id, i.name, retired},
               {instrumentKindNames().value(static_cast<int>(i.kind)), within,
                heat ? point(i.highLimit) : QString(), heat ? point(i.damageLimit) : QString()});
    }
}

void KitchenController::addRecipes(Listing& out, bool withRetired) const {
    const auto lines = listRecipes(document_.book(), document_.kitchen());
    for (const book::RecipeLine& line : lines.value_or(std::vector<book::RecipeLine>{}))
        if (!line.retired || withRetired)
            addRow(out, {line.id, line.name, line.retired},
                   {line.missing ? toQt(*line.missing, document_.units()) : QStringLiteral("ready"),
                    line.kept > 0 ? QString::number(line.kept) : QStringLiteral("none")});
}

void KitchenController::addKept(Listing& out) const {
    for (const recipe::Recipe& recipe : document_.recipes()) {
        const auto lines = listTranslations(document_.book(), recipe.id);
        for (const auto& line : lines.value_or(std::vector<book::TranslationLine>{}))
            addRow(
                out, {line.id, recipe.name, false},
                {QDateTime::fromMSecsSinceEpoch(line.createdMs, Qt::UTC)
                     .toString(QStringLiteral("yyyy-MM-dd hh:mm")) +
                 QStringLiteral(", %1 ago").arg(agoWords(line.createdMs, document_.now().utcMs))});
    }
}

QString KitchenController::whyKept(Section section, const Thing& thing) const {
    if (section == places && document_.kitchen().sites.size() < 2)
        return QStringLiteral("A kitchen needs one place: add another before this one goes.");
    for (const kitchen::Appliance& a : document_.kitchen().appliances)
        if ((section == places && a.siteId == thing.id) ||
            (section == vessels && a.standardVesselId == thing.id))
            return QStringLiteral("%1 depends on it: change that first.").arg(toQt(a.name));
    return {};
}

Result<void> KitchenController::retireOrBringBack(Section section, const Thing& thing) {
    static constexpr Document::Thing kKinds[] = {
        Document::Thing::site,       Document::Thing::appliance,  Document::Thing::vessel,
        Document::Thing::insert,     Document::Thing::instrument, Document::Thing::recipe,
        Document::Thing::translation};
    return thing.retired ? document_.bringBack(kKinds[section], thing.id, thing.name)
                         : document_.retire(kKinds[section], thing.id, thing.name);
}

Result<void> KitchenController::copyRecipe(const std::string& id) {
    for (const recipe::Recipe& recipe : document_.recipes())
        if (recipe.id == id) {
            recipe::Recipe other = recipe;
            other.id = book::newId();
            other.name = toStd(QStringLiteral("%1, another").arg(toQt(recipe.name)));
            return document_.addRecipe(other);
        }
    return fail(Errc::notFound, "it is no longer in the book");
}

KitchenController::Allowed KitchenController::allowed(Section section, const Thing* thing) const {
    const bool writable = document_.isWritable(), standing = thing && !thing->retired;
    const bool opens = section == recipes || section == kept;
    return {writable, standing && (writable || opens), writable && standing && section != kept,
            writable && thing};
}

} // namespace dynamet::app
