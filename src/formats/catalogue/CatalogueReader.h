// src/formats/catalogue/CatalogueReader.h - the catalogue's JSON files into core's Catalogue, checked on the
// way in.
//
// Checks     known keys and types; every formula parses and its elements are known; element and charge
//            balance of every formation and reaction; slopes that leave room for detailed balance; every
//            value has a source.
// Errors     the first fault, as file and path.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "formats/FileError.h"
#include <map>
#include <string>
#include <tl/expected.hpp>

namespace anodex::formats {

/// The files of a catalogue by name without folder: "species.json" → text.
using CatalogueFiles = std::map<std::string, std::string>;

[[nodiscard]] CatalogueFiles builtInCatalogueFiles();
[[nodiscard]] tl::expected<chemistry::Catalogue, FileError> readCatalogue(const CatalogueFiles& files);

} // namespace anodex::formats
