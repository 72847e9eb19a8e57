// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "bench/cvode_grid.h"

#include <algorithm>
#include <cvode/cvode.h>
#include <nvector/nvector_serial.h>
#include <sunlinsol/sunlinsol_band.h>
#include <sunlinsol/sunlinsol_spgmr.h>
#include <sunmatrix/sunmatrix_band.h>

namespace bench {
namespace {

constexpr double kSigma = 5.670374e-8;

struct Problem {
    const GridCase* input;
    const dynamet::heat::Material* material;
    dynamet::heat::Grid grid;
    std::vector<double> k, c, volume, up, across; // up, across: area over distance to the next
};

double into(const GridCase& in, double ts, double h, double air) {
    const double s2 = ts * ts, a2 = air * air;
    return h * (air - ts) + in.view * kSigma * (a2 * a2 - s2 * s2);
}

int rhs(double, N_Vector yv, N_Vector dv, void* data) {
    Problem& p = *static_cast<Problem*>(data);
    const GridCase& in = *p.input;
    const double* t = NV_DATA_S(yv);
    double* d = NV_DATA_S(dv);
    const std::size_t ny = p.grid.up.size(), nx = p.grid.across.size(), n = nx * ny;
    for (std::size_t i = 0; i < n; ++i)
        p.material->full(t[i], p.c[i], p.k[i]);
    std::fill(d, d + n, 0.0);
    const auto pass = [&](std::size_t i, std::size_t j, double reach) {
        const double q = reach * 2 * p.k[i] * p.k[j] / (p.k[i] + p.k[j]) * (t[j] - t[i]);
        d[i] += q;
        d[j] -= q;
    };
    for (std::size_t x = 0; x < nx; ++x) {
        for (std::size_t y = 0; y + 1 < ny; ++y)
            pass(x * ny + y, x * ny + y + 1, p.up[x * ny + y]);
        d[x * ny] += p.grid.volumeAcross[x] * into(in, t[x * ny], in.hBottom, in.bottomK);
        d[x * ny + ny - 1] +=
            p.grid.volumeAcross[x] * into(in, t[x * ny + ny - 1], in.hTop, in.topK);
        if (x + 1 < nx)
            for (std::size_t y = 0; y < ny; ++y)
                pass(x * ny + y, (x + 1) * ny + y, p.across[x * ny + y]);
    }
    if (nx > 1)
        for (std::size_t y = 0; y < ny; ++y)
            d[n - ny + y] += p.grid.volumeUp[y] * into(in, t[n - ny + y], in.hTop, in.topK);
    for (std::size_t i = 0; i < n; ++i)
        d[i] /= p.c[i] * p.volume[i];
    return 0;
}

Problem problemOf(const GridCase& in, const dynamet::heat::Material& material) {
    Problem p{&in, &material, *gridFor(in.piece, in.cells, in.acrossCells, in.grading), {}, {}, {},
              {},  {}};
    const auto& g = p.grid;
    const std::size_t ny = g.up.size(), nx = g.across.size();
    for (std::size_t x = 0; x < nx; ++x)
        for (std::size_t y = 0; y < ny; ++y) {
            p.volume.push_back(g.volumeUp[y] * g.volumeAcross[x]);
            p.up.push_back(y + 1 < ny ? g.areaUp[y] * g.volumeAcross[x] / (g.up[y + 1] - g.up[y])
                                      : 0);
            p.across.push_back(
                x + 1 < nx ? g.areaAcross[x] * g.volumeUp[y] / (g.across[x + 1] - g.across[x]) : 0);
        }
    p.k.assign(nx * ny, 0);
    p.c = p.k;
    return p;
}

} // namespace

double solveGrid(const GridCase& problem, const dynamet::heat::Material& material,
                 double relativeTolerance, Linear linear, long& steps) {
    Problem p = problemOf(problem, material);
    const auto ny = static_cast<long>(p.grid.up.size()), size = static_cast<long>(p.volume.size());
    SUNContext context = nullptr;
    SUNContext_Create(nullptr, &context);
    N_Vector y = N_VNew_Serial(size, context);
    double* values = NV_DATA_S(y);
    std::fill(values, values + size, problem.piece.startK);
    void* cvode = CVodeCreate(CV_BDF, context);
    CVodeInit(cvode, rhs, 0, y);
    CVodeSetUserData(cvode, &p);
    CVodeSStolerances(cvode, relativeTolerance, 10 * relativeTolerance);
    const long reach = p.grid.across.size() > 1 ? ny : 1;
    const bool band = linear == Linear::band;
    SUNMatrix matrix = band ? SUNBandMatrix(size, reach, reach, context) : nullptr;
    SUNLinearSolver solver =
        band ? SUNLinSol_Band(y, matrix, context) : SUNLinSol_SPGMR(y, SUN_PREC_NONE, 0, context);
    CVodeSetLinearSolver(cvode, solver, matrix);
    CVodeSetMaxNumSteps(cvode, 200000);
    double t = 0;
    CVodeSetStopTime(cvode, problem.turnAtS);
    CVode(cvode, problem.turnAtS, y, &t, CV_NORMAL);
    for (long x = 0; x < size / ny; ++x)
        std::reverse(values + x * ny, values + (x + 1) * ny);
    CVodeReInit(cvode, t, y);
    CVodeSetStopTime(cvode, problem.durationS);
    CVode(cvode, problem.durationS, y, &t, CV_NORMAL);
    CVodeGetNumSteps(cvode, &steps);
    const double core = values[p.grid.coreAcross * static_cast<std::size_t>(ny) + p.grid.coreUp];
    CVodeFree(&cvode);
    SUNLinSolFree(solver);
    if (matrix)
        SUNMatDestroy(matrix);
    N_VDestroy(y);
    SUNContext_Free(&context);
    return core;
}

} // namespace bench
