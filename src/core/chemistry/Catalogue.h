// src/core/chemistry/Catalogue.h - all sourced facts, as one plain value that every law receives by
// reference.
//
// Threads    immutable after loading; share freely.
#pragma once
#include "core/chemistry/CompatibilityRule.h"
#include "core/chemistry/KitchenMeasure.h"
#include "core/chemistry/Material.h"
#include "core/chemistry/Reaction.h"
#include "core/chemistry/Species.h"
#include "core/chemistry/Substance.h"
#include "core/load/Device.h"
#include <array>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace anodex::chemistry {

/// Pitzer's binary parameters for one cation and one anion (25 °C, molal). The third coefficient is
/// C = third + thirdFading · exp(-fadingRate · √I), after Archer; published C_φ is 2 √|z+ z-| · C.
struct PitzerParameters {
    double beta0 = 0.0;
    double beta1 = 0.0;
    double beta2 = 0.0;
    double third = 0.0;
    double thirdFading = 0.0;
    double fadingRate = 1.0;
    double highestMolality = 0.0; ///< Of the salt in the published fit.
};

struct PitzerPair {
    PitzerParameters parameters;
    std::vector<std::string> sources;
};

/// theta of two ions of like sign, and psi of such a pair with one of opposite sign.
struct PitzerMixing {
    std::map<std::pair<SpeciesIndex, SpeciesIndex>, double> theta; ///< Low index first.
    std::map<std::pair<std::pair<SpeciesIndex, SpeciesIndex>, SpeciesIndex>, double> psi;
};

/// The species that laws themselves speak of.
struct KeySpecies {
    SpeciesIndex hydrogenIon = 0;
    SpeciesIndex hydroxide = 0;
    SpeciesIndex solvent = 0;
    SpeciesIndex oxygenGas = 0;
    SpeciesIndex hydrogenGas = 0;
    SpeciesIndex dissolvedOxygen = 0;
};

/// A couple of the field that the catalogue does not hold, and the reason.
struct LeftOutCouple {
    std::string equation;
    std::string why;
};

/// Something that no recipe here may use, whatever its name.
struct Refused {
    std::vector<std::string> names;
    std::string why;
};

struct Catalogue {
    std::string version;
    std::map<std::string, double> elementGramsPerMole;
    std::vector<Species> species;
    std::vector<std::vector<SpeciesTerm>> moieties; ///< By species; see moietiesOf(). Empty until indexed.
    std::array<std::vector<std::vector<SpeciesIndex>>, 2>
        precursors; ///< By branch and solid; see precursorsOf().
    KeySpecies key;
    std::map<std::pair<SpeciesIndex, SpeciesIndex>, PitzerPair> pitzerPairs; ///< (cation, anion)
    PitzerMixing pitzerMixing;
    std::vector<Substance> substances;
    std::vector<ReadyLiquid> liquids;
    std::vector<Material> materials;
    std::vector<SeparatorMaterial> separators;
    std::vector<CaseMaterial> cases;
    std::vector<Reaction> reactions;
    std::vector<LeftOutCouple> leftOut;
    std::vector<std::shared_ptr<const CompatibilityRule>> rules; ///< Findings keep theirs alive.
    std::vector<Refused> refused;
    std::vector<std::string> families;
    std::vector<KitchenMeasure> measures;
    std::vector<Filling> fillings;
    std::vector<load::Device> loads;

    [[nodiscard]] std::optional<SpeciesIndex> findSpecies(std::string_view name) const;
    [[nodiscard]] const Substance* solvent() const;
};

/// Indices of what a plate's material is called when it is charged and when it is not.
struct ChargeStates {
    std::size_t full = 0;
    std::size_t empty = 0;
};

/// Of the material that is either; none where the catalogue knows but one state.
[[nodiscard]] std::optional<ChargeStates> chargeStates(const Catalogue& catalogue, std::size_t material);

/// Moles of each master's moiety in one mole of the species (hydrogen ion and solvent left out).
[[nodiscard]] const std::vector<SpeciesTerm>& moietiesOf(const Catalogue& catalogue, SpeciesIndex species);

/// Works the moieties out once, after the species are complete.
void indexMoieties(Catalogue& catalogue);

/// Solids from which a reaction that runs along the branch makes this one.
[[nodiscard]] const std::vector<SpeciesIndex>& precursorsOf(const Catalogue& catalogue, Branch branch,
                                                            SpeciesIndex solid);

/// Works the precursors out once, after the reactions are complete.
void indexPrecursors(Catalogue& catalogue);

} // namespace anodex::chemistry
