// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "kitchen/typical_chimney.h"

#include "coals/chimney_bed.h"
#include "kitchen/air_at.h"
#include "kitchen/typical_table.h"

#include <array>

namespace dynamet::kitchen {
namespace {

constexpr std::array kBurning{0.5, 1.0, 0.35}; ///< just lit, glowing, dying
constexpr double kUsualHeightM = 0.1;
constexpr double kBedU = 60, kViewU = 0.25, kGasU = 0.3;

struct ChimneySetting {
    double filled = 1, burning = 1, heightM = kUsualHeightM;
};

ChimneySetting read(const Appliance& a, const Setting& s) {
    ChimneySetting out;
    for (std::size_t i = 0; i < a.controls.size(); ++i) {
        const Control& control = a.controls[i];
        const auto* label = std::get_if<LabelIndex>(&s.values[i]);
        if (control.kind == ControlKind::height) {
            if (const auto* mm = std::get_if<double>(&s.values[i]))
                out.heightM = *mm / 1000;
        } else if (label && control.key == "coals" && !control.labels.empty()) {
            out.filled =
                static_cast<double>(label->index + 1) / static_cast<double>(control.labels.size());
        } else if (label && control.key == "age" && control.labels.size() == kBurning.size()) {
            out.burning = kBurning[static_cast<std::size_t>(label->index)];
        }
    }
    return out;
}

} // namespace

void addChimney(HeatField& field, const Appliance& appliance, const Setting& setting,
                const Site& site) {
    const ChimneySetting at = read(appliance, setting);
    const coals::Air air = airAt(site);
    const coals::Chimney chimney;
    const double bedK = coals::bedKelvin(chimney, at.filled, at.burning, air);
    const double gasK = coals::plumeKelvin(bedK, at.heightM, air);
    const double view = coals::viewOfBed(chimney, at.heightM);
    const auto number = [&](Term term, double value, double u) {
        putTypical(field, {Face::bottom, term}, {value, u});
    };
    number(Term::air, gasK, kGasU * (gasK - air.ambientK));
    number(Term::radiant, bedK, kBedU);
    number(Term::view, view, kViewU * view);
}

} // namespace dynamet::kitchen
