// src/core/findings/FindingKind.h - what each code of a finding is called, and what its value measures.
//
// To add a finding: its code in Finding.h, a line here, where it is found, and its words under "finding." and its
// name in data/texts.
#pragma once
#include "core/findings/Finding.h"

namespace anodex::findings {

/// What is shown of a value that is kept in SI.
enum class Measure {
    None,
    Ampere,
    Volt,
    Millivolt, ///< Kept in V.
    Ohm,
    Kelvin,
    Duration,     ///< s
    AmpereHour,   ///< Kept in C.
    Gram,         ///< Kept in kg.
    GramPerHour,  ///< Kept in kg/s.
    Millilitre,   ///< Kept in m³.
    GasPerSecond, ///< m³/s
    AirPerHour,   ///< Kept in m³/s.
    ShareOfAir    ///< 0 to 1.
};

struct FindingKind {
    const char* name; ///< Stable, kebab-case: the contract's code. Of a rule: empty, the rule has its own.
    Measure value;
};

[[nodiscard]] const FindingKind& kindOf(FindingCode code);

} // namespace anodex::findings
