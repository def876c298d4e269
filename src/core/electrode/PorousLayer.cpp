#include "core/electrode/PorousLayer.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using chemistry::Material;
using design::Electrode;

constexpr double kBruggeman = 1.5; // exponent of the porosity (Bruggeman 1935)
// Pure solvent still carries a little; nothing in the field is emptier than this.
constexpr double kLowestConductivity = 5e-6;             // S/m
constexpr double kOxygenSlopeVolts = 0.12 / base::kLn10; // on carbon, per e-fold
constexpr double kOxygenInAir = 2.0e-5;                  // m²/s
constexpr double kPathThroughHole = 0.005;               // m, a wall of 2 mm and the way to and from the hole
constexpr double kAirPascal = 101325.0;                  // at sea level
constexpr double kElectronsPerOxygen = 4.0;              // on the way to water

/// Ohm metre of the liquid in the pores and of the solid, together.
struct Resistivities {
    double pores = 0.0;
    double solid = 0.0;
};

Resistivities resistivities(const Situation& here) {
    constexpr double kDriest = 1e-3; // share of the room; with less nothing flows at all
    const double wet = here.material().porosity * here.electrode().filledPores;
    return {here.parameters.pathFactor /
                (conductivityOf(here) * std::pow(std::max(wet, kDriest), kBruggeman)),
            here.parameters.resistivityOhmMetres};
}

double reach(const Resistivities& path, double siemensPerCubicMetre) {
    return 1.0 / std::sqrt((path.pores + path.solid) * siemensPerCubicMetre);
}

double oxygenConcentration(double temperatureKelvin) {
    return base::kOxygenShareOfAir * kAirPascal / (base::kGasConstant * temperatureKelvin);
}

} // namespace

bool breathesByNature(const Material& material) {
    return material.breathingLimit && material.capacitanceFaradPerKg > 0.0;
}

double conductivityOf(const Situation& here) {
    return std::max(here.solution().conductivity, kLowestConductivity) *
           here.parameters.liquidConductivityFactor;
}

double workingShare(double thicknessMetres, double reachMetres) {
    const double ratio = thicknessMetres / reachMetres;
    return ratio < 1e-6 ? 1.0 : std::tanh(ratio) / ratio;
}

double poreOhm(const Situation& here) {
    const Electrode& electrode = here.electrode();
    const Material& material = here.material();
    return material.porosity > 0.0
               ? electrode.thicknessMetres * resistivities(here).pores / (3.0 * electrode.areaM2)
               : 0.0;
}

double layerOhm(const Situation& here) {
    const Electrode& electrode = here.electrode();
    return here.material().porosity > 0.0
               ? electrode.thicknessMetres * here.parameters.resistivityOhmMetres / (3.0 * electrode.areaM2)
               : 0.0;
}

double chargedFarads(const Situation& here, double seconds) {
    const Electrode& electrode = here.electrode();
    const Material& material = here.material();
    const double whole = electrode.massKg * material.capacitanceFaradPerKg;
    if (whole <= 0.0 || material.porosity <= 0.0) {
        return whole;
    }
    const double perVolume = whole / (electrode.areaM2 * electrode.thicknessMetres);
    const double depth = reach(resistivities(here), perVolume / seconds);
    return whole * workingShare(electrode.thicknessMetres, depth);
}

double openingsResistance(const Electrode& electrode, double diffusivity) {
    return kPathThroughHole * (1.0 - electrode.openShare) / (electrode.openShare * diffusivity);
}

double breathingLimit(const Situation& here, double layerAmpsPerM2) {
    const Electrode& electrode = here.electrode();
    const Material& material = here.material();
    const double gasCharge =
        kElectronsPerOxygen * base::kFaraday * oxygenConcentration(here.temperatureKelvin()); // C/m³
    double inverse = openingsResistance(electrode, kOxygenInAir) / gasCharge;
    double film =
        here.parameters.breathingAmpsPerM2.value_or(layerAmpsPerM2 * here.parameters.breathingFactor);
    if (material.porosity > 0.0 && material.breathingLimit) {
        const double usual = material.usualFilledPores * (1.0 - material.usualFilledPores);
        const double contact = electrode.filledPores * (1.0 - electrode.filledPores) / usual;
        const double perVolume = contact * film / material.defaultThicknessMetres; // A/m³
        if (perVolume <= 0.0) {
            return 0.0;
        }
        const double depth = reach(resistivities(here), perVolume / kOxygenSlopeVolts);
        film = perVolume * electrode.thicknessMetres * workingShare(electrode.thicknessMetres, depth);
        const double gasPores = material.porosity * (1.0 - electrode.filledPores);
        inverse +=
            0.5 * electrode.thicknessMetres / (gasCharge * kOxygenInAir * std::pow(gasPores, kBruggeman));
    }
    return 1.0 / (inverse + 1.0 / film);
}

} // namespace anodex::electrode
