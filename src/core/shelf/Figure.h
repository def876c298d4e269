// src/core/shelf/Figure.h - the one number a cell is ranked by.
#pragma once
#include "core/cell/Evaluation.h"
#include <optional>

namespace anodex::shelf {

/// SteadyPower is best power with settled layers, without what porous carbon had stored.
enum class RankBy { Voltage, Power, SteadyPower, Life, Cost, Safety };

/// V, W, s, price per J, or points against it; what each means stands in Screening.h.
[[nodiscard]] double figureOf(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                              const cell::Evaluation& evaluation, RankBy by,
                              const std::optional<double>& price);

} // namespace anodex::shelf
