#include "core/base/Interpolation.h"

#include <algorithm>

namespace anodex::base {

double interpolated(const Table& table, double x) {
    if (table.empty()) {
        return 0.0;
    }
    if (x <= table.front().x) {
        return table.front().y;
    }
    if (x >= table.back().x) {
        return table.back().y;
    }
    const auto above = std::upper_bound(
        table.begin(), table.end(), x, [](double value, const TablePoint& point) { return value < point.x; });
    const TablePoint& high = *above;
    const TablePoint& low = *(above - 1);
    return low.y + (high.y - low.y) * (x - low.x) / (high.x - low.x);
}

} // namespace anodex::base
