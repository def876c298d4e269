// src/core/base/Constants.h - the physical constants every law uses.
//
// Source     CODATA 2018 (exact by the 2019 SI): N. Mohr et al., Rev. Mod. Phys. 93, 025010 (2021).
// Units      SI.
#pragma once

namespace anodex::base {

inline constexpr double kFaraday = 96485.33212;        ///< C/mol
inline constexpr double kGasConstant = 8.314462618;    ///< J/(mol K)
inline constexpr double kZeroCelsius = 273.15;         ///< K
inline constexpr double kStandardTemperature = 298.15; ///< K; where the catalogue's E0 and log K hold.
inline constexpr double kStandardPressure = 101325.0;  ///< Pa
inline constexpr double kOxygenShareOfAir = 0.2095;    ///< mole fraction in dry air
inline constexpr double kLn10 = 2.302585092994046;

/// 2.303 RT/F in volts: the height of one decade of activity for one electron (0.05916 at 25 °C).
constexpr double nernstDecadeVolts(double temperatureKelvin) {
    return kLn10 * kGasConstant * temperatureKelvin / kFaraday;
}

} // namespace anodex::base
