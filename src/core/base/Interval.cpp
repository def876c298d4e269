#include "core/base/Interval.h"

#include <algorithm>

namespace anodex::base {

Interval centralSpan(std::vector<double> values, double nominal) {
    std::sort(values.begin(), values.end());
    const auto at = [&](double share) {
        const double position = share * static_cast<double>(values.size() - 1);
        const auto index = static_cast<std::size_t>(position);
        const std::size_t next = std::min(index + 1, values.size() - 1);
        return values[index] + (position - static_cast<double>(index)) * (values[next] - values[index]);
    };
    return {std::min(at(0.05), nominal), std::max(at(0.95), nominal)};
}

} // namespace anodex::base
