// tests/reference/Rows.h - published values beside what the model says, as one list that is tested and
// printed.
//
// A row names its source. A value that entered the catalogue or a fit says so and does not count. A row that
// misses its target is marked as a miss with the reason; it then has to miss, so that the list stays true.
#pragma once
#include <string>
#include <vector>

namespace anodex::test {

enum class Margin {
    Relative, ///< |computed / published - 1|
    Absolute  ///< |computed - published|
};

struct Row {
    std::string group;
    std::string what;
    std::string source;
    double published = 0.0;
    double computed = 0.0;
    Margin margin = Margin::Relative;
    double target = 0.0;
    std::string whyMissed; ///< Empty unless the row is known to miss.
    bool entered = false;  ///< It gave the catalogue its value: shown, but not counted.

    [[nodiscard]] double deviation() const;
    [[nodiscard]] bool meets() const;
};

/// Portions by name and amount per kg of water.
using Molal = std::vector<std::pair<std::string, double>>;

[[nodiscard]] std::vector<Row> activityRows();
[[nodiscard]] std::vector<Row> densityRows();
[[nodiscard]] std::vector<Row> conductivityRows();
[[nodiscard]] std::vector<Row> acidityRows();
[[nodiscard]] std::vector<Row> solubilityRows();
[[nodiscard]] std::vector<Row> potentialRows();
[[nodiscard]] std::vector<Row> galvanicRows();
[[nodiscard]] std::vector<Row> corrosionRows();
[[nodiscard]] std::vector<Row> faradayRows();
[[nodiscard]] std::vector<Row> membraneRows();
[[nodiscard]] std::vector<Row> chargeRows();
[[nodiscard]] std::vector<Row> alkaliRows();

/// All of them, in that order.
[[nodiscard]] std::vector<Row> publishedRows();

} // namespace anodex::test
