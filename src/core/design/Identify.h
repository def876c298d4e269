// src/core/design/Identify.h - finds the entries a design speaks of, and keeps under which ids.
//
// Errors     an id or name that the catalogue does not hold finds nothing and is left as it stands.
#pragma once
#include "core/chemistry/NameLookup.h"
#include "core/design/Design.h"
#include <functional>
#include <optional>
#include <string_view>
#include <vector>

namespace anodex::design {

[[nodiscard]] std::optional<std::size_t> findMaterial(const chemistry::Catalogue& catalogue,
                                                      const Named& named);
[[nodiscard]] std::optional<std::size_t> findSeparator(const chemistry::Catalogue& catalogue,
                                                       const Named& named);
[[nodiscard]] std::optional<std::size_t> findCase(const chemistry::Catalogue& catalogue, const Named& named);
[[nodiscard]] std::optional<std::size_t> findLiquid(const chemistry::Catalogue& catalogue,
                                                    const Named& named);
[[nodiscard]] std::optional<chemistry::SubstanceName> findSubstance(const chemistry::Catalogue& catalogue,
                                                                    const Named& named);

/// Where the entry with this id stands.
template <typename Entry>
[[nodiscard]] std::optional<std::size_t> withId(const std::vector<Entry>& entries, std::string_view id) {
    for (std::size_t index = 0; index < entries.size(); ++index) {
        if (entries[index].id == id) {
            return index;
        }
    }
    return std::nullopt;
}

/// An entry under its own name.
template <typename Entry> [[nodiscard]] Named namedAs(const Entry& entry) {
    return {entry.name, entry.id};
}

enum class EntryKind { Material, Substance, Liquid, Separator, Case };

/// Gives the id to what was only written.
void identify(const chemistry::Catalogue& catalogue, EntryKind kind, Named& named);
/// A substance that is written as a formula and is known is called by its name from here on.
void nameFormula(const chemistry::Catalogue& catalogue, Named& named);
/// Both, of every name.
void identify(const chemistry::Catalogue& catalogue, CellDesign& design);

/// Every name of a design with its kind, in the order of the cell file.
void eachName(CellDesign& design, const std::function<void(EntryKind, Named&)>& visit);
void eachName(const CellDesign& design, const std::function<void(EntryKind, const Named&)>& visit);

} // namespace anodex::design
