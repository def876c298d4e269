#include "core/electrode/PorousLayer.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using design::Cell;
using design::Electrode;
using design::Side;

constexpr double kBruggeman = 1.5;  // exponent of the porosity (Bruggeman 1935)
constexpr double kPathSpread = 1.4; // of the paths through pores (common practice, no source)
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

Resistivities resistivities(const chemistry::Material& material, const Cell& cell, Side side,
                            const Draw& draw) {
    const double wet = material.porosity * cell.electrode(side).filledPores;
    const double paths = draw.factor("pores of " + material.name, {1.0, kPathSpread});
    return {paths / (conductivityOf(cell, side, draw) * std::pow(std::max(wet, 1e-3), kBruggeman)),
            resistivity(material, draw)};
}

double reach(const Resistivities& path, double siemensPerCubicMetre) {
    return 1.0 / std::sqrt((path.pores + path.solid) * siemensPerCubicMetre);
}

double oxygenConcentration(double temperatureKelvin) {
    return base::kOxygenShareOfAir * kAirPascal / (base::kGasConstant * temperatureKelvin);
}

} // namespace

bool breathesByNature(const chemistry::Material& material) {
    return material.breathingLimit && material.capacitanceFaradPerKg > 0.0;
}

double conductivityOf(const Cell& cell, Side side, const Draw& draw) {
    const char* input = side == Side::Negative || !cell.twoLiquids ? "conductivity of the liquid"
                                                                   : "conductivity of the positive liquid";
    const double doubt = std::max(1.05, cell.liquidDoubtFactor[static_cast<std::size_t>(side)]);
    return std::max(cell.solution(side).conductivity, kLowestConductivity) * draw.factor(input, {1.0, doubt});
}

double workingShare(double thicknessMetres, double reachMetres) {
    const double ratio = thicknessMetres / reachMetres;
    return ratio < 1e-6 ? 1.0 : std::tanh(ratio) / ratio;
}

double poreOhm(const chemistry::Catalogue& catalogue, const Cell& cell, Side side, const Draw& draw) {
    const Electrode& electrode = cell.electrode(side);
    const chemistry::Material& material = catalogue.materials[electrode.material];
    return material.porosity > 0.0
               ? electrode.thicknessMetres * resistivities(material, cell, side, draw).pores /
                     (3.0 * electrode.areaM2)
               : 0.0;
}

double resistivity(const chemistry::Material& material, const Draw& draw) {
    return draw.factor("resistivity of " + material.name,
                       {material.resistivityOhmMetres, material.resistivitySpread});
}

double layerOhm(const chemistry::Catalogue& catalogue, const Electrode& electrode, const Draw& draw) {
    const chemistry::Material& material = catalogue.materials[electrode.material];
    return material.porosity > 0.0
               ? electrode.thicknessMetres * resistivity(material, draw) / (3.0 * electrode.areaM2)
               : 0.0;
}

double chargedFarads(const chemistry::Catalogue& catalogue, const Cell& cell, Side side, double seconds,
                     const Draw& draw) {
    const Electrode& electrode = cell.electrode(side);
    const chemistry::Material& material = catalogue.materials[electrode.material];
    const double whole = electrode.massKg * material.capacitanceFaradPerKg;
    if (whole <= 0.0 || material.porosity <= 0.0) {
        return whole;
    }
    const double perVolume = whole / (electrode.areaM2 * electrode.thicknessMetres);
    const double depth = reach(resistivities(material, cell, side, draw), perVolume / seconds);
    return whole * workingShare(electrode.thicknessMetres, depth);
}

double openingsResistance(const Electrode& electrode, double diffusivity) {
    return kPathThroughHole * (1.0 - electrode.openShare) / (electrode.openShare * diffusivity);
}

double breathingLimit(const chemistry::Catalogue& catalogue, const Cell& cell, Side side,
                      const chemistry::FactorSpread& fallback, const Draw& draw) {
    const Electrode& electrode = cell.electrode(side);
    const chemistry::Material& material = catalogue.materials[electrode.material];
    const double gasCharge =
        kElectronsPerOxygen * base::kFaraday * oxygenConcentration(cell.temperatureKelvin); // C/m³
    double inverse = openingsResistance(electrode, kOxygenInAir) / gasCharge;
    double film = draw.factor("air supply of " + material.name, material.breathingLimit.value_or(fallback));
    if (material.porosity > 0.0 && material.breathingLimit) {
        const double usual = material.usualFilledPores * (1.0 - material.usualFilledPores);
        const double contact = electrode.filledPores * (1.0 - electrode.filledPores) / usual;
        const double perVolume = contact * film / material.defaultThicknessMetres; // A/m³
        if (perVolume <= 0.0) {
            return 0.0;
        }
        const double depth = reach(resistivities(material, cell, side, draw), perVolume / kOxygenSlopeVolts);
        film = perVolume * electrode.thicknessMetres * workingShare(electrode.thicknessMetres, depth);
        const double gasPores = material.porosity * (1.0 - electrode.filledPores);
        inverse +=
            0.5 * electrode.thicknessMetres / (gasCharge * kOxygenInAir * std::pow(gasPores, kBruggeman));
    }
    return 1.0 / (inverse + 1.0 / film);
}

} // namespace anodex::electrode
