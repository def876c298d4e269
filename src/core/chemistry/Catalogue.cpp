#include "core/chemistry/Catalogue.h"

#include <algorithm>

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

} // namespace anodex::chemistry
