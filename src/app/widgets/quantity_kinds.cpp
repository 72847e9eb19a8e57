// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "app/widgets/quantity_kinds.h"

#include "quantity/number_text.h"
#include "quantity/parse_duration.h"
#include "quantity/parse_measures.h"

namespace dynamet::app::kinds {
namespace {

/// A kind whose values must lie between two limits.
QuantityKind limited(std::function<Result<double>(const std::string&)> read,
                     std::function<QString(double)> show, double low, double high,
                     bool mayBeEmpty) {
    auto checked = [read = std::move(read), show, low, high](const std::string& typed) {
        auto value = read(typed);
        if (value && (*value < low || *value > high))
            value =
                fail(Errc::invalidArgument, toStd(QStringLiteral("%1 is not between %2 and %3")
                                                      .arg(show(*value), show(low), show(high))));
        return value;
    };
    return {std::move(checked), std::move(show), mayBeEmpty};
}

} // namespace

QuantityKind length(const Units& units, double lowM, double highM, bool mayBeEmpty) {
    const bool inches = units.inches;
    return limited(
        [inches](const std::string& typed) { return parseLengthM(typed, inches ? 0.0254 : 1e-3); },
        [inches](double m) { return toQt(printLength(m, inches)); }, lowM, highM, mayBeEmpty);
}

QuantityKind height(const Units& units) {
    constexpr double kFoot = 0.3048, kHighestM = 9000;
    const bool feet = units.inches;
    return limited(
        [feet](const std::string& typed) { return parseLengthM(typed, feet ? kFoot : 1); },
        [feet](double m) {
            return feet ? QStringLiteral("%1 ft").arg(toQt(printFixed(m / kFoot, 0)))
                        : QStringLiteral("%1 m").arg(toQt(printFixed(m, 0)));
        },
        0, kHighestM, false);
}

QuantityKind temperature(const Units& units, double lowC, double highC, bool mayBeEmpty) {
    const TemperatureUnit unit = units.temperature();
    return limited(
        [unit](const std::string& typed) {
            return parseTemperature(typed, unit).map([](Temperature t) { return t.kelvin(); });
        },
        [unit](double k) { return toQt(printTemperature(Temperature::kelvin(k), unit)); },
        Temperature::celsius(lowC).kelvin(), Temperature::celsius(highC).kelvin(), mayBeEmpty);
}

QuantityKind difference(const Units& units, double highK) {
    const TemperatureUnit unit = units.temperature();
    return limited(
        [unit](const std::string& typed) {
            return parseTemperatureDifference(typed, unit).map([](KelvinDelta d) {
                return d.kelvin();
            });
        },
        [unit](double k) { return toQt(printDifference(KelvinDelta(k), unit)); }, 0, highK, false);
}

QuantityKind area(const Units& units, double lowM2, double highM2, bool mayBeEmpty) {
    const double one = units.inches ? 6.4516e-4 : 1e-4;
    const QuantityKind shown =
        number(units.inches ? QStringLiteral("in²") : QStringLiteral("cm²"), one, 0, 0);
    return limited([one](const std::string& typed) { return parseAreaM2(typed, one); }, shown.show,
                   lowM2, highM2, mayBeEmpty);
}

QuantityKind mass(double highKg, bool mayBeEmpty) {
    return limited(
        [](const std::string& typed) { return parseMassKg(typed, 1e-3); },
        [](double kg) { return QStringLiteral("%1 g").arg(toQt(printFixed(kg * 1e3, 0))); }, 0,
        highKg, mayBeEmpty);
}

QuantityKind power(double highW, bool mayBeEmpty) {
    return limited([](const std::string& typed) { return parsePowerW(typed, 1); },
                   [](double w) { return QStringLiteral("%1 W").arg(toQt(printFixed(w, 0))); }, 0,
                   highW, mayBeEmpty);
}

QuantityKind duration(double highS, bool mayBeEmpty) {
    return limited(
        [](const std::string& typed) {
            return parseDuration(typed).map([](const DurationRange& r) { return r.highS; });
        },
        [](double s) { return toQt(printDuration(s)); }, 0, highS, mayBeEmpty);
}

QuantityKind number(const QString& unit, double siPerUnit, double low, double high,
                    bool mayBeEmpty) {
    return limited(
        [unit, siPerUnit](const std::string& typed) -> Result<double> {
            std::string_view rest = typed;
            const auto value = takeNumber(rest);
            const std::string_view behind = trimmed(rest);
            if (!value || (!behind.empty() && behind != toStd(unit)))
                return fail(Errc::parse,
                            toStd(QStringLiteral("\"%1\" is not a number%2")
                                      .arg(toQt(typed), unit.isEmpty()
                                                            ? QString()
                                                            : QStringLiteral(" of %1").arg(unit))));
            return *value * siPerUnit;
        },
        [unit, siPerUnit](double si) {
            QString out = toQt(printFixed(si / siPerUnit, 3));
            while (out.contains(QLatin1Char('.')) &&
                   (out.endsWith(QLatin1Char('0')) || out.endsWith(QLatin1Char('.'))))
                out.chop(1);
            return unit.isEmpty() ? out : out + QLatin1Char(' ') + unit;
        },
        low* siPerUnit, high* siPerUnit, mayBeEmpty);
}

} // namespace dynamet::app::kinds
