// src/wording/catalogue/EntryPage.h - an entry of the catalogue as a page that is read, in Markdown.
//
// Links      "catalogue:LIST/ID" to other entries; "pictogram:ID" is a picture (see Pictograms.h).
#pragma once
#include "core/chemistry/Catalogue.h"
#include "formats/catalogue/OwnEntries.h"
#include <string>
#include <vector>

namespace anodex::wording {

/// Its properties with units and doubt, dangers, what it is used in, sources. `usedIn` are names of designs that use it.
[[nodiscard]] std::string entryPage(const chemistry::Catalogue& catalogue, const std::string& list,
                                    const formats::CatalogueEntry& entry,
                                    const std::vector<std::string>& usedIn);

/// What a key of an entry means, with its unit: "density, g/mL"; the key itself where nobody named it.
[[nodiscard]] std::string entryField(const std::string& key);

} // namespace anodex::wording
