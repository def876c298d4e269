#include "core/chemistry/MaterialGroup.h"

#include <algorithm>

namespace anodex::chemistry {

MaterialGroup groupOf(const Catalogue& catalogue, const Material& material) {
    if (material.form == "paste" || material.form == "powder") {
        return MaterialGroup::Powder;
    }
    if (material.plating || material.composition.empty()) {
        return MaterialGroup::Coated;
    }
    const auto anyPart = [&](auto&& isSuch) {
        return std::any_of(material.composition.begin(), material.composition.end(),
                           [&](const CompositionPart& part) {
                               return isSuch(catalogue.species[part.species].formula.elements);
                           });
    };
    if (anyPart([](const auto& elements) { return elements.size() > 1; })) {
        return MaterialGroup::Compound;
    }
    return anyPart([](const auto& elements) { return elements.count("C") > 0; }) ? MaterialGroup::Carbon
                                                                                 : MaterialGroup::Metal;
}

} // namespace anodex::chemistry
