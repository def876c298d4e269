// Density of mixtures: each solute brings the apparent volume it has in its own solution of the same total
// mass fraction (a form of Young's rule). Pure solvent: Kell, J. Chem. Eng. Data 20, 97 (1975).
#include "core/chemistry/Density.h"

#include "core/base/Constants.h"

#include <algorithm>

namespace anodex::chemistry {
namespace {

double solventDensity(double temperatureKelvin) {
    const double t = temperatureKelvin - base::kZeroCelsius;
    return (999.83952 +
            t * (16.945176 +
                 t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))) /
           (1.0 + 16.879850e-3 * t);
}

constexpr double kTableTemperature = 293.15; // K, of the tables in data/catalogue

double apparentVolumePerKg(const Substance& substance, double massFraction) {
    const double smallest =
        substance.densityByMassFraction.size() > 1 ? substance.densityByMassFraction[1].x : 1.0;
    const double w = std::max(massFraction, smallest);
    if (substance.densityByMassFraction.size() < 2) {
        return 1.0 / substance.densityKgPerM3;
    }
    const double capped = std::min(w, substance.densityByMassFraction.back().x);
    const double density = base::interpolated(substance.densityByMassFraction, capped);
    return (1.0 / density - (1.0 - capped) / solventDensity(kTableTemperature)) / capped;
}

} // namespace

double mixtureDensity(const Catalogue& catalogue, const Mixture& mixture) {
    double soluteKg = 0.0;
    for (const Portion& portion : mixture.portions) {
        soluteKg += portion.moles * catalogue.substances[portion.substance].molarMassKg;
    }
    const double totalKg = soluteKg + mixture.solventKg;
    if (totalKg <= 0.0) {
        return solventDensity(mixture.temperatureKelvin);
    }
    double volume = mixture.solventKg / solventDensity(mixture.temperatureKelvin);
    for (const Portion& portion : mixture.portions) {
        const Substance& substance = catalogue.substances[portion.substance];
        volume += portion.moles * substance.molarMassKg * apparentVolumePerKg(substance, soluteKg / totalKg);
    }
    return totalKg / volume;
}

} // namespace anodex::chemistry
