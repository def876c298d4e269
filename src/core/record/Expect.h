// src/core/record/Expect.h - what the model says today, as the value a build keeps for good.
#pragma once
#include "core/cell/Doubt.h"
#include "core/chemistry/Catalogue.h"
#include "core/record/Record.h"
#include <functional>
#include <optional>
#include <string>

namespace anodex::record {

/// Raised when the laws in core change what they answer.
inline constexpr const char* kModelVersion = "13";

[[nodiscard]] Expectation expectationOf(const std::string& catalogueVersion,
                                        const cell::Evaluation& evaluation, const cell::Doubt& doubt);

/// The voltage expected on that day while the cell delivers `amps`; nothing beyond its short circuit or when
/// no curve was kept. The range joins those of the open circuit and of the internal resistance.
[[nodiscard]] std::optional<Expected> expectedLoadedVolts(const Expectation& expectation, double amps);

/// Where the cell's curve of that day meets what hangs on it.
struct ExpectedOnLoad {
    double amps = 0.0;
    Expected volts;
};
/// `ampsAt`: the current the load takes at a voltage, never falling; asked as one takes it the right way round.
/// Nothing where no curve was kept; at rest where the load takes nothing yet.
[[nodiscard]] std::optional<ExpectedOnLoad> expectedOnLoad(const Expectation& expectation,
                                                           const std::function<double(double)>& ampsAt);
/// On the resistor or the device that the reading names; nothing where it names none whose current is known.
[[nodiscard]] std::optional<ExpectedOnLoad>
expectedOnLoad(const Expectation& expectation, const chemistry::Catalogue& catalogue, const Reading& reading);

/// What a step of the load from nothing to `amps` shows: the liquid, the contacts and both electrodes
/// together, ΔV/ΔI. Its range follows that of the short circuit, to which it is inverse.
[[nodiscard]] std::optional<Expected> expectedInternalOhm(const Expectation& expectation, double amps);

} // namespace anodex::record
