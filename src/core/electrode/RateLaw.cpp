#include "core/electrode/RateLaw.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {

double RateLaw::current(double volts) const {
    constexpr double kLargestExponent = 230.0; // e^230 still leaves room for products
    const double over = volts - equilibriumVolts;
    if (over > 0.0) {
        if (anodicLimit <= 0.0 || cathodicOnly) {
            return 0.0;
        }
    } else if (cathodicLimit <= 0.0 || anodicOnly) {
        return 0.0;
    }
    const double anodic = std::exp(std::min(lnExchange + anodicPerVolt * over, kLargestExponent));
    const double cathodic = std::exp(std::min(lnExchange - cathodicPerVolt * over, kLargestExponent));
    double crowding = 1.0;
    // A side without reactant carries no current, so it crowds nothing either.
    if (anodicLimit > 0.0) {
        crowding += anodic / anodicLimit;
    }
    if (cathodicLimit > 0.0) {
        crowding += cathodic / cathodicLimit;
    }
    const double net = (anodic - cathodic) / crowding;
    if (porousCrossover > 0.0) {
        return net / std::sqrt(1.0 + std::abs(net) / porousCrossover);
    }
    return net;
}

} // namespace anodex::electrode
