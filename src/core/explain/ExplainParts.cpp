#include "core/explain/ExplainParts.h"

namespace anodex::explain {

using chemistry::Catalogue;

Explanation input(std::string symbol, double value, Unit unit, std::vector<std::string> sources) {
    return {std::move(symbol), {}, value, unit, std::move(sources), {}};
}

Explanation explainConductivity(const Catalogue& catalogue, const state::Contents& contents,
                                design::Side side) {
    const liquid::Solution& solution = contents.solution(side);
    Explanation result{"κ",
                       "κ = Σ x(cation)·x(anion)·Λ(pair)·c(equivalents)",
                       solution.conductivity,
                       Unit::SiemensPerMetre,
                       {"equivalent-fraction mixing, compare Miller, J. Phys. Chem. 100, 1220 (1996)"},
                       {}};
    if (solution.mixture.measuredConductivity) {
        result.formula.clear();
        result.sources.clear();
    }
    for (const liquid::Portion& portion : solution.mixture.portions) {
        const chemistry::Substance& substance = catalogue.substances[portion.substance];
        result.inputs.push_back(
            input("N(" + substance.formulaText + ")", portion.moles, Unit::Mole, substance.sources));
    }
    return result;
}

Explanation explainMass(const Catalogue& catalogue, const design::Cell& cell, design::Side side) {
    const design::Electrode& electrode = cell.electrode(side);
    const chemistry::Material& material = catalogue.materials[electrode.material];
    return {"m",
            "m = A · d · ρ; a weighed or given mass replaces it",
            electrode.massKg,
            Unit::Kilogram,
            {},
            {input("A", electrode.areaM2, Unit::SquareMetre),
             input("d", electrode.thicknessMetres, Unit::Metre),
             input("ρ in kg/m³", material.densityKgPerM3, Unit::None, material.sources)}};
}

Explanation explainVolume(const Catalogue& catalogue, const state::Contents& contents, design::Side side) {
    const liquid::Solution& solution = contents.solution(side);
    Explanation result{"V",
                       "V = (solvent + Σ solutes) / ρ(mixture)",
                       solution.volumeM3,
                       Unit::CubicMetre,
                       {"densities of single salts from the catalogue, mixed by volumes"},
                       {}};
    result.inputs = {input("solvent", solution.mixture.solventKg, Unit::Kilogram)};
    for (const liquid::Portion& portion : solution.mixture.portions) {
        const chemistry::Substance& substance = catalogue.substances[portion.substance];
        result.inputs.push_back(input("m(" + substance.formulaText + ")",
                                      portion.moles * substance.molarMassKg, Unit::Kilogram,
                                      substance.sources));
    }
    result.inputs.push_back(input("ρ in kg/m³", solution.densityKgPerM3, Unit::None));
    result.inputs.push_back(explainAcidity(catalogue, contents, side));
    result.inputs.push_back(explainConductivity(catalogue, contents, side));
    return result;
}

Explanation explainAcidity(const Catalogue& catalogue, const state::Contents& contents, design::Side side) {
    const liquid::Solution& solution = contents.solution(side);
    Explanation result{"pH",
                       "pH = −log₁₀ a(H⁺), from mass action and charge balance",
                       solution.pH,
                       Unit::None,
                       {kPitzerSource},
                       {}};
    for (chemistry::SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (solution.molality[s] > 1e-9) {
            result.inputs.push_back(input("m(" + catalogue.species[s].name + ")", solution.molality[s],
                                          Unit::None, catalogue.species[s].sources));
        }
    }
    return result;
}

} // namespace anodex::explain
