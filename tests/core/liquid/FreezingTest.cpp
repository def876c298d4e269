#include "core/liquid/Freezing.h"
#include "core/base/Constants.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "formats/CellFile.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::test {
namespace {

double freezingCelsius(const char* substance, double molality) {
    liquid::Mixture mixture;
    mixture.solventKg = 1.0;
    mixture.temperatureKelvin = base::kZeroCelsius;
    mixture.portions = {{chemistry::findSubstance(catalogue(), substance)->substance, molality}};
    return liquid::freezingKelvin(liquid::solveSolution(catalogue(), mixture).solventActivity) -
           base::kZeroCelsius;
}

/// Within a tenth: CRC Handbook, freezing points of salt of 10 and 20 percent, potassium chloride of 9, acid of 20.
TEST(Freezing, FollowsTables) {
    EXPECT_NEAR(freezingCelsius("NaCl", 1.901), -6.56, 0.66);
    EXPECT_NEAR(freezingCelsius("NaCl", 4.278), -16.46, 1.65);
    EXPECT_NEAR(freezingCelsius("KCl", 1.342), -4.3, 0.3);
    EXPECT_NEAR(freezingCelsius("H2SO4", 2.549), -14.2, 1.0);
    EXPECT_DOUBLE_EQ(liquid::freezingKelvin(1.0), base::kZeroCelsius);
    EXPECT_DOUBLE_EQ(liquid::freezingKelvin(1e-6), 200.0);
}

TEST(Freezing, OfTheLiquidRefusesTheTemperature) {
    using namespace json;
    const auto resolvedAt = [](double molPerLitre, double celsius) {
        Json cell =
            cellWith(electrodeJson("zinc", 10), electrodeJson("copper", 10), water({{"NaCl", molPerLitre}}));
        cell["format"] = "anodex-cell/1";
        cell["temperature_C"] = celsius;
        return design::resolve(catalogue(), *formats::readCellFile(cell.dump()));
    };
    EXPECT_TRUE(resolvedAt(3.4, -10.0).has_value());
    const auto frozen = resolvedAt(0.86, -10.0);
    ASSERT_FALSE(frozen.has_value());
    EXPECT_EQ(frozen.error().code, design::DesignError::Code::Frozen);
    EXPECT_EQ(frozen.error().field, "temperature_C");
    EXPECT_NEAR(frozen.error().most - base::kZeroCelsius, -3.0, 0.3);
}

} // namespace
} // namespace anodex::test
