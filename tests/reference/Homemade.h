// tests/reference/Homemade.h - cells as builders make them, and what their meters show.
//
// tests/data/cells/homemade holds one file a cell and readings.json. A cell to whose reading a catalogue
// value was fitted says so and is counted apart.
#pragma once
#include "core/cell/Doubt.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::test {

struct HomemadeCell {
    std::string file;
    std::string name;
    std::string family;
    std::string kind;
    std::string source;
    std::string fitted; ///< The catalogue value that was fitted to it, or empty.
    std::string missed; ///< Why it misses its target; empty when it meets it.
    double readingVolts = 0.0;
    std::optional<base::Interval> readingAmps; ///< What meters show, from build to build.
    std::string ampsSource;
    std::string ampsMissed; ///< Why it misses its factor; empty when it meets it.
    std::string limitedBy;
    double computedVolts = 0.0;
    double computedAmps = 0.0;
    base::Interval range;

    [[nodiscard]] double targetVolts() const; ///< By kind.
    [[nodiscard]] double targetFactor() const;
    [[nodiscard]] double middleAmps() const; ///< Geometric mean of the reading; the factor counts from it.
    [[nodiscard]] bool meetsVolts() const;
    [[nodiscard]] bool meetsAmps() const;
    /// Catalogue values alone meet both targets.
    [[nodiscard]] bool meetsBoth() const;
    [[nodiscard]] bool inRange() const;
};

[[nodiscard]] const std::vector<HomemadeCell>& homemadeCells();

} // namespace anodex::test
