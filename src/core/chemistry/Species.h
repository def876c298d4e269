// src/core/chemistry/Species.h - a dissolved, solid or gaseous species and how it forms from master species.
//
// Units      SI. Activities are molal (dissolved), fractions (solids, solvent) or pressure over 1 bar
//            (gases).
#pragma once
#include "core/chemistry/Formula.h"
#include "core/chemistry/Spread.h"
#include <cstddef>
#include <optional>
#include <string>
#include <vector>

namespace anodex::chemistry {

using SpeciesIndex = std::size_t;

/// A species with a signed count: products positive, reactants negative where it stands in an equation.
struct SpeciesTerm {
    SpeciesIndex species = 0;
    double count = 0.0;
    bool operator==(const SpeciesTerm&) const = default;
};

/// Equilibrium from master species, hydrogen ion and solvent: K = a(species) / product of a(terms)^count.
struct Formation {
    std::vector<SpeciesTerm> terms;     ///< Counts positive on the reactant side.
    double log10K = 0.0;                ///< At 25 °C.
    double enthalpyJoulesPerMole = 0.0; ///< For van 't Hoff's shift with temperature.
};

/// What a species that leaves the liquid as gas or vapour does to the air, and how little of it is too much.
struct AirLimit {
    std::string name;     ///< In plain words.
    double share = 0.01;  ///< Of the air by volume: a quarter of what burns, or a short-term exposure limit.
    bool burns = false;   ///< Otherwise it poisons.
    double escapes = 1.0; ///< Part of what an electrode makes that leaves the liquid. 0 to 1.
};

struct Species {
    std::string name; ///< As the contract spells it: "Zn2+", "SO4^2-", "O2(g)".
    Formula formula;
    double molarMassKg = 0.0;           ///< Per mole, from the formula.
    std::optional<Formation> formation; ///< Absent: a master species, or a solid that never falls out.
    double diffusivity = 1e-9;          ///< m²/s at 25 °C in pure solvent.
    double limitingConductivity = 0.0;  ///< S m²/mol (of the ion, not per charge) at 25 °C.
    double molarVolumeM3 =
        0.0; ///< Per mole, partial, conventional (hydrogen ion 0), of masters and hydroxide.
    bool precipitates = false; ///< A solid or liquid that falls out as soon as it is saturated.
    std::optional<double> gibbsJoulesPerMole;    ///< Standard energy of formation at 25 °C.
    std::optional<double> enthalpyJoulesPerMole; ///< Standard enthalpy of formation, the only one it has.
    double setchenow = 0.0;        ///< log10 γ per mol/kg of ionic strength, for neutral species.
    double defaultActivity = 1.0;  ///< Solids and gases; overridden where the cell knows better.
    double acidicProtons = 0.0;    ///< How many it can hand to an electrode that consumes H+.
    double carriedHydroxide = 0.0; ///< How many OH- it can hand to an electrode that binds them.
    double sludgeWater = 0.0;      ///< Of a metal ion: mol of solvent that the sludge of its hydroxide keeps.
    /// Of a solid that reacts by taking ions up: s in which they reach all of it. Absent: only its face counts.
    std::optional<FactorSpread> insertionSeconds;
    std::vector<SpeciesTerm> conductsAs; ///< Ions it counts as when salt tables are mixed; empty: itself.
    std::optional<AirLimit> airLimit;
    std::vector<std::string> sources;

    [[nodiscard]] bool isDissolved() const {
        return formula.phase == Phase::Unstated || formula.phase == Phase::Aqueous;
    }
};

/// ln of a formation constant at a temperature (van 't Hoff).
[[nodiscard]] double lnFormationConstant(const Formation& formation, double temperatureKelvin);

} // namespace anodex::chemistry
