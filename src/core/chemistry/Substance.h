// src/core/chemistry/Substance.h - what can be weighed into a liquid, and the liquids that come ready-made.
#pragma once
#include "core/base/Interpolation.h"
#include "core/chemistry/Hazard.h"
#include "core/chemistry/Species.h"
#include "core/chemistry/Spread.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::chemistry {

/// A hydrate is the same substance bought with solvent in its crystals.
struct Hydrate {
    std::string formulaText;
    Formula formula;
    double solventPerMole = 0.0;
    double molarMassKg = 0.0;
    std::vector<std::string> names;
};

/// Conductivity of the pure salt in its own solution, tabulated; mixtures are made from pairs
/// (Conductivity.h).
struct ConductivityTable {
    SpeciesIndex cation = 0;
    SpeciesIndex anion = 0;
    double equivalentsPerMole = 0.0; ///< Of the substance; 0: as many as it dissolves to.
    base::Table siemensPerMetreByMassFraction;
    double temperatureKelvin = 293.15;
    double perKelvin = 0.02; ///< Relative rise per kelvin about that temperature.
};

struct Substance {
    std::string id;
    std::string name;
    std::vector<std::string> aliases;
    std::string formulaText;
    Formula formula;
    double molarMassKg = 0.0; ///< Without hydrate solvent.
    bool isSolvent = false;
    bool isWeak = false; ///< Not a strong electrolyte: it has no mean activity coefficient of its own.
    std::vector<SpeciesTerm> dissolvesTo; ///< Per mole; a negative count of solvent is taken up.
    std::vector<Hydrate> hydrates;
    std::optional<double>
        solubilityKgPerKg;             ///< Anhydrous mass per mass of solvent at 20 °C; absent: miscible.
    base::Table densityByMassFraction; ///< kg/m³ at 20 °C; needs at least the pure solvent and one more.
    std::optional<ConductivityTable> conductivity;
    double densityKgPerM3 = 1000.0;          ///< Of the substance itself, for volume_mL.
    bool isLiquid = false;                   ///< At room temperature, unmixed.
    std::optional<FactorSpread> bulkKgPerM3; ///< As it lies in a spoon; see bulkDensity().
    std::vector<double> soldMassFractions;   ///< It is sold as solutions of these strengths, not pure.
    std::vector<Hazard> hazards;
    std::vector<std::string> sources;
};

/// kg/m³ of grains as they lie in a spoon: the catalogue's, or what loose grains of its crystals make.
[[nodiscard]] FactorSpread bulkDensity(const Substance& substance);

/// One litre of a ready-made liquid, made up from solvent and substances.
struct ReadyLiquid {
    struct Part {
        std::size_t substance = 0;
        double molPerLitre = 0.0;
    };
    std::string id;
    std::string name;
    std::vector<std::string> aliases;
    std::vector<Part> parts;
    double strengthSpreadFactor = 1.0; ///< Doubt of every part's strength together.
    double conductivityFactor = 1.0;   ///< Share left by grains, fibres or flesh that lengthen the paths.
    double conductivitySpreadFactor = 1.0;
    std::optional<double> conductivity; ///< S/m, known for the liquid as a whole.
    bool isUnbounded = false;           ///< Ground or open water: the current spreads as far as it likes.
    bool isFood = false;
    bool hasPhScale = true;         ///< False where the solvent is hardly water.
    double stillOxygenFactor = 1.0; ///< Share of open liquid's oxygen supply; below 1 in flesh and gels.
    std::vector<std::string> sources;
};

} // namespace anodex::chemistry
