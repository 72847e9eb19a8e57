// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "reference/cvode_food.h"

#include "quantity/water.h"

#include <algorithm>
#include <cmath>
#include <cvode/cvode.h>
#include <nvector/nvector_serial.h>
#include <stdexcept>
#include <sunlinsol/sunlinsol_band.h>
#include <sunmatrix/sunmatrix_band.h>

namespace reference {
namespace {

using dynamet::Temperature;

constexpr double kSigma = 5.670374e-8;
constexpr double kRelax = 10000; // 1/s: boiling takes the surplus away this fast

/// Property tables on 0.1 K, so that the reference is not slowed by polynomials.
struct Tables {
    std::vector<double> dry, waterC, drySum, share, kWater, latent, saturation;
    double water0;
    explicit Tables(const dynamet::food::Composition& composition)
        : water0(dynamet::food::waterPerVolume(composition)) {
        for (int i = 0; i <= 4000; ++i) {
            const double c = i * 0.1;
            const auto parts = dynamet::food::volumeParts(composition, c);
            dry.push_back(dynamet::food::dryHeatCapacity(composition, c));
            waterC.push_back(water0 * dynamet::food::waterSpecificHeatInFood(c));
            drySum.push_back(parts.drySum);
            share.push_back(parts.waterShare);
            kWater.push_back(parts.waterConductivity);
            latent.push_back(dynamet::latentHeatJPerKg(Temperature::celsius(c)));
            saturation.push_back(dynamet::saturationPressurePa(Temperature::celsius(c)));
        }
    }
    static double read(const std::vector<double>& table, double kelvin) {
        const double at = std::clamp((kelvin - 273.15) * 10, 0.0, 3999.0);
        const auto i = static_cast<std::size_t>(at);
        return table[i] + (at - static_cast<double>(i)) * (table[i + 1] - table[i]);
    }
};

struct Problem {
    const Case* input;
    Tables tables;
    double boilingK, boilingLatent, fatFreeDry;
    Side bottom, top; // as the food's faces see them now
    int n;
    std::vector<double> size; ///< of the cells, m; finer at the faces
    std::vector<double>
        conductivities; // of the cells, kept so that the right-hand side allocates nothing

    explicit Problem(const Case& c)
        : input(&c), tables(c.composition), boilingK(dynamet::boilingPoint(c.pressurePa).kelvin()),
          boilingLatent(dynamet::latentHeatJPerKg(dynamet::boilingPoint(c.pressurePa))),
          fatFreeDry(dynamet::food::densityAt(c.composition, 20) *
                     (c.composition.protein + c.composition.carbohydrate + c.composition.fibre +
                      c.composition.ash)),
          bottom(c.bottom), top(c.top), n(c.cells),
          conductivities(static_cast<std::size_t>(c.cells)) {
        const auto edge = [&](int i) { // from the nearer face, quadratic
            const double s = 2.0 * std::min(i, n - i) / n;
            const double depth = c.thicknessM / 2 * s * (1 - c.grading + c.grading * s);
            return i <= n / 2 ? depth : c.thicknessM - depth;
        };
        for (int i = 0; i < n; ++i)
            size.push_back(edge(i + 1) - edge(i));
    }

