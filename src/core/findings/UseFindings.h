// src/core/findings/UseFindings.h - what to know about how a cell is used: charged, closed, in a room, in a
// string, near a flame.
#pragma once
#include "core/charge/Charge.h"
#include "core/findings/Finding.h"

namespace anodex::findings {

/// V of open circuit below which the specimens decide which side is plus (common practice, no source).
inline constexpr double kRestAlikeVolts = 0.03;

[[nodiscard]] constexpr FindingPart partOf(design::Side side) {
    return side == design::Side::Negative ? FindingPart::Negative : FindingPart::Positive;
}

/// The same material in the same liquid with the same air.
[[nodiscard]] bool isSameOnBothSides(const design::Cell& cell);

/// `charging` is present when the design says that it is to be charged.
[[nodiscard]] std::vector<Finding> useFindings(const chemistry::Catalogue& catalogue,
                                               const design::Cell& cell, const cell::Evaluation& evaluation,
                                               const std::optional<charge::Charging>& charging);

/// Said after all that concerns the cell itself.
[[nodiscard]] std::vector<Finding> foodFindings(const chemistry::Catalogue& catalogue,
                                                const design::Cell& cell);

} // namespace anodex::findings
