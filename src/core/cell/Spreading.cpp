#include "core/cell/Spreading.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::cell {
namespace {

/// Cross-section the current can spread to. Most of a vessel's liquid lies beside or behind the electrodes,
/// where little current goes: only a large bath counts (common practice, no source).
double bathArea(const design::Cell& cell, const state::Contents& contents, design::Side side) {
    constexpr double kShareCrossed = 0.03; // common practice, no source
    const auto& solution = contents.solution(side);
    return solution.mixture.isUnbounded ? std::numeric_limits<double>::infinity()
                                        : kShareCrossed * solution.volumeM3 / cell.gapMetres;
}

} // namespace

double shareOfGap(const state::Contents& contents, design::Side side) {
    constexpr double kHalf = 0.5; // by definition
    return contents.layers ? contents.layers->shareOfGap(side) : kHalf;
}

HalfPath halfPath(const design::Cell& cell, const state::Contents& contents, design::Side side,
                  double freeMetres) {
    const double own = shareOfGap(contents, side) * freeMetres;
    const double plane = own / design::currentArea(cell);
    const double area = cell.electrode(side).areaM2;
    const double bath = bathArea(cell, contents, side);
    if (!(bath > area)) {
        return {plane, false};
    }
    const double radius = std::sqrt(area / M_PI);
    const double spread = std::pow(1.0 - std::sqrt(area / bath), 1.5) / (4.0 * radius) + own / bath;
    return spread < plane ? HalfPath{spread, true} : HalfPath{plane, false};
}

} // namespace anodex::cell
