// src/wording/catalogue/EntryLinks.h - what else of the catalogue an entry has to do with.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <string>
#include <vector>

namespace anodex::wording {

struct EntryLink {
    std::string list;
    std::string id;
    std::string name;
    std::string note; ///< Such as the couple's potential.
};

/// Of a material the couples on its faces, of a couple the materials that carry it, of a substance the liquids made with
/// it, of a species the couples and substances with it; nothing for an entry that is not in use.
[[nodiscard]] std::vector<EntryLink> linksOf(const chemistry::Catalogue& catalogue, const std::string& list,
                                             const std::string& id);

} // namespace anodex::wording
