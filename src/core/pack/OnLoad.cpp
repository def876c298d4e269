#include "core/pack/OnLoad.h"

#include "core/base/RootFinding.h"

#include <cmath>

namespace anodex::pack {
namespace {

constexpr int kStrides =
    24; // from rest to the short circuit, to find on which side of a power's best it lies
constexpr double kNearly = 1e-7; // of the short circuit

/// How much more the cell brings than the load takes, at a current from rest on; both signs turned where they are.
struct Surplus {
    const cell::Polarisation& curve;
    const load::Load& load;
    double sign;

    double operator()(double amps) const {
        const double volts = sign * curve.voltsAt(sign * amps);
        return volts > 0.0 ? amps - load::ampsAt(load, volts) : amps;
    }
};

} // namespace

std::optional<double> ampsOn(const cell::Polarisation& curve, double shortCircuitAmps,
                             const load::Load& load) {
    using Kind = load::Load::Kind;
    const double most = std::abs(shortCircuitAmps);
    const double sign = shortCircuitAmps < 0.0 ? -1.0 : 1.0;
    if (load.kind == Kind::Share) {
        return load.value * shortCircuitAmps;
    }
    if (load.kind == Kind::Current) {
        return load.value <= most ? std::optional(sign * load.value) : std::nullopt;
    }
    if (load.kind == Kind::Resistor) {
        return curve.shortCircuitAmps(load.value);
    }
    const Surplus surplus{curve, load, sign};
    double low = 0.0;
    for (int i = 1; i <= kStrides && most > 0.0; ++i) {
        const double share = static_cast<double>(i) / kStrides;
        const double high = most * share * share; // a light load lies near rest
        if (surplus(high) >= 0.0) {
            base::RootOptions options;
            options.lowest = low;
            options.highest = high;
            options.step = high - low;
            options.tolerance = kNearly * most;
            return sign * base::rootOfRising(surplus, low, options);
        }
        low = high;
    }
    return std::nullopt;
}

} // namespace anodex::pack
