// src/formats/catalogue/OwnEntries.h - the catalogue's files with entries of the user's own, by the same
// schema.
#pragma once
#include "formats/catalogue/CatalogueReader.h"
#include <string>
#include <vector>

namespace anodex::formats {

/// One entry of a catalogue list, as JSON text.
struct OwnEntry {
    std::string list; ///< "substances", "materials" …: the file's name without its end.
    std::string text;
    bool operator==(const OwnEntry&) const = default;
};

/// An entry as it stands in a file, for reading.
struct CatalogueEntry {
    std::string id;
    std::string name;
    std::string text;                 ///< JSON, indented.
    std::vector<std::string> sources; ///< Spelled out.
};

/// The lists that take entries of one's own, in the order they are shown.
[[nodiscard]] const std::vector<std::string>& openLists();

/// An entry whose id stands in the list already takes its place. The error names the entry's field.
[[nodiscard]] tl::expected<CatalogueFiles, FileError> withOwnEntries(CatalogueFiles files,
                                                                     const std::vector<OwnEntry>& entries);

[[nodiscard]] std::vector<CatalogueEntry> entriesOf(const CatalogueFiles& files, const std::string& list);

/// Its id, or what stands for it in a list without ids; empty when there is none.
[[nodiscard]] std::string idOf(const OwnEntry& entry);

} // namespace anodex::formats
