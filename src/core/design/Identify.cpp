#include "core/design/Identify.h"

namespace anodex::design {
namespace {

using chemistry::Catalogue;
using chemistry::SubstanceName;

std::optional<SubstanceName> substanceWithId(const Catalogue& catalogue, const std::string& id) {
    const std::size_t slash = id.find('/');
    const auto substance = withId(catalogue.substances, std::string_view(id).substr(0, slash));
    if (!substance || slash == std::string::npos) {
        return substance ? std::optional(SubstanceName{*substance, std::nullopt}) : std::nullopt;
    }
    const auto& hydrates = catalogue.substances[*substance].hydrates;
    for (std::size_t which = 0; which < hydrates.size(); ++which) {
        if (hydrates[which].formulaText == id.substr(slash + 1)) {
            return SubstanceName{*substance, which};
        }
    }
    return std::nullopt;
}

std::string idOf(const Catalogue& catalogue, const SubstanceName& name) {
    const chemistry::Substance& substance = catalogue.substances[name.substance];
    return name.hydrate ? substance.id + "/" + substance.hydrates[*name.hydrate].formulaText : substance.id;
}

template <typename Entry>
void takeId(const std::vector<Entry>& entries, const std::optional<std::size_t>& found, Named& named) {
    if (found) {
        named.id = entries[*found].id;
    }
}

/// `Design` is CellDesign, const or not.
template <typename Design, typename Visit> void visitNames(Design& design, const Visit& visit) {
    for (auto* electrode : {&design.negative, &design.positive}) {
        visit(EntryKind::Material, electrode->material);
        if (electrode->collector) {
            visit(EntryKind::Material, electrode->collector->material);
        }
        for (auto& additive : electrode->additives) {
            visit(EntryKind::Material, additive.material);
        }
    }
    for (auto* liquid : {&design.liquid, design.positiveLiquid ? &*design.positiveLiquid : nullptr}) {
        if (liquid == nullptr) {
            continue;
        }
        visit(EntryKind::Liquid, liquid->ready);
        for (auto& solute : liquid->solutes) {
            visit(EntryKind::Substance, solute.substance);
        }
    }
    if (design.separator) {
        visit(EntryKind::Separator, design.separator->material);
    }
    visit(EntryKind::Case, design.caseMaterial);
}

} // namespace

std::optional<std::size_t> findMaterial(const Catalogue& catalogue, const Named& named) {
    return named.id.empty() ? chemistry::findMaterial(catalogue, named.written)
                            : withId(catalogue.materials, named.id);
}

std::optional<std::size_t> findSeparator(const Catalogue& catalogue, const Named& named) {
    return named.id.empty() ? chemistry::findSeparator(catalogue, named.written)
                            : withId(catalogue.separators, named.id);
}

std::optional<std::size_t> findCase(const Catalogue& catalogue, const Named& named) {
    return named.id.empty() ? chemistry::findCase(catalogue, named.written)
                            : withId(catalogue.cases, named.id);
}

std::optional<std::size_t> findLiquid(const Catalogue& catalogue, const Named& named) {
    return named.id.empty() ? chemistry::findLiquid(catalogue, named.written)
                            : withId(catalogue.liquids, named.id);
}

std::optional<SubstanceName> findSubstance(const Catalogue& catalogue, const Named& named) {
    return named.id.empty() ? chemistry::findSubstance(catalogue, named.written)
                            : substanceWithId(catalogue, named.id);
}

void nameFormula(const Catalogue& catalogue, Named& named) {
    const auto ofFormula = chemistry::findSubstanceOfFormula(catalogue, named.written);
    if (ofFormula && ofFormula == findSubstance(catalogue, named)) {
        named.written = chemistry::nameOf(catalogue, *ofFormula);
    }
}

void identify(const Catalogue& catalogue, EntryKind kind, Named& named) {
    if (named.written.empty() || !named.id.empty()) {
        return;
    }
    switch (kind) {
    case EntryKind::Material:
        return takeId(catalogue.materials, findMaterial(catalogue, named), named);
    case EntryKind::Liquid:
        return takeId(catalogue.liquids, findLiquid(catalogue, named), named);
    case EntryKind::Separator:
        return takeId(catalogue.separators, findSeparator(catalogue, named), named);
    case EntryKind::Case:
        return takeId(catalogue.cases, findCase(catalogue, named), named);
    case EntryKind::Substance:
        if (const auto found = findSubstance(catalogue, named)) {
            named.id = idOf(catalogue, *found);
        }
        return;
    }
}

void identify(const Catalogue& catalogue, CellDesign& design) {
    eachName(design, [&](EntryKind kind, Named& named) {
        identify(catalogue, kind, named);
        if (kind == EntryKind::Substance) {
            nameFormula(catalogue, named);
        }
    });
}

void eachName(CellDesign& design, const std::function<void(EntryKind, Named&)>& visit) {
    visitNames(design, visit);
}

void eachName(const CellDesign& design, const std::function<void(EntryKind, const Named&)>& visit) {
    visitNames(design, visit);
}

} // namespace anodex::design
