// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/cook/cook_keys.h"

#include <QInputDialog>

namespace dynamet::app {

Result<void> logByKey(QWidget* over, Document& document, CookDesk& desk, std::size_t at,
                      run::What what) {
    if (!desk.isOn())
        return {};
    const DishNow& dish = desk.dishes()[at];
    const run::Standing stands = dish.standing();
    const auto stage = std::min(stands.stage, dish.cook.planned.recipe.stages.size() - 1);
    const auto& place = dish.cook.planned.recipe.stages[stage].place;
    const auto* on = findAppliance(document.kitchen(), place.applianceId);
    bool ok = true;
    switch (what) {
    case run::What::opened:
        return desk.log(at, stands.open ? run::What::shut : run::What::opened);
    case run::What::paused:
        return desk.log(at, stands.paused ? run::What::resumed : run::What::paused);
    case run::What::moved: {
        QStringList zones;
        for (const kitchen::Zone& zone : on ? on->zones : std::vector<kitchen::Zone>{})
            zones << toQt(zone.name);
        if (zones.size() < 2)
            return fail(Errc::invalidArgument, "there is one place only on this appliance");
        const QString to = QInputDialog::getItem(over, QStringLiteral("Moved"),
                                                 QStringLiteral("To"), zones, 0, false, &ok);
        if (ok)
            return desk.log(at, what, 0, toStd(to));
        return {};
    }
    case run::What::setTo: {
        if (!on)
            return {};
        QStringList labels;
        std::vector<kitchen::Setting> settings;
        for (const kitchen::Setting& one : possibleSettings(on->controls, 20, 60)) {
            settings.push_back(one);
            labels << toQt(settingLabel(on->controls, one, document.units()));
        }
        const QString to = QInputDialog::getItem(over, QStringLiteral("Heat changed"),
                                                 QStringLiteral("To"), labels, 0, false, &ok);
        if (ok && labels.contains(to))
            return desk.log(
                at, what, 0,
                settingText(on->controls, settings[static_cast<std::size_t>(labels.indexOf(to))]));
        return {};
    }
    case run::What::coals: {
        const int count =
            QInputDialog::getInt(over, QStringLiteral("Coals added"),
                                 QStringLiteral("How many lit ones (below zero: taken away; "
                                                "0: the fire is fed)"),
                                 6, -60, 200, 1, &ok);
        if (ok)
            return desk.log(at, what, count);
        return {};
    }
    case run::What::note: {
        const QString words = QInputDialog::getText(over, QStringLiteral("A note"),
                                                    QStringLiteral("What is to be remembered"),
                                                    QLineEdit::Normal, {}, &ok);
        if (ok && !words.trimmed().isEmpty())
            return desk.log(at, what, 0, toStd(words.trimmed()));
        return {};
    }
    default:
        return desk.log(at, what);
    }
}

} // namespace dynamet::app
