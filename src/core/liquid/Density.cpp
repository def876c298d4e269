#include "core/liquid/Density.h"

#include "core/base/Constants.h"
#include "core/base/SolventMass.h"

#include <algorithm>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

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

double solventDensity(double temperatureKelvin) {
    const double t = temperatureKelvin - base::kZeroCelsius;
    return (999.83952 +
            t * (16.945176 +
                 t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))) /
           (1.0 + 16.879850e-3 * t);
}

Bulk bulkOf(const Catalogue& catalogue, double solventKg, std::span<const Portion> portions,
            double temperatureKelvin) {
    double soluteKg = 0.0;
    for (const Portion& portion : portions) {
        soluteKg += portion.moles * catalogue.substances[portion.substance].molarMassKg;
    }
    const double totalKg = soluteKg + solventKg;
    double volume = solventKg / solventDensity(temperatureKelvin);
    for (const Portion& portion : portions) {
        const Substance& substance = catalogue.substances[portion.substance];
        volume += portion.moles * substance.molarMassKg * apparentVolumePerKg(substance, soluteKg / totalKg);
    }
    return {totalKg, volume};
}

double mixtureDensity(const Catalogue& catalogue, const Mixture& mixture) {
    const Bulk bulk = bulkOf(catalogue, mixture.solventKg, mixture.portions, mixture.temperatureKelvin);
    return bulk.kilograms > 0.0 ? bulk.kilograms / bulk.volumeM3 : solventDensity(mixture.temperatureKelvin);
}

Bulk changeBetween(const Catalogue& catalogue, const Composition& before, const Composition& now,
                   double temperatureKelvin) {
    Bulk change;
    const auto count = [&](const SpeciesTerm& master, double sign) {
        const chemistry::Species& species = catalogue.species[master.species];
        change.kilograms += sign * master.count * species.molarMassKg;
        change.volumeM3 += sign * master.count * species.molarVolumeM3;
    };
    for (const SpeciesTerm& master : now.masters) {
        count(master, 1.0);
    }
    for (const SpeciesTerm& master : before.masters) {
        count(master, -1.0);
    }
    const chemistry::Species& hydrogen = catalogue.species[catalogue.key.hydrogenIon];
    change.kilograms += (now.hydrogenMoles - before.hydrogenMoles) * hydrogen.molarMassKg;
    const double perLacking = catalogue.species[catalogue.key.hydroxide].molarVolumeM3 -
                              base::kSolventKgPerMole / solventDensity(temperatureKelvin);
    change.volumeM3 +=
        perLacking * (std::max(-now.hydrogenMoles, 0.0) - std::max(-before.hydrogenMoles, 0.0));
    return change;
}

} // namespace anodex::liquid
