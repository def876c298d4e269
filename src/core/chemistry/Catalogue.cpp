#include "core/chemistry/Catalogue.h"

#include <algorithm>
#include <iterator>

namespace anodex::chemistry {

std::optional<SpeciesIndex> Catalogue::findSpecies(std::string_view name) const {
    const auto found = std::find_if(species.begin(), species.end(),
                                    [&](const Species& candidate) { return candidate.name == name; });
    if (found == species.end()) {
        return std::nullopt;
    }
    return static_cast<SpeciesIndex>(found - species.begin());
}

const Substance* Catalogue::solvent() const {
    const auto found = std::find_if(substances.begin(), substances.end(),
                                    [](const Substance& substance) { return substance.isSolvent; });
    return found == substances.end() ? nullptr : &*found;
}

std::optional<ChargeStates> chargeStates(const Catalogue& catalogue, std::size_t material) {
    if (const auto& full = catalogue.materials[material].chargedAs) {
        return ChargeStates{*full, material};
    }
    for (std::size_t i = 0; i < catalogue.materials.size(); ++i) {
        if (catalogue.materials[i].chargedAs == material) {
            return ChargeStates{material, i};
        }
    }
    return std::nullopt;
}

FactorSpread bulkDensity(const Substance& substance) {
    constexpr FactorSpread kLooseGrains{0.5, 1.35}; // share that is solid (common practice, no source)
    if (substance.isLiquid) {
        return {substance.densityKgPerM3, 1.0};
    }
    return substance.bulkKgPerM3.value_or(
        FactorSpread{kLooseGrains.value * substance.densityKgPerM3, kLooseGrains.factor});
}

const std::vector<SpeciesTerm>& moietiesOf(const Catalogue& catalogue, SpeciesIndex species) {
    return catalogue.moieties[species];
}

void indexMoieties(Catalogue& catalogue) {
    const KeySpecies& key = catalogue.key;
    catalogue.moieties.assign(catalogue.species.size(), {});
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        std::vector<SpeciesTerm>& parts = catalogue.moieties[s];
        if (s == key.hydrogenIon || s == key.solvent) {
            continue;
        }
        if (const auto& formation = catalogue.species[s].formation) {
            std::copy_if(formation->terms.begin(), formation->terms.end(), std::back_inserter(parts),
                         [&](const SpeciesTerm& term) {
                             return term.species != key.hydrogenIon && term.species != key.solvent;
                         });
        } else {
            parts.push_back({s, 1.0});
        }
    }
}

const std::vector<SpeciesIndex>& precursorsOf(const Catalogue& catalogue, Branch branch, SpeciesIndex solid) {
    return catalogue.precursors[static_cast<std::size_t>(branch)][solid];
}

void indexPrecursors(Catalogue& catalogue) {
    const auto isSolid = [&](const SpeciesTerm& term) {
        return catalogue.species[term.species].formula.phase == Phase::Solid;
    };
    for (const Branch branch : {Branch::Anodic, Branch::Cathodic}) {
        const double taken = branch == Branch::Cathodic ? -1.0 : 1.0;
        auto& bySolid = catalogue.precursors[static_cast<std::size_t>(branch)];
        bySolid.assign(catalogue.species.size(), {});
        for (const Reaction& reaction : catalogue.reactions) {
            for (const SpeciesTerm& made : reaction.terms) {
                for (const SpeciesTerm& from : reaction.terms) {
                    if (made.count * taken < 0.0 && from.count * taken > 0.0 && isSolid(from)) {
                        bySolid[made.species].push_back(from.species);
                    }
                }
            }
        }
    }
}

} // namespace anodex::chemistry
