// src/core/liquid/Solution.h - a liquid at equilibrium: species, pH, activities, density, conductivity.
//
// Units      SI: kg, mol, mol/m³, S/m, kg/m³; molality in mol/kg of solvent.
// pH         -log10 of the molal hydrogen-ion activity; single-ion values follow the ion-interaction model's
//            own convention, so only differences between cells are measurable.
// Range      0-60 °C. Interaction parameters are those of 25 °C.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/liquid/Composition.h"
#include "core/liquid/Mixture.h"
#include <optional>
#include <vector>

namespace anodex::liquid {

struct SolutionNotes {
    bool typicalInteractions = false; ///< A pair without published parameters matters.
    bool beyondActivityRange = false;
    bool estimatedConductivity = false; ///< A pair without a published table carries much of the current.
};

struct Undissolved {
    std::size_t substance = 0;
    double kilograms = 0.0;
};

/// A solid or liquid that fell out because its solubility was passed.
struct Precipitate {
    chemistry::SpeciesIndex species = 0;
    double moles = 0.0;
    double kilograms = 0.0;
};

struct Solution {
    Mixture mixture;                    ///< As it was poured; temperature and air as they are.
    Composition poured;                 ///< What was in the liquid then, without what fell out.
    Composition composition;            ///< As it is.
    std::vector<double> molality;       ///< By catalogue species; 0 where absent or not dissolved.
    std::vector<double> activity;       ///< Same; gases hold pressure/bar, the solvent its activity.
    std::vector<double> lnActivity;     ///< Same, its logarithm; minus infinity where there is none.
    std::vector<double> moietyMolality; ///< By master species: in all the forms it takes.
    std::vector<double> saturation; ///< By master species: the activity at which a solid would form; infinite
                                    ///< where none does.
    std::vector<double> saturationHydroxide; ///< By master species: hydroxide that this solid takes for each.
    std::vector<double> supplyPerActivity;   ///< By master species nobody poured in: mol/kg of all its forms
                                             ///< together at unit activity of the master itself.
    double pH = 7.0;
    double ionicStrength = 0.0;
    double solventActivity = 1.0;
    double densityKgPerM3 = 1000.0;
    double volumeM3 = 0.0;
    double conductivity = 0.0;
    double freeConductivity = 0.0;        ///< S/m of the liquid itself, without what lengthens its paths.
    double densityFactor = 1.0;           ///< Measured over computed, as poured.
    double conductivityFactor = 1.0;      ///< Conductivity over the free one, as poured.
    std::vector<Portion> dissolved;       ///< What of the portions went in.
    std::vector<Undissolved> undissolved; ///< Beyond a substance's own solubility: it never went in.
    std::vector<Precipitate> precipitates;
    SolutionNotes notes;

    /// mol/m³ of the solution.
    [[nodiscard]] double concentration(chemistry::SpeciesIndex species) const;
    /// mol/m³ a reaction can draw on: the species with every form that turns into it as it is used up.
    [[nodiscard]] double labileConcentration(const chemistry::Catalogue& catalogue,
                                             chemistry::SpeciesIndex species) const;
    /// mol/m³ that stand behind an assumed activity of a species nobody poured in, in all its forms.
    [[nodiscard]] double labileConcentrationAt(const chemistry::Catalogue& catalogue,
                                               chemistry::SpeciesIndex species, double activity) const;
    /// Moles of the same.
    [[nodiscard]] double labileMoles(const chemistry::Catalogue& catalogue,
                                     chemistry::SpeciesIndex species) const;
};

/// The substance of the catalogue that this solid is, hydrate or not.
[[nodiscard]] std::optional<std::size_t> substanceOf(const chemistry::Catalogue& catalogue,
                                                     chemistry::SpeciesIndex solid);

/// Molal and stoichiometric (as if fully dissociated); none for weak and neutral substances, or when none of
/// an ion is there.
[[nodiscard]] std::optional<double> meanActivityCoefficient(const chemistry::Catalogue& catalogue,
                                                            const Solution& solution, std::size_t substance);

/// ln of a species' activity over that of its one absent master, from the others' activities; none when one
/// of those is absent as well or when several moieties of the master stand in it.
[[nodiscard]] std::optional<double> lnOverMaster(const chemistry::Catalogue& catalogue,
                                                 const Solution& solution, chemistry::SpeciesIndex species,
                                                 chemistry::SpeciesIndex master);

} // namespace anodex::liquid
