// src/formats/run/RunColumns.h - what the columns of a run look like: names, units in them, how their cells
// read.
#pragma once
#include "formats/run/RunTable.h"
#include "quantity/Units.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::formats {

struct RunColumn {
    std::string name;
    std::vector<quantity::UnitReading>
        units; ///< That the cells or the name state; several when a spelling has several readings.
    // Shares of the sampled cells, 0 to 1, that read so.
    double numbers = 0.0; ///< In either decimal style.
    double stamps = 0.0;
    double dates = 0.0;
    double clocks = 0.0;
    std::size_t pointOnly = 0; ///< Cells that are a number with a decimal point only.
    std::size_t commaOnly = 0;
    std::size_t eitherWay = 0; ///< "1,234"

    /// How well the name fits a role: 2 for a word of it, 1 for its unit only, less for "limit" or "supply".
    double time = 0.0;
    double voltage = 0.0;
    double current = 0.0;

    /// The one stated unit of this dimension.
    [[nodiscard]] std::optional<quantity::UnitReading> stated(quantity::Dimension dimension) const;
};

[[nodiscard]] std::vector<RunColumn> columnsOf(const RunTable& table);

/// The sampled numbers of a column; what cannot be read is left out.
[[nodiscard]] std::vector<double> numbersIn(const RunTable& table, std::size_t column, bool decimalComma);

} // namespace anodex::formats
