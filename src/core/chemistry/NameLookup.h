// src/core/chemistry/NameLookup.h - finds a catalogue entry by id, common name, alias or formula.
//
// Case, hyphens, underscores and repeated blanks do not matter for names. "Sulphate" is sulfate.
// Formulas match by composition, so "CuSO4·5H2O", "CuSO4*5H2O" and "CuSO4.5H2O" are one.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::chemistry {

/// A substance as named: the anhydrous entry and, if a hydrate was named, which.
struct SubstanceName {
    std::size_t substance = 0;
    std::optional<std::size_t> hydrate;
    bool operator==(const SubstanceName&) const = default;
};

[[nodiscard]] std::optional<SubstanceName> findSubstance(const Catalogue& catalogue, std::string_view name);
/// By composition alone.
[[nodiscard]] std::optional<SubstanceName> findSubstanceOfFormula(const Catalogue& catalogue,
                                                                  std::string_view formula);
/// The name of the form with its crystal water where that has one, else of the bare substance.
[[nodiscard]] const std::string& nameOf(const Catalogue& catalogue, const SubstanceName& substance);
[[nodiscard]] std::optional<std::size_t> findLiquid(const Catalogue& catalogue, std::string_view name);
[[nodiscard]] std::optional<std::size_t> findMaterial(const Catalogue& catalogue, std::string_view name);
[[nodiscard]] std::optional<std::size_t> findSeparator(const Catalogue& catalogue, std::string_view name);
[[nodiscard]] std::optional<std::size_t> findCase(const Catalogue& catalogue, std::string_view name);

/// Why nothing of this name may be used in any recipe; none when it may.
[[nodiscard]] std::optional<std::string> whyRefused(const Catalogue& catalogue, std::string_view name);

/// Every name the entry answers to, for suggestions.
[[nodiscard]] std::vector<std::string> substanceNames(const Catalogue& catalogue);
[[nodiscard]] std::vector<std::string> materialNames(const Catalogue& catalogue);
[[nodiscard]] std::vector<std::string> liquidNames(const Catalogue& catalogue);
[[nodiscard]] std::vector<std::string> separatorNames(const Catalogue& catalogue);
[[nodiscard]] std::vector<std::string> caseNames(const Catalogue& catalogue);

/// The ready-made liquids whose name begins with the one wanted: it comes in kinds, and nobody may guess
/// which.
[[nodiscard]] std::vector<std::string> kindsOfLiquid(const Catalogue& catalogue, std::string_view wanted);
/// The name with the fewest edits from `wanted` (Levenshtein 1966), or empty when none is near.
[[nodiscard]] std::string nearestName(std::string_view wanted, const std::vector<std::string>& names);

/// Lower case, blanks for hyphens and underscores, no doubled blanks: how names are compared.
[[nodiscard]] std::string foldedName(std::string_view name);

} // namespace anodex::chemistry
