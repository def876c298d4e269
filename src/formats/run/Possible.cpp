#include "formats/run/Possible.h"

#include "quantity/Letters.h"
#include "quantity/Quantity.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats {

using quantity::Dimension;

Dimension dimensionOf(ColumnRole role) {
    return role == ColumnRole::Voltage   ? Dimension::Volt
           : role == ColumnRole::Current ? Dimension::Ampere
                                         : Dimension::Second;
}

double largest(const std::vector<double>& values) {
    double most = 0.0;
    for (const double value : values) {
        most = std::max(most, std::abs(value));
    }
    return most;
}

double voltsPossible(double volts, const CsvSettings& settings) {
    if (settings.openCircuitVolts && std::abs(*settings.openCircuitVolts) > 0.05) {
        const double ratio = volts / std::abs(*settings.openCircuitVolts);
        return ratio > 0.2 && ratio < 2.5 ? 1.0 : ratio > 0.02 && ratio < 10.0 ? 0.05 : 1e-4;
    }
    if (volts > 600.0) {
        return 1e-6;
    }
    if (volts > 60.0) {
        return 1e-3;
    }
    return volts > 4.5 ? 0.15 : volts >= 0.2 ? 1.0 : volts >= 0.02 ? 0.2 : 1e-5;
}

double ampsPossible(double amps, const CsvSettings& settings) {
    if (amps == 0.0) {
        return 1.0;
    }
    if (settings.shortCircuitAmps && std::abs(*settings.shortCircuitAmps) > 0.0) {
        const double ratio = amps / std::abs(*settings.shortCircuitAmps);
        return ratio <= 2.0 && ratio > 1e-4    ? 1.0
               : ratio <= 20.0 && ratio > 1e-6 ? 0.02
               : ratio <= 200.0                ? 1e-3
                                               : 1e-6;
    }
    return amps > 200.0 ? 1e-5 : amps > 20.0 ? 0.02 : amps > 1e-7 ? 1.0 : 1e-3;
}

std::optional<double> unitFactor(ColumnRole role, std::string_view text) {
    const std::size_t over = text.find('/');
    if (role == ColumnRole::Current && over != std::string_view::npos) {
        const auto volts = unitFactor(ColumnRole::Voltage, text.substr(0, over));
        const auto ohm = quantity::wholeQuantity(text.substr(over + 1));
        const bool isOhm = ohm && ohm->unit.dimension == Dimension::Ohm && ohm->value > 0.0;
        return volts && isOhm ? std::optional(*volts / ohm->value) : std::nullopt;
    }
    const auto readings = quantity::readingsOf(quantity::trimmed(text));
    const bool fits = readings.size() == 1 && readings.front().dimension == dimensionOf(role);
    return fits ? std::optional(readings.front().toSi) : std::nullopt;
}

} // namespace anodex::formats
