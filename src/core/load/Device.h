// src/core/load/Device.h - what a builder hangs on a cell to see it work: the current it takes at a voltage.
//
// Law        straight lines between points of its data sheet or of a bench supply; nothing below the first of them,
//            and the last line goes on beyond the last. A polarised device blocks the other way round; the rest take
//            as much.
// Units      V, A.
#pragma once
#include "core/base/Interpolation.h"

#include <string>
#include <vector>

namespace anodex::load {

struct Device {
    std::string id;
    std::vector<std::string> names; ///< The one that is shown, then others; without "a" and "the".
    base::Table amps;               ///< By rising voltage, from where it takes hardly anything; none falls.
    bool blocksReversed = false;
    std::vector<std::string> mayBe; ///< Ids of those that go by its name; then it has no current of its own.
    std::vector<std::string> sources;

    [[nodiscard]] bool isKnown() const { return !amps.empty(); }
};

/// 0 for one that is not known. May be negative where the voltage is.
[[nodiscard]] double ampsAt(const Device& device, double volts);

} // namespace anodex::load
