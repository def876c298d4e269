// src/formats/run/RunGuess.h - every aspect of how a table may be read, weighed by evidence.
//
// Evidence   what the header states, how the cells read, whether time rises, what a cell can give (a volt or
//            so; with a design at hand its own figures), and that a load switched on lowers the voltage.
// Odds       a choice is taken when it is 99 to 1 or better and does not contradict what the header states.
#pragma once
#include "formats/run/RunColumns.h"

namespace anodex::formats {

struct RunGuess {
    CsvMapping mapping;
    std::vector<CsvAspect> aspects;
};

[[nodiscard]] tl::expected<RunGuess, CsvError> guessRun(const RunTable& table, const CsvSettings& settings);

} // namespace anodex::formats
