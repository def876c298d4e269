// src/core/run/CurrentSign.h - which way a current flows, seen by what the voltage does.
//
// Law        a source's voltage falls when more current is drawn from it and rises when current is put in, since
//            its resistance is positive: at a step of the load ΔV and ΔI have opposite signs if I is drawn.
// Units      V and A.
#pragma once
#include <optional>
#include <span>

namespace anodex::run {

/// Of all that the voltage moved at steps of the current, the share that moved the same way, 0 to 1: near 0 the
/// current is one drawn, near 1 one put in. Nothing when no step is larger than a fifth of the largest current or
/// the voltage moves by less than 0.1 mV at all of them.
[[nodiscard]] std::optional<double> shareMovingTogether(std::span<const double> volts,
                                                        std::span<const double> amps);

} // namespace anodex::run
