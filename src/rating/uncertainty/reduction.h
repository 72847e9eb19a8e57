// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "kitchen/heat_field.h"
#include "quantity/result.h"
#include "trace/series.h"

#include <optional>
#include <string>
#include <vector>

namespace dynamet::rating {

/// Version of the reductions; stored with every result, so that it can be made anew.
inline constexpr int kAlgorithmVersion = 1;

enum class Bound { none, lower, upper };
const char* enumName(Bound bound);

/// A rated quantity: SI value, standard uncertainty in its two parts, degrees of freedom.
struct Quantity {
    std::string name; ///< SI name with its unit, "net_power_W"
    double value = 0;
    std::string unit;
    double u = 0;
    double uTypeA = 0;
    double uTypeB = 0;
    double dof = 1e9;
    Bound bound = Bound::none;
    bool operator==(const Quantity&) const = default;
};
/// Half-width of the 95 % interval: t-factor by the effective degrees of freedom.
double halfWidth95(const Quantity& quantity);
/// A quantity with its ± for a finding; `pointOf` for one that is a point of the scale.
Estimate estimateOf(const Quantity& quantity);
Estimate pointOf(const Quantity& quantity);

/// One part of the uncertainty of the leading quantity, for the bar of causes.
struct Contribution {
    std::string name;
    double u = 0; ///< in the quantity's unit
    bool operator==(const Contribution&) const = default;
};

/// What a protocol found in its readings. The first quantity leads.
struct Reduction {
    std::string protocol;
    std::vector<Quantity> quantities;
    std::vector<double> covariance; ///< row-major over the quantities
    std::vector<Finding> found;     ///< in words: the first leads
    std::vector<Finding> warnings;
    std::vector<Contribution> contributions;
    Series fit;       ///< the model through the readings (SI), may be empty
    Series residuals; ///< reading − model
    /// Numbers for the heat field, with what they are known jointly with.
    std::vector<kitchen::FieldNumber> fieldNumbers;
    std::vector<kitchen::FieldCovariance> fieldCovariances;
    std::vector<kitchen::FieldCurve> fieldCurves; ///< of numbers that change while food is in
};

const Quantity* find(const Reduction& reduction, const std::string& name);
/// Puts a quantity together from its parts, with effective degrees of freedom.
Quantity makeQuantity(std::string name, double value, std::string unit, double uTypeA, double dofA,
                      double uTypeB);
/// What two quantities of a reduction share, by name.
struct SharedPart {
    std::string a, b;
    double covariance = 0;
};
/// Covariance of quantities that were not derived jointly: variances from their u, what is known to
/// be shared, 0 elsewhere. What the reduction holds of its first quantities stays.
void fillCovariance(Reduction& reduction, const std::vector<SharedPart>& shared = {});

/// Refused readings that every protocol checks: empty, time running backwards, fewer than
/// `leastCount` values, a unit that cannot be right for a kitchen (suspected °F read as °C: all
/// values above `hottestK`). `what` names the channel.
Result<void> checkReadings(const Series& readings, const std::string& what, std::size_t leastCount,
                           double coldestK, double hottestK);

} // namespace dynamet::rating
