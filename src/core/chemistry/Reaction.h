// src/core/chemistry/Reaction.h - a half-reaction, written as a reduction, with its rate on each surface.
//
// Rate law   i = (ia - ic) / (1 + ia/iLa + ic/iLc), A/m² of true area, anodic positive. One branch is stored;
//            the other follows by detailed balance from the couple's Nernst potential, so every two-way
//            couple rests there whatever the limits.
// Units      V against SHE, A/m², V per decade for slopes.
#pragma once
#include "core/chemistry/Species.h"
#include "core/chemistry/Spread.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::chemistry {

enum class Branch { Anodic, Cathodic };

/// Where the stored branch has its stored current density.
enum class ReferenceKind {
    Standard,    ///< At the standard potential E0 (a product-free rate constant).
    Equilibrium, ///< At the Nernst potential (an exchange current density).
    Absolute     ///< At a stated potential against SHE.
};

/// Shift of an absolute reference with a species: slope * log10(activity / at).
struct ReferenceShift {
    SpeciesIndex species = 0;
    double voltsPerDecade = 0.0;
    double lnAt = 0.0; ///< ln of that activity.
};

struct PhWindow {
    double low = -10.0;
    double high = 20.0;
    bool operator==(const PhWindow&) const = default;
};

/// A reaction that takes part of another's current at the same spot, so that the leads never see it.
struct Parasite {
    std::size_t reaction = 0; ///< Of the catalogue; it runs the other way.
    double share = 0.0;       ///< 0 to below 1.
};

/// A species whose film covers working sites: its adsorption (Langmuir) divides the rate by 1 + a / a_half.
struct Inhibitor {
    SpeciesIndex species = 0;
    double halfActivity = 1.0; ///< That halves the rate. > 0.
};

struct SurfaceKinetics {
    std::vector<SpeciesIndex> surfaces; ///< Solid species it runs on.
    Branch storedBranch = Branch::Anodic;
    FactorSpread currentDensity; ///< A/m² true at unit activities and the reference potential.
    double slopeVolts = 0.12;    ///< Of the stored branch, per decade, at 25 °C. > 0.
    ReferenceKind reference = ReferenceKind::Standard;
    OffsetSpread referenceVolts; ///< For Absolute.
    std::vector<ReferenceShift> referenceShifts;
    std::vector<SpeciesTerm> orders; ///< Activity exponents of the stored branch.
    std::vector<Inhibitor> inhibitors;
    PhWindow window;                      ///< Outside it a film or its lack stops this route.
    std::vector<SpeciesIndex> needs;      ///< Species that must be present for the route to exist.
    std::vector<SpeciesIndex> absentWith; ///< Species whose presence covers or binds the reactant.
    bool oneWay = false;                  ///< The other branch does not occur at all.
    bool onTraces = false; ///< Lives on traces of its solid reactant that every specimen holds.
    std::optional<FactorSpread> anodicLimit; ///< A/m² true; passive films.
    std::optional<FactorSpread> cathodicLimit;
    std::optional<FactorSpread> grownFilmLimit; ///< A/m² true, once a film of its own product is complete.
    std::optional<Parasite> parasite;           ///< Of its anodic current.
    double activationJoulesPerMole = 40000.0;
    double freshDivides =
        1.0; ///< Its rate on metal newly plated, which lacks the specks of the shop's. >= 1.
    std::vector<std::string> sources;
};

struct Trace {
    SpeciesIndex species = 0;
    double activity = 1e-6;
    double low = 1e-7;
    double high = 1e-4;
};

struct Reaction {
    std::string id;
    std::string equation;   ///< As written in the catalogue, a reduction.
    std::string anodicName; ///< Plain words when it runs as an oxidation.
    std::string cathodicName;
    std::vector<SpeciesTerm> terms;      ///< Products positive, reactants negative, electrons left out.
    double electrons = 1.0;              ///< n > 0, on the reactant side.
    OffsetSpread standardVolts;          ///< E0 at 25 °C.
    double standardVoltsPerKelvin = 0.0; ///< From its enthalpy, where the species' are known.
    double thermoneutralVolts = 0.0;     ///< -ΔH / nF: what it is worth if all its enthalpy were work.
    double rateDeterminingRepeats = 1.0; ///< The stoichiometric number of the law 1/ba + 1/bc.
    bool fades = false; ///< Its oxidation stops once the surface is covered: no loss of what is stored.
    double hydroxidePerAmp = 0.0; ///< A of hydroxide made for each of anodic current, by its equation.
    int gasSign = 0;              ///< Of the current that makes gas; 0: none does.
    /// It turns protons alone into gas, so the acid itself is the reagent. Elsewhere the solvent gives protons as well,
    /// and their supply neither limits nor runs out.
    bool needsAcid = false;
    /// Hydroxide that its oxidation takes up goes into a dissolved complex, so the alkali itself is the reagent. Where
    /// it goes into a solid, the solvent gives it as well.
    bool bindsHydroxide = false;
    double supplyElectrons = 0.0; ///< Electrons per molecule in the supply limit; 0: same as n.
    std::vector<Trace> traces;
    std::vector<SurfaceKinetics> kinetics;
    std::string knownConflict; ///< Why E0 and the energies of formation disagree; empty when they do not.
    std::vector<std::string> sources;
};

} // namespace anodex::chemistry
