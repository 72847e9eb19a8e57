// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/instrument.h"
#include "kitchen/vessel.h"

namespace dynamet::kitchen {

// What is usual, so that nobody needs to know a heat capacity: data/vessels.json, from memory.

struct Material {
    std::string id, name;
    double densityKgM3 = 0;
    double specificHeatJPerKgK = 0;
    double emissivity = 0;
    std::optional<double> highestTemperatureK;
};
const std::vector<Material>& materials();
/// By id, else by name, else carbon steel.
const Material& materialOf(const std::string& idOrName);

/// A form: how high its wall stands per diameter, and how thick per thickness of the base.
struct VesselForm {
    std::string id, name;
    VesselKind kind = VesselKind::pan;
    double wallPerDiameter = 0, wallPerBase = 0;
};
const std::vector<VesselForm>& vesselForms();

/// Base and wall by form and material, kg; good to 20 %.
double usualMassKg(const VesselForm& form, const Material& material, double diameterM,
                   double thicknessM);
/// A vessel of a form and a material, with its usual mass; no id, no name.
Vessel vesselMade(const VesselForm& form, const Material& material, double diameterM,
                  double thicknessM);

/// The place in `vesselForms` of the form that a vessel of its kind, size and mass most likely has.
std::size_t likelyForm(const Vessel& vessel);

/// Common vessels and instruments, ready to be added; no ids.
const std::vector<Vessel>& commonVessels();
const std::vector<Instrument>& commonInstruments();

} // namespace dynamet::kitchen
