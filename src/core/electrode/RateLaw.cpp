#include "core/electrode/RateLaw.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

constexpr double kLargestExponent = 230.0; // e^230 still leaves room for products

/// One branch as if nothing limited it.
Moving rate(double exponent, double other, double perVolt, double perShare) {
    constexpr double kDrowned = 40.0; // below the last digit of the other branch
    if (exponent < other - kDrowned) {
        return {};
    }
    const double value = std::exp(std::min(exponent, kLargestExponent));
    return exponent < kLargestExponent ? Moving{value, perVolt * value, perShare * value}
                                       : Moving{value, 0.0, 0.0};
}

/// Where the law runs; `low` and `high` are what it lies between.
Moving netOf(const RateLaw& law, double volts, const RateLaw& low, const RateLaw& high) {
    const bool isBetween = &low != &high;
    const auto change = [&](double RateLaw::*of) {
        return isBetween && high.*of != low.*of ? high.*of - low.*of : 0.0;
    };
    const double over = volts - law.equilibriumVolts;
    const double anodicExponent = law.lnExchange + law.anodicPerVolt * over;
    const double cathodicExponent = law.lnExchange - law.cathodicPerVolt * over;
    const double quickens = change(&RateLaw::lnExchange);
    const double shifts = change(&RateLaw::equilibriumVolts);
    const Moving anodic =
        rate(anodicExponent, cathodicExponent, law.anodicPerVolt,
             quickens + change(&RateLaw::anodicPerVolt) * over - law.anodicPerVolt * shifts);
    const Moving cathodic =
        rate(cathodicExponent, anodicExponent, -law.cathodicPerVolt,
             quickens - change(&RateLaw::cathodicPerVolt) * over + law.cathodicPerVolt * shifts);
    // A side without reactant carries no current, so it crowds nothing either.
    const double perAnodic = law.anodicLimit > 0.0 ? 1.0 / law.anodicLimit : 0.0;
    const double perCathodic = law.cathodicLimit > 0.0 ? 1.0 / law.cathodicLimit : 0.0;
    const double crowding = 1.0 + anodic.value * perAnodic + cathodic.value * perCathodic;
    const double net = (anodic.value - cathodic.value) / crowding;
    // The quotient's derivative with its differences cancelled beforehand; by volts a sum of positive terms.
    const double both = perAnodic + perCathodic;
    const auto along = [&](double Moving::*by) {
        return (anodic.*by * (1.0 + cathodic.value * both) - cathodic.*by * (1.0 + anodic.value * both)) /
               (crowding * crowding);
    };
    const double brought = net / crowding *
                           (anodic.value * perAnodic * perAnodic * change(&RateLaw::anodicLimit) +
                            cathodic.value * perCathodic * perCathodic * change(&RateLaw::cathodicLimit));
    const Moving plain{net, along(&Moving::perVolt), along(&Moving::perShare) + brought};
    if (law.porousCrossover <= 0.0) {
        return plain;
    }
    const double share = std::abs(net) / law.porousCrossover;
    const double root = std::sqrt(1.0 + share);
    const double damped = (1.0 + 0.5 * share) / (root * root * root);
    return {net / root, damped * plain.perVolt, damped * plain.perShare};
}

} // namespace

base::Sloped RateLaw::at(double volts) const {
    if (!runsAt(volts)) {
        return {};
    }
    const Moving net = netOf(*this, volts, *this, *this);
    return {net.value, net.perVolt};
}

RateLaw lawBetween(const RateLaw& low, const RateLaw& high, double share) {
    const auto mixed = [share](double a, double b) { return a == b ? a : a + share * (b - a); };
    RateLaw law = low;
    law.equilibriumVolts = mixed(low.equilibriumVolts, high.equilibriumVolts);
    law.lnExchange = mixed(low.lnExchange, high.lnExchange);
    law.anodicPerVolt = mixed(low.anodicPerVolt, high.anodicPerVolt);
    law.cathodicPerVolt = mixed(low.cathodicPerVolt, high.cathodicPerVolt);
    law.anodicLimit = mixed(low.anodicLimit, high.anodicLimit);
    law.cathodicLimit = mixed(low.cathodicLimit, high.cathodicLimit);
    law.anodicOnly = low.anodicOnly && high.anodicOnly;
    law.cathodicOnly = low.cathodicOnly && high.cathodicOnly;
    return law;
}

Moving currentBetween(const RateLaw& low, const RateLaw& high, double share, double volts) {
    const RateLaw law = lawBetween(low, high, share);
    return law.runsAt(volts) ? netOf(law, volts, low, high) : Moving{};
}

} // namespace anodex::electrode
