// src/core/explain/Explanation.h - a number with its formula, its inputs and its sources, down to the
// constants.
//
// Symbols and formulas are mathematics; titles and units in words belong to src/wording.
#pragma once
#include <string>
#include <vector>

namespace anodex::explain {

enum class Unit {
    None,
    Volt,
    Ampere,
    Watt,
    Ohm,
    Coulomb,
    Mole,
    SquareMetre,
    Metre,
    SiemensPerMetre,
    M3PerSecond,
    Kelvin,
    Kilogram,
    CubicMetre
};

struct Explanation {
    std::string symbol;  ///< "V_oc", "E(Zn²⁺)" …
    std::string formula; ///< Empty for an input.
    double value = 0.0;
    Unit unit = Unit::None;
    std::vector<std::string> sources; ///< Of the law or of the catalogue value.
    std::vector<Explanation> inputs;
};

/// A leaf: a value that is given, not computed.
[[nodiscard]] Explanation input(std::string symbol, double value, Unit unit,
                                std::vector<std::string> sources = {});

} // namespace anodex::explain
