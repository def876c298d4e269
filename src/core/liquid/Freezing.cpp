#include "core/liquid/Freezing.h"

#include "core/base/Constants.h"
#include "core/base/RootFinding.h"

#include <cmath>

namespace anodex::liquid {
namespace {

constexpr double kFusion = 6010.0;     // J/mol, see the header
constexpr double kHeatCapacity = 38.0; // J/(mol K), liquid less ice
constexpr double kColdestKelvin = 200.0;

double lnActivityOfIce(double kelvin) {
    const double ratio = base::kZeroCelsius / kelvin;
    return (-kFusion * (1.0 / kelvin - 1.0 / base::kZeroCelsius) +
            kHeatCapacity * (ratio - 1.0 - std::log(ratio))) /
           base::kGasConstant;
}

} // namespace

double freezingKelvin(double solventActivity) {
    const double wanted = std::log(solventActivity);
    if (wanted >= 0.0) {
        return base::kZeroCelsius;
    }
    if (wanted <= lnActivityOfIce(kColdestKelvin)) {
        return kColdestKelvin;
    }
    base::RootOptions within;
    within.lowest = kColdestKelvin;
    within.highest = base::kZeroCelsius;
    within.tolerance = 1e-3;
    return base::rootOfRising([&](double kelvin) { return lnActivityOfIce(kelvin) - wanted; },
                              base::kZeroCelsius, within);
}

} // namespace anodex::liquid
