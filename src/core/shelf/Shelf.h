// src/core/shelf/Shelf.h - what a builder owns, as plain values with the names as they were written.
//
// Units      SI; prices in whatever currency, of the whole item.
#pragma once
#include <optional>
#include <string>
#include <vector>

namespace anodex::shelf {

struct OwnedMaterial {
    std::string material;
    double areaM2 = 1e-3; ///< That would be wetted. > 0.
    std::optional<double> massKg;
    std::optional<double> price;
};

struct OwnedSubstance {
    std::string substance;
    double massKg = 0.1; ///< > 0.
    std::optional<double> price;
};

struct OwnedLiquid {
    std::string ready;
    double volumeM3 = 1e-4; ///< > 0.
    std::optional<double> price;
};

struct OwnedPart {
    std::string material;
    std::optional<double> price;
};

struct Shelf {
    std::vector<OwnedMaterial> materials;
    std::vector<OwnedSubstance> substances;
    std::vector<OwnedLiquid> liquids;
    std::vector<OwnedPart> separators;
    std::vector<OwnedPart> cases;
};

} // namespace anodex::shelf
