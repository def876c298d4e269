// src/core/electrode/Input.h - names one uncertain input of the model: what it is, and of which entry.
#pragma once
#include <cstdint>
#include <string>
#include <string_view>

namespace anodex::electrode {

/// The numbers address random deviates; they are never reused.
enum class InputKind : std::uint8_t {
    Roughness = 1,           ///< True over geometric area of a material.
    Rate = 2,                ///< Of a reaction on its which-th kind of surface.
    Onset = 3,               ///< Potential where that rate holds.
    RateLimit = 4,           ///< Of a film there.
    StandardPotential = 5,   ///< Of a reaction.
    Trace = 6,               ///< Of a species nobody poured in.
    Grade = 7,               ///< Of a material's solid reagent.
    Plating = 8,             ///< Thickness on a material.
    Utilisation = 9,         ///< Of a material.
    LiquidConductivity = 10, ///< Of the only or the negative side's liquid (0), of the positive side's (1).
    Supply = 11,             ///< Through the liquid to the negative (0) or positive electrode (1).
    StillOxygen = 12,        ///< Through liquid.
    AirSupply = 13,          ///< To a breathing material.
    Pores = 14,              ///< Length of the paths in a material.
    Resistivity = 15,        ///< Of a material.
    Film = 16,               ///< Resistance through a material's film.
    SeparatorPaths = 17,     ///< MacMullin number.
    SeparatorResistance = 18,
    Contacts = 19,
    Reading = 20,        ///< Meter, weighing and junction.
    SurfaceState = 21,   ///< Of a material's specimen.
    DissolvedShare = 22, ///< Of a dissolved reagent that gets used.
    SolventShare = 23,
    AirlessOxygen = 24,  ///< Left in a liquid that no air reaches.
    BeyondMeasured = 25, ///< Rate of a reaction outside the acidity it was measured in.
    Touch = 26,          ///< Resistance between a material and its collector.
    Insertion = 27       ///< Time in which a solid takes ions up.
};

struct InputKey {
    InputKind kind = InputKind::Reading;
    std::string_view id; ///< Of the catalogue entry it belongs to; lives as long as the catalogue.
    int which = 0;
};

/// The same, to keep.
struct Input {
    InputKind kind = InputKind::Reading;
    std::string id;
    int which = 0;
    bool operator==(const Input&) const = default;
};

} // namespace anodex::electrode
