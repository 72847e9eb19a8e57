// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/plan/menu_dialogs.h"

#include "app/widgets/quantity_kinds.h"
#include "book/recipe_store.h"
#include "formats/snapshot_json.h"
#include "quantity/parse_duration.h"

#include <algorithm>

namespace dynamet::app {
namespace {

/// A stretch of time that may be none: "5", "10 min", "1 h".
Result<double> spanIn(const QLineEdit& field, const QString& name, double most) {
    const std::string text = toStd(field.text().trimmed());
    if (text == "0" || text.empty())
        return 0.0;
    const auto read = parseDuration(text);
    if (!read || read->highS > most)
        return fail(Errc::invalidArgument,
                    toStd(QStringLiteral("%1: write how long, as 10 min; at most %2")
                              .arg(name, toQt(printDuration(most)))));
    return read->highS;
}

std::vector<std::string> namesIn(const QString& text) {
    std::vector<std::string> out;
    for (const QString& part : text.split(QLatin1Char(',')))
        if (const std::string name = toStd(part.trimmed());
            !name.empty() && std::find(out.begin(), out.end(), name) == out.end())
            out.push_back(name);
    return out;
}

} // namespace

plan::Menu beginMenu(const Document& document) {
    plan::Menu out;
    out.id = book::newId();
    out.name = "Menu " + std::to_string(document.menus().size() + 1);
    if (!document.kitchen().sites.empty())
        out.siteId = document.kitchen().sites.front().id;
    return out;
}

MenuDialog::MenuDialog(Document& document, const plan::Menu& menu, QWidget* parent)
    : FormDialog(document, QStringLiteral("A menu"), parent), menu_(menu) {
    setProperty("guide", QStringLiteral("plan"));
    name_ = addText(QStringLiteral("Name"), menu.name);
    site_ = addThings(QStringLiteral("Place"), document.kitchen().sites, menu.siteId,
                      QStringLiteral("The whole kitchen"));
    QStringList cooks;
    for (const std::string& cook : menu.cooks)
        cooks << toQt(cook);
    cooks_ = addText(QStringLiteral("Cooks"), toStd(cooks.join(QStringLiteral(", "))),
                     QStringLiteral("Names, with commas between them"));
    serve_ = addText(QStringLiteral("Served at"), plan::clockText(menu.serveMin));
    from_ = addText(QStringLiteral("Nothing before"),
                    menu.notBeforeMin ? plan::clockText(*menu.notBeforeMin) : std::string(),
                    QStringLiteral("Empty: as early as it takes"));
    cold_ = addQuantity(QStringLiteral("Cold holding up to"),
                        kinds::temperature(document.units(), -5, 100), menu.limits.coldK);
    hot_ = addQuantity(QStringLiteral("Hot holding from"),
                       kinds::temperature(document.units(), -5, 100), menu.limits.hotK);
    warn_ = addText(QStringLiteral("Between them, warn after"), printDuration(menu.limits.warnS),
                    QStringLiteral("Local codes decide"));
    most_ = addText(QStringLiteral("and at most"), printDuration(menu.limits.mostS));
    name_->setFocus();
    name_->selectAll();
}

Result<void> MenuDialog::take() {
    const auto name = named(*name_);
    if (!name)
        return tl::unexpected(name.error());
    const auto serve = plan::parseClock(toStd(serve_->text()));
    if (!serve)
        return tl::unexpected(serve.error().in("Served at"));
    std::optional<int> from;
    if (!from_->text().trimmed().isEmpty()) {
        const auto read = plan::parseClock(toStd(from_->text()));
        if (!read)
            return tl::unexpected(read.error().in("Nothing before"));
        from = *read < *serve ? *read : *read - 24 * 60; // of the day before
    }
    const auto cooks = namesIn(cooks_->text());
    if (cooks.empty())
        return fail(Errc::invalidArgument, "Cooks: name at least one");
    const auto cold = cold_->value(), hot = hot_->value();
    if (!cold || !hot || !*cold || !*hot || **cold >= **hot)
        return fail(Errc::invalidArgument, "Hot holding has to be above cold holding");
    constexpr double kDayS = 24 * 3600;
    const auto warn = spanIn(*warn_, QStringLiteral("Warn after"), kDayS);
    const auto most = spanIn(*most_, QStringLiteral("At most"), kDayS);
    if (!warn || !most)
        return tl::unexpected(!warn ? warn.error() : most.error());
    if (*warn > *most)
        return fail(Errc::invalidArgument, "The warning has to come before the limit");
    menu_.name = *name;
    menu_.siteId = toStd(site_->currentData().toString());
    menu_.cooks = cooks;
    menu_.serveMin = *serve;
    menu_.notBeforeMin = from;
    menu_.limits = {**cold, **hot, *warn, *most};
    return {};
}

DishDialog::DishDialog(Document& document, const plan::Menu& menu, const plan::MenuDish& dish,
                       QWidget* parent)
    : FormDialog(document, QStringLiteral("A dish"), parent), menu_(menu), dish_(dish) {
    setProperty("guide", QStringLiteral("plan"));
    recipe_ = addThings(QStringLiteral("Recipe"), document.recipes(), dish.recipeId);
    portions_ = addText(QStringLiteral("Pieces"),
                        dish.portions > 0 ? std::to_string(dish.portions) : std::string(),
                        QStringLiteral("Empty: as the recipe says"));
    QStringList cooks{QStringLiteral("Whoever has a hand free")};
    for (const std::string& cook : menu.cooks)
        cooks << toQt(cook);
    const auto who = std::find(menu.cooks.begin(), menu.cooks.end(), dish.cook);
    cook_ = addChoice(QStringLiteral("Cook"), cooks,
                      who == menu.cooks.end() ? 0 : static_cast<int>(who - menu.cooks.begin()) + 1);
    place_ = addChoice(QStringLiteral("Where"), {}, 0);
    fillPlaces();
    connect(recipe_, &QComboBox::currentIndexChanged, this, &DishDialog::fillPlaces);
    early_ = addText(QStringLiteral("May come early by"), printDuration(dish.earlyS));
    late_ = addText(QStringLiteral("or late by"), printDuration(dish.lateS));
    dried_ = new QCheckBox(QStringLiteral("Dried or salted before the menu begins"));
    dried_->setChecked(dish.driedBefore);
    addWide(dried_);
    ahead_ = new QCheckBox(QStringLiteral("Made before and chilled: only reheated"));
    ahead_->setChecked(dish.madeAhead);
    addWide(ahead_);
    recipe_->setFocus();
}

void DishDialog::fillPlaces() {
    places_.clear();
    place_->clear();
    place_->addItem(QStringLiteral("The plan chooses"));
    addPlaces();
    addKept();
    int at = 0;
    for (std::size_t i = 0; i < places_.size() && dish_.place; ++i)
        if (places_[i].target == *dish_.place && places_[i].setting == dish_.setting)
            at = static_cast<int>(i) + 1;
    place_->setCurrentIndex(at);
}

void DishDialog::addPlaces() {
    for (const kitchen::Appliance& on : document_.kitchen().appliances) {
        if (!menu_.siteId.empty() && on.siteId != menu_.siteId)
            continue;
        for (const kitchen::Zone& zone : on.zones) {
            translate::Target target{on.id, zone.name,
                                     isHob(on.kind) ? on.standardVesselId : std::string()};
            if (dish_.place && !dish_.setting && dish_.place->applianceId == target.applianceId &&
                dish_.place->zone == target.zone)
                target = *dish_.place; // with its own vessel
            places_.push_back({target, {}});
            place_->addItem(on.zones.size() > 1
                                ? QStringLiteral("%1, %2").arg(toQt(on.name), toQt(zone.name))
                                : toQt(on.name));
        }
    }
}

void DishDialog::addKept() {
    const auto kept = listTranslations(document_.book(), toStd(recipe_->currentData().toString()));
    if (!kept)
        return document_.say(toQt(kept.error(), document_.units()));
    for (const book::TranslationLine& line : *kept)
        for (const formats::KeptRow& row :
             formats::keptRows(line.snapshotJson).value_or(std::vector<formats::KeptRow>{})) {
            const auto& all = document_.kitchen().appliances;
            const auto on = std::find_if(
                all.begin(), all.end(), [&](const auto& one) { return one.name == row.appliance; });
            if (!row.reached || on == all.end())
                continue;
            const auto setting = parseSetting(on->controls, row.setting);
            if (!setting)
                continue;
            places_.push_back(
                {{on->id, row.zone, isHob(on->kind) ? on->standardVesselId : std::string()},
                 *setting});
            place_->addItem(
                QStringLiteral("As kept %1 ago: %2, %3")
                    .arg(agoWords(line.createdMs, document_.now().utcMs), toQt(on->name),
                         toQt(settingLabel(on->controls, *setting, document_.units()))));
        }
}

Result<void> DishDialog::take() {
    const std::string id = toStd(recipe_->currentData().toString());
    if (id.empty())
        return fail(Errc::invalidArgument, "This book has no recipe yet: add one in Translate");
    bool ok = true;
    const QString pieces = portions_->text().trimmed();
    const int portions = pieces.isEmpty() ? 0 : pieces.toInt(&ok);
    if (!ok || portions < 0 || portions > recipe::kMostPieces)
        return fail(Errc::invalidArgument, "Pieces: a whole number, or nothing");
    constexpr double kMostS = 12 * 3600;
    const auto early = spanIn(*early_, QStringLiteral("Early"), kMostS);
    const auto late = spanIn(*late_, QStringLiteral("Late"), kMostS);
    if (!early || !late)
        return tl::unexpected(!early ? early.error() : late.error());
    if (id != dish_.recipeId)
        dish_.beginsS.reset(); // pinned was another dish
    dish_.recipeId = id;
    dish_.portions = portions;
    dish_.cook = cook_->currentIndex() > 0
                     ? menu_.cooks[static_cast<std::size_t>(cook_->currentIndex() - 1)]
                     : std::string();
    dish_.place.reset();
    dish_.setting.reset();
    if (place_->currentIndex() > 0) {
        const Offer& offer = places_[static_cast<std::size_t>(place_->currentIndex() - 1)];
        dish_.place = offer.target;
        dish_.setting = offer.setting;
    }
    dish_.driedBefore = dried_->isChecked();
    dish_.madeAhead = ahead_->isChecked();
    dish_.earlyS = *early;
    dish_.lateS = *late;
    return {};
}

} // namespace dynamet::app
