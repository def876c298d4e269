// src/formats/run/RunTable.h - the columns of a run's text: where they begin, what they are called, a sample
// of rows.
#pragma once
#include "formats/run/RunReading.h"
#include <string>
#include <string_view>
#include <vector>

namespace anodex::formats {

struct RunTable {
    char delimiter = ',';
    std::size_t headerLines = 0;
    std::vector<std::string> names; ///< With the unit from a row of units, where there is one: "Voltage [V]".
    std::vector<std::vector<std::string>> rows; ///< A sample: the first, the last and evenly between.
    std::string header;                         ///< The line of names, empty when there is none.

    [[nodiscard]] std::size_t columns() const { return names.size(); }
};

/// Nothing when no delimiter makes two columns of values.
[[nodiscard]] std::optional<RunTable> tableOf(std::string_view text);

} // namespace anodex::formats