    double conductivity(double t, double left) const {
        const double share = Tables::read(tables.share, t);
        const double lost = share * (1 - left), thick = 1 - 0.5 * lost;
        return (Tables::read(tables.drySum, t) + share * left * Tables::read(tables.kWater, t) +
                0.5 * lost * 0.03) /
               (thick * thick);
    }
    static double diffusion(double t) {
        return 1e-9 * std::exp(-45000 / 8.314 * (1 / std::min(t, 373.15) - 1 / 328.15));
    }
    double evaporation(const Side& side, double surface, double left) const {
        if (!side.vapourPa || left <= 0)
            return 0;
        const double p = input->pressurePa;
        const double moisture = left * tables.water0 / fatFreeDry;
        const double activity = 0.99 / (1 + std::pow(0.10 / moisture, 2));
        const double over = std::min(activity * Tables::read(tables.saturation, surface), 0.98 * p);
        return side.hAir / (1010 * 0.9) * 0.622 * std::log((p - *side.vapourPa) / (p - over));
    }
    /// Water at the face: what comes through the half cell is what evaporates there.
    double faceWater(const Side& side, double surface, double cell, double left) const {
        const double g = 2 * diffusion(cell) * tables.water0 / size.front();
        double low = 0, high = 1;
        for (int i = 0; i < 45; ++i) {
            const double mid = (low + high) / 2;
            (g * (left - mid) > evaporation(side, surface, mid) ? low : high) = mid;
        }
        return low;
    }
    double flux(const Side& side, double plate, double surface, double cell, double left) const {
        double q = side.hAir * (side.airK - surface) +
                   side.view * kSigma * (std::pow(side.radiantK, 4) - std::pow(surface, 4));
        if (side.contact > 0)
            q += side.contact * (plate - surface);
        if (!side.vapourPa)
            return q;
        const double water = faceWater(side, surface, cell, left);
        return q - evaporation(side, surface, water) * Tables::read(tables.latent, surface);
    }
    /// Surface temperature from the half cell: k (Ts − T1) / (dx/2) = q(Ts). The flux falls with
    /// Ts, so that the bracket always closes (Illinois rule).
    double surface(const Side& side, double plate, double cell, double left) const {
        const double g = 2 * conductivity(cell, left) / size.front();
        const auto f = [&](double ts) {
            return flux(side, plate, ts, cell, left) - g * (ts - cell);
        };
        double low = std::min(cell, 260.0) - 5, high = std::max(cell, 1200.0) + 5;
        double fLow = f(low), fHigh = f(high);
        // Start from a narrow bracket where it holds.
        if (f(cell - 1) > 0 && f(cell + 1) < 0) {
            low = cell - 1;
            high = cell + 1;
            fLow = f(low);
            fHigh = f(high);
        }
        double ts = cell;
        int side_ = 0;
        for (int i = 0; i < 100; ++i) {
            ts = (low * fHigh - high * fLow) / (fHigh - fLow);
            const double value = f(ts);
            if (std::abs(value) < 1e-7 * g || high - low < 1e-11)
                break;
            if (value > 0) {
                low = ts;
                fLow = value;
                if (side_ == 1)
                    fHigh /= 2;
                side_ = 1;
            } else {
                high = ts;
                fHigh = value;
                if (side_ == -1)
                    fLow /= 2;
                side_ = -1;
            }
        }
        return ts;
    }
};

// Layout: [plate bottom, –, T0, w0, T1, w1, …, plate top, –].
int rhs(double, N_Vector yv, N_Vector dv, void* data) {
    Problem& p = *static_cast<Problem*>(data);
    const double* y = NV_DATA_S(yv);
    double* d = NV_DATA_S(dv);
    const int n = p.n, end = 2 + 2 * n;
    const auto t = [&](int i) { return y[2 + 2 * i]; };
    const auto w = [&](int i) { return std::clamp(y[3 + 2 * i], 0.0, 1.0); };
    std::vector<double>& k = p.conductivities;
    for (int i = 0; i < n; ++i)
        k[static_cast<std::size_t>(i)] = p.conductivity(t(i), w(i));
    const double plates[2] = {p.bottom.lumped ? y[0] : p.bottom.plateK,
                              p.top.lumped ? y[end] : p.top.plateK};
    const double ts[2] = {p.surface(p.bottom, plates[0], t(0), w(0)),
                          p.surface(p.top, plates[1], t(n - 1), w(n - 1))};
    const double q[2] = {p.flux(p.bottom, plates[0], ts[0], t(0), w(0)),
                         p.flux(p.top, plates[1], ts[1], t(n - 1), w(n - 1))};
    const auto leaving = [&](const Side& side, double face, int i) {
        if (!side.vapourPa)
            return 0.0;
        const double left = p.faceWater(side, face, t(i), w(i));
        return 2 * Problem::diffusion(t(i)) / p.size.front() * (w(i) - left);
    };
    const double ends[2] = {leaving(p.bottom, ts[0], 0), leaving(p.top, ts[1], n - 1)};
    // Water that leaves through a face warms from its cell's temperature to the face's on the way.
    double in = q[0] - 4180 * p.tables.water0 * ends[0] * (ts[0] - t(0)), flow = -ends[0];
    for (int i = 0; i < n; ++i) {
        double out = -(q[1] - 4180 * p.tables.water0 * ends[1] * (ts[1] - t(n - 1)));
        double next = ends[1], carried = 0; // flow of water upwards, share·m/s
        if (i + 1 < n) {
            const double a = k[static_cast<std::size_t>(i)], b = k[static_cast<std::size_t>(i) + 1];
            const double here = p.size[static_cast<std::size_t>(i)],
                         there = p.size[static_cast<std::size_t>(i) + 1];
            out = 2 / (here / a + there / b) * (t(i) - t(i + 1));
            next = (Problem::diffusion(t(i)) + Problem::diffusion(t(i + 1))) / (here + there) *
                   (w(i) - w(i + 1));
            carried -= next * (t(i + 1) - t(i));
        }
        if (i > 0)
            carried -= flow * (t(i) - t(i - 1));
        const double capacity =
            Tables::read(p.tables.dry, t(i)) + w(i) * Tables::read(p.tables.waterC, t(i));
        double steam = 0; // kg/m³s
        if (p.input->boiling && t(i) > p.boilingK && y[3 + 2 * i] > 0)
            steam = kRelax * capacity * (t(i) - p.boilingK) / p.boilingLatent *
                    std::min(1.0, y[3 + 2 * i] / 0.0005);
        const double dx = p.size[static_cast<std::size_t>(i)];
        const double heat = (in - out + carried / 2 * 4180 * p.tables.water0) / dx;
        d[2 + 2 * i] = (heat - steam * p.boilingLatent) / capacity;
        d[3 + 2 * i] = (flow - next) / dx - steam / p.tables.water0;
        in = out;
        flow = next;
    }
    const Side* sides[2] = {&p.bottom, &p.top};
    for (int f = 0; f < 2; ++f) {
        const int at = f == 0 ? 0 : end;
        d[at] = sides[f]->lumped
                    ? (sides[f]->burnerFlux - sides[f]->loss * (y[at] - sides[f]->ambientK) -
                       sides[f]->contact * (y[at] - ts[f])) /
                          sides[f]->heatCapacity
                    : 0;
        d[at + 1] = 0;
    }
    return 0;
}

void check(int code) {
    if (code < 0)
        throw std::runtime_error("CVODE failed with " + std::to_string(code));
}

double extrapolated(const Problem& p, const double* y, bool top) {
    const int cell = top ? p.n - 1 : 0, at = top ? 2 + 2 * p.n : 0;
    const Side& side = top ? p.top : p.bottom;
    return p.surface(side, side.lumped ? y[at] : side.plateK, y[2 + 2 * cell],
                     std::clamp(y[3 + 2 * cell], 0.0, 1.0));
}

void turn(Problem& p, double* y) {
    for (int i = 0; i < p.n / 2; ++i) {
        std::swap(y[2 + 2 * i], y[2 + 2 * (p.n - 1 - i)]);
        std::swap(y[3 + 2 * i], y[3 + 2 * (p.n - 1 - i)]);
    }
}

} // namespace

Result solve(const Case& problem) {
    Problem p(problem);
    SUNContext context = nullptr;
    SUNContext_Create(nullptr, &context);
    const int size = 4 + 2 * p.n;
    N_Vector y = N_VNew_Serial(size, context);
    double* values = NV_DATA_S(y);
    std::fill(values, values + size, 0.0);
    values[0] = problem.bottom.plateK;
    values[2 + 2 * p.n] = problem.top.plateK;
    for (int i = 0; i < p.n; ++i) {
        values[2 + 2 * i] = problem.startK;
        values[3 + 2 * i] = 1;
    }
    void* cvode = CVodeCreate(CV_BDF, context);
    check(CVodeInit(cvode, rhs, 0, y));
    check(CVodeSetUserData(cvode, &p));
    check(CVodeSStolerances(cvode, problem.relativeTolerance, problem.relativeTolerance));
    SUNMatrix matrix = SUNBandMatrix(size, 3, 3, context);
    SUNLinearSolver solver = SUNLinSol_Band(y, matrix, context);
    check(CVodeSetLinearSolver(cvode, solver, matrix));
    check(CVodeSetMaxNumSteps(cvode, 2000000));
    Result out;
    double t = 0;
    bool turned = problem.turnAtS < 0;
    for (double until : problem.reportS) {
        if (!turned && until > problem.turnAtS) {
            if (problem.turnAtS > t) {
                check(CVodeSetStopTime(cvode, problem.turnAtS));
                check(CVode(cvode, problem.turnAtS, y, &t, CV_NORMAL));
            }
            turn(p, values);
            check(CVodeReInit(cvode, t, y));
            turned = true;
        }
        if (until > t) {
            check(CVodeSetStopTime(cvode, until));
            check(CVode(cvode, until, y, &t, CV_NORMAL));
        }
        double sum = 0;
        for (int i = 0; i < p.n; ++i)
            sum += values[2 + 2 * i] * p.size[static_cast<std::size_t>(i)];
        out.meanK.push_back(sum / problem.thicknessM);
        out.coreK.push_back((9 * (values[2 + p.n - 2] + values[2 + p.n]) -
                             (values[2 + p.n - 4] + values[2 + p.n + 2])) /
                            16);
        out.bottomK.push_back(extrapolated(p, values, false));
        out.topK.push_back(extrapolated(p, values, true));
    }
    CVodeGetNumSteps(cvode, &out.steps);
    CVodeFree(&cvode);
    SUNLinSolFree(solver);
    SUNMatDestroy(matrix);
    N_VDestroy(y);
    SUNContext_Free(&context);
    return out;
}

} // namespace reference
