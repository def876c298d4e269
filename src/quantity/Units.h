// src/quantity/Units.h - the one table of units that people, files and loggers write.
//
// Spelling   case as the table has it is taken first; where only another case fits, all that fit are
//            readings: "MOHM" is milliohm or megohm. All three micro signs, long names, plurals and both
//            spellings of ohm are in the table.
// Source     SI Brochure, 9th edition (2019); degree Fahrenheit by its definition; from memory.
#pragma once
#include <string>
#include <string_view>
#include <vector>

namespace anodex::quantity {

enum class Dimension {
    None,
    Volt,
    Ampere,
    Watt,
    Ohm,
    Siemens,
    SiemensPerMetre,
    Metre,
    SquareMetre,
    Kilogram,
    CubicMetre,
    Kelvin,
    Second,
    Density,
    Percent,
    Mole,
    MolPerM3,
    MolPerKg,
    Coulomb,
    Joule
};

/// One way to read a unit: SI value = written · toSi + offset.
struct UnitReading {
    Dimension dimension = Dimension::None;
    double toSi = 1.0;
    double offset = 0.0;
    std::string symbol; ///< As this program writes it: "mV".
    bool operator==(const UnitReading&) const = default;
};

struct UnitSpan {
    std::vector<UnitReading> readings; ///< One, or all that are likely.
    std::size_t used = 0;              ///< Bytes taken from the front.
};

/// The longest unit at the front of `text`; no reading when none stands there.
[[nodiscard]] UnitSpan readUnit(std::string_view text);

/// All readings of a whole word; none when it is no unit.
[[nodiscard]] std::vector<UnitReading> readingsOf(std::string_view word);

/// The symbol this program writes for a factor to SI, such as "mV" for 1e-3 volts; empty when the table has
/// none.
[[nodiscard]] std::string symbolFor(Dimension dimension, double toSi);

} // namespace anodex::quantity
