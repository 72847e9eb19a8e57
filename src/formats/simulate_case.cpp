// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/simulate_case.h"

#include "quantity/temperature.h"
#include "json/strict_json.h"

#include <algorithm>
#include <fmt/format.h>

namespace dynamet::formats {
namespace {

constexpr double kLongestS = 30 * 86400.0, kMostReports = 100000;

using heat::FaceBoundary;

double kelvin(double celsius) {
    return celsius + kZeroCelsiusK;
}

/// A number, or [[t_s, C], …].
heat::TimeCurve curve(const json::StrictJson& value) {
    if (value.json().is_number())
        return heat::TimeCurve(kelvin(value.number()));
    std::vector<std::pair<double, double>> points;
    for (const json::StrictJson& point : value.list()) {
        const auto pair = point.list();
        if (pair.size() != 2)
            throw point.wrong("should be [seconds, °C]");
        if (!points.empty() && pair[0].number() < points.back().first)
            throw point.wrong("its time runs backwards");
        points.emplace_back(pair[0].number(), kelvin(pair[1].number()));
    }
    if (points.empty())
        throw value.wrong("should be a number or a list of [seconds, °C]");
    return heat::TimeCurve(points);
}

void readPlate(const json::StrictJson& plate, FaceBoundary& out) {
    if (plate.has("effusivity_W_s05_m2K")) { // a stone floor
        plate.onlyKeys({"start_C", "contact", "effusivity_W_s05_m2K", "thickness_m"});
        heat::StoneFloor stone;
        stone.startK = kelvin(plate.at("start_C").number());
        stone.contact = plate.at("contact").above(0);
        if (plate.has("thickness_m"))
            stone.thicknessM = plate.at("thickness_m").above(0);
        const double effusivity = plate.at("effusivity_W_s05_m2K").above(0);
        stone.heatCapacity = effusivity * effusivity / stone.conductivity;
        out.stone = stone;
        return;
    }
    if (plate.has("C")) {
        plate.onlyKeys({"C", "contact"});
        out.plate = heat::FixedPlate{curve(plate.at("C")), plate.at("contact").above(0)};
        return;
    }
    plate.onlyKeys({"start_C", "contact", "heat_capacity_J_m2K", "burner_W_m2", "loss_W_m2K",
                    "ambient_C", "area_ratio"});
    heat::LumpedPlate lumped;
    lumped.startK = kelvin(plate.at("start_C").number());
    lumped.contact = plate.at("contact").above(0);
    lumped.heatCapacity = plate.at("heat_capacity_J_m2K").above(0);
    lumped.burnerFlux = plate.numberOr("burner_W_m2", 0);
    lumped.loss = plate.numberOr("loss_W_m2K", 0);
    lumped.ambientK = kelvin(plate.numberOr("ambient_C", 20));
    lumped.areaRatio = plate.numberOr("area_ratio", 1);
    if (lumped.areaRatio <= 0)
        throw plate.wrong("area_ratio should be above 0");
    out.lumpedPlate = lumped;
}

FaceBoundary readFace(const json::StrictJson& face) {
    face.onlyKeys({"air_C", "h", "radiant_C", "emissivity_view", "radiators", "plate", "liquid",
                   "flux_W_m2", "evaporation", "insulated"});
    FaceBoundary out;
    if (face.has("insulated") && face.at("insulated").boolean()) {
        if (face.json().size() > 1)
            throw face.wrong("is insulated and something else at once");
        return out;
    }
    if (face.has("air_C") || face.has("h"))
        out.air = heat::Convection{curve(face.at("air_C")), face.at("h").atLeast(0)};
    if (face.has("radiant_C") || face.has("emissivity_view"))
        out.radiators.push_back(
            {curve(face.at("radiant_C")), face.at("emissivity_view").atLeast(0)});
    if (face.has("radiators"))
        for (const json::StrictJson& one : face.at("radiators").list()) {
            one.onlyKeys({"C", "emissivity_view"});
            out.radiators.push_back({curve(one.at("C")), one.at("emissivity_view").atLeast(0)});
        }
    if (face.has("plate"))
        readPlate(face.at("plate"), out);
    if (face.has("liquid")) {
        const json::StrictJson liquid = face.at("liquid");
        liquid.onlyKeys({"C", "h"});
        out.liquid = heat::Liquid{curve(liquid.at("C")), liquid.at("h").atLeast(0)};
    }
    if (face.has("flux_W_m2"))
        out.flux = face.at("flux_W_m2").number();
    if (face.has("evaporation")) {
        face.at("evaporation").onlyKeys({"vapour_Pa"});
        out.vapourPa = face.at("evaporation").at("vapour_Pa").atLeast(0);
    }
    return out;
}

heat::Material readProperties(const json::StrictJson& properties) {
    if (!properties.has("composition")) {
        properties.onlyKeys({"k", "rho", "c"});
        return heat::Material(heat::ConstantProperties{properties.at("k").above(0),
                                                       properties.at("rho").above(0),
                                                       properties.at("c").above(0)});
    }
    properties.onlyKeys({"composition"});
    const json::StrictJson c = properties.at("composition");
    c.onlyKeys({"water", "protein", "fat", "carbohydrate", "fibre", "ash"});
    const auto composition = food::normalised({c.numberOr("water", 0), c.numberOr("protein", 0),
                                               c.numberOr("fat", 0), c.numberOr("carbohydrate", 0),
                                               c.numberOr("fibre", 0), c.numberOr("ash", 0)});
    if (!composition)
        throw composition.error().in("piece.properties");
    return heat::Material(*composition);
}

void readPiece(const json::StrictJson& piece, SimulateCase& out) {
    const std::string shape = piece.at("shape").text();
    const auto known = heat::shapeOf(shape);
    if (!known)
        throw piece.wrong(fmt::format("shape \"{}\" is not known", shape));
    out.piece.shape = *known;
    switch (*known) {
    case heat::Shape::slab:
        piece.onlyKeys({"shape", "thickness_m", "properties", "start_C", "bone"});
        break;
    case heat::Shape::block:
        piece.onlyKeys({"shape", "thickness_m", "width_m", "properties", "start_C", "bone"});
        out.piece.widthM = piece.at("width_m").above(0);
        break;
    case heat::Shape::finiteCylinder:
        piece.onlyKeys({"shape", "thickness_m", "diameter_m", "properties", "start_C", "bone"});
        out.piece.widthM = piece.at("diameter_m").above(0);
        break;
    default:
        piece.onlyKeys({"shape", "diameter_m", "properties", "start_C"});
    }
    out.piece.thicknessM =
        piece.at(heat::hasTwoFaces(*known) ? "thickness_m" : "diameter_m").above(0);
    if (piece.has("bone")) {
        const auto bone = heat::boneOf(piece.at("bone").text());
        if (!bone)
            throw piece.at("bone").wrong("should be none, \"first face\" or \"one side\"");
        out.piece.bone = *bone;
    }
    out.piece.startK = kelvin(piece.at("start_C").number());
    out.material = readProperties(piece.at("properties"));
}

CaseStage readStage(const json::StrictJson& stage, heat::Shape shape) {
    if (heat::isCrossSection(shape))
        stage.onlyKeys({"duration_s", "top", "bottom", "side", "turn_after"});
    else if (shape == heat::Shape::slab)
        stage.onlyKeys({"duration_s", "top", "bottom", "turn_after"});
    else
        stage.onlyKeys({"duration_s", "side", "turn_after"});
    CaseStage out;
    out.durationS = stage.at("duration_s").above(0);
    if (stage.has("top"))
        out.top = readFace(stage.at("top"));
    if (stage.has("bottom"))
        out.bottom = readFace(stage.at("bottom"));
    if (stage.has("side"))
        out.side = readFace(stage.at("side"));
    out.turnAfter = stage.has("turn_after") && stage.at("turn_after").boolean();
    return out;
}

void note(const heat::PieceSolver& solver, heat::Shape shape, SimulateResult& out) {
    const auto c = [](double k) { return k - kZeroCelsiusK; };
    out.timeS.push_back(solver.timeS());
    out.coreC.push_back(c(solver.coreK()));
    out.meanC.push_back(c(solver.meanK()));
    if (heat::hasTwoFaces(shape)) {
        out.topC.push_back(c(solver.surfaceK(heat::topFace)));
        out.bottomC.push_back(c(solver.surfaceK(heat::bottomFace)));
    }
    if (shape != heat::Shape::slab)
        out.sideC.push_back(
            c(solver.surfaceK(heat::isCrossSection(shape) ? heat::sideFace : heat::topFace)));
}

} // namespace

Result<SimulateCase> readCase(const std::string& text) {
    return json::readStrictly(text, [](const json::StrictJson& root) {
        root.onlyKeys({"piece", "stages", "report_every_s", "pressure_Pa", "model"});
        SimulateCase out;
        readPiece(root.at("piece"), out);
        for (const json::StrictJson& stage : root.at("stages").list())
            out.stages.push_back(readStage(stage, out.piece.shape));
        if (out.stages.empty())
            throw root.at("stages").wrong("should hold at least one stage");
        if (root.has("report_every_s"))
            out.reportEveryS = root.at("report_every_s").above(0);
        double total = 0;
        for (const CaseStage& stage : out.stages)
            total += stage.durationS;
        if (!(total <= kLongestS))
            throw root.at("stages").wrong("should take 30 days at most");
        if (!(total / out.reportEveryS <= kMostReports))
            throw root.wrong("would be reported more than 100 000 times: report_every_s is too "
                             "short for it");
        if (root.has("pressure_Pa")) {
            out.pressurePa = root.at("pressure_Pa").above(0);
            if (out.pressurePa < 20000 || out.pressurePa > 500000)
                throw root.at("pressure_Pa").wrong("should be 20 to 500 kPa");
        }
        if (root.has("model")) {
            root.at("model").onlyKeys({"boiling"});
            out.boiling =
                !root.at("model").has("boiling") || root.at("model").at("boiling").boolean();
        }
        return out;
    });
}

Result<SimulateResult> runCase(const SimulateCase& input) {
    heat::SolverOptions options;
    options.cells = heat::isCrossSection(input.piece.shape) ? 60 : 160;
    options.acrossCells = 30;
    options.toleranceK = 0.02;
    options.stoneLayers = 10;
    options.pressurePa = input.pressurePa;
    options.boiling = input.boiling;
    auto solver =
        heat::PieceSolver::create(input.piece, std::make_shared<heat::Material>(input.material),
                                  std::make_shared<heat::Vapour>(input.pressurePa), options);
    if (!solver)
        return tl::unexpected(solver.error());
    const heat::Shape shape = input.piece.shape;
    SimulateResult out;
    note(*solver, shape, out);
    double stageEnd = 0, nextReport = input.reportEveryS;
    for (std::size_t i = 0; i < input.stages.size(); ++i) {
        const CaseStage& stage = input.stages[i];
        if (!heat::hasTwoFaces(shape))
            solver->setBoundaries({}, stage.side.value_or(FaceBoundary{}));
        else if (stage.side)
            solver->setBoundaries(stage.bottom, stage.top, *stage.side);
        else
            solver->setBoundaries(stage.bottom, stage.top);
        stageEnd += stage.durationS;
        const bool last = i + 1 == input.stages.size();
        while (solver->timeS() < stageEnd - 1e-9) {
            const double until = std::min(nextReport, stageEnd);
            if (const auto done = solver->advance(until); !done)
                return tl::unexpected(done.error());
            const bool atReport = until >= nextReport - 1e-9;
            if (atReport)
                nextReport += input.reportEveryS;
            // The food is turned at the end of its stage; a report at that moment is before it.
            if (atReport || (last && until >= stageEnd - 1e-9))
                note(*solver, shape, out);
        }
        if (stage.turnAfter)
            solver->turn();
    }
    return out;
}

std::string resultJson(const SimulateResult& r) {
    nlohmann::json out{{"format", "dynamet-simulate-result"},
                       {"version", 1},
                       {"t_s", r.timeS},
                       {"core_C", r.coreC},
                       {"mean_C", r.meanC},
                       {"core_at_end_C", r.coreC.back()}};
    if (!r.topC.empty()) {
        out["top_C"] = r.topC;
        out["bottom_C"] = r.bottomC;
    }
    if (!r.sideC.empty())
        out["side_C"] = r.sideC;
    return out.dump();
}

} // namespace dynamet::formats
