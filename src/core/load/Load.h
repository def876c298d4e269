// src/core/load/Load.h - a load as a builder says it: ohms, a current, a power, a device, or a share of the short
// circuit.
//
// Law        I = V/R; I; P/V; a device's own line. A power draws the more the lower the voltage: near a short circuit
//            it has a second answer, which no cell comes to from rest.
// Units      ohm, A, W; a share without a unit, 0 to 1.
#pragma once
#include "core/load/Device.h"

namespace anodex::load {

struct Load {
    enum class Kind { Share, Resistor, Current, Power, Device };
    Kind kind = Kind::Share;
    double value = 0.0; ///< Of a device nothing.
    Device device;      ///< Where it is one.
};

/// At a voltage above 0; of a share nothing.
[[nodiscard]] double ampsAt(const Load& load, double volts);

} // namespace anodex::load
