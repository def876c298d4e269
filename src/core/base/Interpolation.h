// src/core/base/Interpolation.h - straight lines between the points of a published table.
#pragma once
#include <vector>

namespace anodex::base {

struct TablePoint {
    double x = 0.0;
    double y = 0.0;
    bool operator==(const TablePoint&) const = default;
};
/// Points by rising x. Outside the table the end values hold: a table is not continued beyond its source.
using Table = std::vector<TablePoint>;

[[nodiscard]] double interpolated(const Table& table, double x);

} // namespace anodex::base
