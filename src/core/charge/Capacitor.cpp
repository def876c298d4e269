#include "core/charge/Capacitor.h"

#include "core/electrode/PorousLayer.h"

#include <cmath>

namespace anodex::charge {

std::optional<Capacitor> capacitorOf(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                     const cell::Evaluation& evaluation) {
    constexpr double kDriven = 0.1; // V: from here on the cell is a source of its own
    constexpr double kHour = 3600.0;
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    const auto faradsOf = [&](design::Side side) {
        return electrode::chargedFarads(compiled.at(side, *evaluation.contents), kHour);
    };
    const double one = faradsOf(design::Side::Negative);
    const double other = faradsOf(design::Side::Positive);
    if (std::abs(evaluation.openCircuitVolts) > kDriven || one <= 0.0 || other <= 0.0) {
        return std::nullopt;
    }
    const double farads = one * other / (one + other);
    return Capacitor{farads, farads * kCapacitorVolts};
}

} // namespace anodex::charge
