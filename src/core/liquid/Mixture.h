// src/core/liquid/Mixture.h - a liquid as it was put together, and what was measured on it then.
//
// Units      SI: kg, mol, K, kg/m³, S/m.
#pragma once
#include <cstddef>
#include <optional>
#include <vector>

namespace anodex::liquid {

struct Portion {
    std::size_t substance = 0;
    double moles = 0.0; ///< Of the substance without its crystal solvent. >= 0.
    bool operator==(const Portion&) const = default;
};

/// What is left where no air comes in: about 10 µg/L, as in boiled water (from memory).
inline constexpr double kAirlessOxygenBar = 2e-4;

/// Measured values win over computed ones.
struct Mixture {
    double solventKg = 0.1;
    std::vector<Portion> portions;
    double temperatureKelvin = 293.15;
    double oxygenPressureBar = 0.2095; ///< Over the liquid; kAirlessOxygenBar when no air reaches it.
    std::optional<double> measuredPh;
    std::optional<double> measuredDensity;      ///< kg/m³
    std::optional<double> measuredConductivity; ///< S/m
    double conductivityFactor = 1.0;            ///< Gels hold the liquid still and lengthen its paths.
    double stillOxygenFactor = 1.0;
    std::optional<double> readyConductivity; ///< S/m, known for a ready-made liquid as a whole.
    bool isUnbounded = false;
    bool hasPhScale = true;
};

} // namespace anodex::liquid
