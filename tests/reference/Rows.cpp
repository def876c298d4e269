#include "tests/reference/Rows.h"

#include <cmath>

namespace anodex::test {

double Row::deviation() const {
    return margin == Margin::Relative ? computed / published - 1.0 : computed - published;
}

bool Row::meets() const {
    return std::abs(deviation()) <= target;
}

std::vector<Row> publishedRows() {
    std::vector<Row> rows;
    for (const auto& part :
         {activityRows(), densityRows(), conductivityRows(), acidityRows(), solubilityRows(), potentialRows(),
          galvanicRows(), corrosionRows(), membraneRows(), faradayRows(), chargeRows(), alkaliRows()}) {
        rows.insert(rows.end(), part.begin(), part.end());
    }
    return rows;
}

} // namespace anodex::test
