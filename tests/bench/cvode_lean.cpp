// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "bench/cvode_lean.h"

#include <algorithm>
#include <cvode/cvode.h>
#include <nvector/nvector_serial.h>
#include <sunlinsol/sunlinsol_band.h>
#include <sunmatrix/sunmatrix_band.h>

namespace bench {
namespace {

constexpr double kSigma = 5.670374e-8;

struct Problem {
    const LeanCase* input;
    const dynamet::heat::Material* material;
    double dx;
    std::vector<double> k, c;
};

int rhs(double, N_Vector yv, N_Vector dv, void* data) {
    Problem& p = *static_cast<Problem*>(data);
    const LeanCase& in = *p.input;
    const double* t = NV_DATA_S(yv);
    double* d = NV_DATA_S(dv);
    const auto nodes = p.k.size();
    for (std::size_t i = 0; i < nodes; ++i)
        p.material->full(t[i], p.c[i], p.k[i]);
    const auto into = [&](double ts, double h, double air) {
        const double s2 = ts * ts, a2 = air * air;
        return h * (air - ts) + in.view * kSigma * (a2 * a2 - s2 * s2);
    };
    double before = -into(t[0], in.hAir, in.airK);
    for (std::size_t i = 0; i < nodes; ++i) {
        const bool last = i + 1 == nodes;
        const double flow =
            last ? into(t[i], in.hTop, in.airTopK)
                 : 2 * p.k[i] * p.k[i + 1] / (p.k[i] + p.k[i + 1]) / p.dx * (t[i + 1] - t[i]);
        const double volume = i == 0 || last ? p.dx / 2 : p.dx;
        d[i] = (flow - before) / (p.c[i] * volume);
        before = flow;
    }
    // `before` of node 0 is minus what flows in at the bottom.
    return 0;
}

} // namespace

double solveLean(const LeanCase& problem, const dynamet::heat::Material& material,
                 double relativeTolerance, long& steps) {
    const int size = problem.cells + 1;
    Problem p{&problem, &material, problem.thicknessM / problem.cells,
              std::vector<double>(static_cast<std::size_t>(size)),
              std::vector<double>(static_cast<std::size_t>(size))};
    SUNContext context = nullptr;
    SUNContext_Create(nullptr, &context);
    N_Vector y = N_VNew_Serial(size, context);
    double* values = NV_DATA_S(y);
    std::fill(values, values + size, problem.startK);
    void* cvode = CVodeCreate(CV_BDF, context);
    CVodeInit(cvode, rhs, 0, y);
    CVodeSetUserData(cvode, &p);
    CVodeSStolerances(cvode, relativeTolerance, 10 * relativeTolerance);
    SUNMatrix matrix = SUNBandMatrix(size, 1, 1, context);
    SUNLinearSolver solver = SUNLinSol_Band(y, matrix, context);
    CVodeSetLinearSolver(cvode, solver, matrix);
    CVodeSetMaxNumSteps(cvode, 200000);
    double t = 0;
    CVodeSetStopTime(cvode, problem.turnAtS);
    CVode(cvode, problem.turnAtS, y, &t, CV_NORMAL);
    std::reverse(values, values + size);
    CVodeReInit(cvode, t, y);
    CVodeSetStopTime(cvode, problem.durationS);
    CVode(cvode, problem.durationS, y, &t, CV_NORMAL);
    CVodeGetNumSteps(cvode, &steps);
    const double core = values[problem.cells / 2];
    CVodeFree(&cvode);
    SUNLinSolFree(solver);
    SUNMatDestroy(matrix);
    N_VDestroy(y);
    SUNContext_Free(&context);
    return core;
}

} // namespace bench
