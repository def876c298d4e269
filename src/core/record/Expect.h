// src/core/record/Expect.h - what the model says today, as the value a build keeps for good.
#pragma once
#include "core/cell/Doubt.h"
#include "core/record/Record.h"
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

/// What a step of the load from nothing to `amps` shows: the liquid, the contacts and both electrodes
/// together, ΔV/ΔI. Its range follows that of the short circuit, to which it is inverse.
[[nodiscard]] std::optional<Expected> expectedInternalOhm(const Expectation& expectation, double amps);

} // namespace anodex::record
