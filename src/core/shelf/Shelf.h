// src/core/shelf/Shelf.h - what a builder owns, as plain values with the names as they were written.
//
// Units      SI; prices in whatever currency, of the whole item.
#pragma once
#include "core/design/Named.h"
#include <optional>
#include <vector>

namespace anodex::shelf {

struct OwnedMaterial {
    design::Named material;
    double areaM2 = 1e-3; ///< That would be wetted. > 0.
    std::optional<double> massKg;
    std::optional<double> price;
    bool operator==(const OwnedMaterial&) const = default;
};

struct OwnedSubstance {
    design::Named substance;
    double massKg = 0.1; ///< > 0.
    std::optional<double> price;
    bool operator==(const OwnedSubstance&) const = default;
};

struct OwnedLiquid {
    design::Named ready;
    double volumeM3 = 1e-4; ///< > 0.
    std::optional<double> price;
    bool operator==(const OwnedLiquid&) const = default;
};

struct OwnedPart {
    design::Named material;
    std::optional<double> price;
    bool operator==(const OwnedPart&) const = default;
};

struct Shelf {
    std::vector<OwnedMaterial> materials;
    std::vector<OwnedSubstance> substances;
    std::vector<OwnedLiquid> liquids;
    std::vector<OwnedPart> separators;
    std::vector<OwnedPart> cases;
    bool operator==(const Shelf&) const = default;

    [[nodiscard]] bool empty() const { return *this == Shelf(); }
};

} // namespace anodex::shelf
