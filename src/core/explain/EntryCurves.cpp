#include "core/explain/EntryCurves.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>
#include <optional>

namespace anodex::explain {
namespace {

using chemistry::Catalogue;
using chemistry::Substance;

constexpr double kWarmKelvin = 293.15; // of the sources' tables
constexpr int kSteps = 40;
constexpr double kPercent = 100.0; // in the whole
constexpr double kStrongest = 0.6; // mass fraction of what mixes in any proportion and has no table

double strongestOf(const Substance& substance) {
    const double tabled =
        substance.densityByMassFraction.empty() ? kStrongest : substance.densityByMassFraction.back().x;
    if (!substance.solubilityKgPerKg) {
        return std::min(tabled, 1.0 - 1.0 / kSteps);
    }
    return *substance.solubilityKgPerKg / (1.0 + *substance.solubilityKgPerKg);
}

/// None where the search does not come to an end.
std::optional<liquid::Solution> solved(const Catalogue& catalogue, std::size_t substance,
                                       double massFraction) {
    liquid::Mixture mixture;
    mixture.temperatureKelvin = kWarmKelvin;
    mixture.solventKg = 1.0;
    const double kilograms = massFraction / (1.0 - massFraction);
    mixture.portions = {{substance, kilograms / catalogue.substances[substance].molarMassKg}};
    try {
        return liquid::solveSolution(catalogue, mixture);
    } catch (const base::Fault&) {
        return std::nullopt;
    }
}

base::Table inPercent(base::Table table) {
    for (base::TablePoint& point : table) {
        point.x *= kPercent;
    }
    return table;
}

} // namespace

std::vector<EntryCurve> curvesOfSubstance(const Catalogue& catalogue, std::size_t index) {
    const Substance& substance = catalogue.substances[index];
    if (substance.isSolvent || substance.dissolvesTo.empty()) {
        return {};
    }
    EntryCurve density{CurveOf::Density, {}, inPercent(substance.densityByMassFraction)};
    EntryCurve conductivity{CurveOf::Conductivity, {}, {}};
    if (substance.conductivity) {
        conductivity.given = inPercent(substance.conductivity->siemensPerMetreByMassFraction);
    }
    EntryCurve activity{CurveOf::SolventActivity, {}, {}};
    const double strongest = strongestOf(substance);
    for (int i = 0; i <= kSteps; ++i) {
        const double fraction = strongest * i / kSteps;
        if (const auto solution = solved(catalogue, index, fraction)) {
            density.computed.push_back({kPercent * fraction, solution->densityKgPerM3});
            conductivity.computed.push_back({kPercent * fraction, solution->conductivity});
            activity.computed.push_back({kPercent * fraction, solution->solventActivity});
        }
    }
    return {density, conductivity, activity};
}

std::vector<EntryCurve> curvesOfReaction(const Catalogue& catalogue, std::size_t index) {
    constexpr double kNeutralTwice = 14.0; // pH + pOH at 25 °C
    constexpr double kFromPh = 0.0;
    constexpr double kToPh = 14.0;
    const chemistry::Reaction& reaction = catalogue.reactions[index];
    double protons = 0.0;
    double hydroxide = 0.0;
    for (const chemistry::SpeciesTerm& term : reaction.terms) {
        protons += term.species == catalogue.key.hydrogenIon ? term.count : 0.0;
        hydroxide += term.species == catalogue.key.hydroxide ? term.count : 0.0;
    }
    if (protons == 0.0 && hydroxide == 0.0) {
        return {};
    }
    const double decade = base::nernstDecadeVolts(base::kStandardTemperature) / reaction.electrons;
    const auto at = [&](double pH) {
        return reaction.standardVolts.value + decade * (protons * pH + hydroxide * (kNeutralTwice - pH));
    };
    return {{CurveOf::Potential, {{kFromPh, at(kFromPh)}, {kToPh, at(kToPh)}}, {}}};
}

} // namespace anodex::explain
