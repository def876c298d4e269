#include "core/electrode/RateLaw.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

constexpr double kLargestExponent = 230.0; // e^230 still leaves room for products

} // namespace

base::Sloped RateLaw::at(double volts) const {
    if (!runsAt(volts)) {
        return {};
    }
    const double over = volts - equilibriumVolts;
    const double anodicExponent = lnExchange + anodicPerVolt * over;
    const double cathodicExponent = lnExchange - cathodicPerVolt * over;
    const auto rate = [](double exponent, double other) {
        constexpr double kDrowned = 40.0; // below the last digit of the other branch
        return exponent < other - kDrowned ? 0.0 : std::exp(std::min(exponent, kLargestExponent));
    };
    const double anodic = rate(anodicExponent, cathodicExponent);
    const double cathodic = rate(cathodicExponent, anodicExponent);
    const double anodicSlope = anodicExponent < kLargestExponent ? anodicPerVolt * anodic : 0.0;
    const double cathodicSlope = cathodicExponent < kLargestExponent ? cathodicPerVolt * cathodic : 0.0;
    // A side without reactant carries no current, so it crowds nothing either.
    const double perAnodic = anodicLimit > 0.0 ? 1.0 / anodicLimit : 0.0;
    const double perCathodic = cathodicLimit > 0.0 ? 1.0 / cathodicLimit : 0.0;
    const double crowding = 1.0 + anodic * perAnodic + cathodic * perCathodic;
    const double net = (anodic - cathodic) / crowding;
    // The quotient's derivative with its differences cancelled beforehand: a sum of positive terms.
    const double both = perAnodic + perCathodic;
    const double slope = (anodicSlope * (1.0 + cathodic * both) + cathodicSlope * (1.0 + anodic * both)) /
                         (crowding * crowding);
    if (porousCrossover > 0.0) {
        const double share = std::abs(net) / porousCrossover;
        const double root = std::sqrt(1.0 + share);
        return {net / root, slope * (1.0 + 0.5 * share) / (root * root * root)};
    }
    return {net, slope};
}

} // namespace anodex::electrode
