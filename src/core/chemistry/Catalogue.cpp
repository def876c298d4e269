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

} // namespace anodex::chemistry
