// tests/reference/Solve.h - liquids of the reference tables, by molality or by mass percent.
#pragma once
#include "core/liquid/Solution.h"
#include "tests/reference/Rows.h"

namespace anodex::test {

[[nodiscard]] liquid::Solution molalSolution(const Molal& molal, double celsius = 25.0);
/// One substance at a percentage by mass of the finished liquid.
[[nodiscard]] liquid::Solution percentSolution(const std::string& name, double percent,
                                               double celsius = 20.0);
/// One substance at mol/L.
[[nodiscard]] liquid::Solution molarSolution(const std::string& name, double molPerLitre,
                                             double celsius = 25.0);
[[nodiscard]] liquid::Solution readySolution(const std::string& name, double celsius);
/// Throws when this strength stands in the catalogue's own table and so would check nothing.
void requireHeldOut(const base::Table& table, double percent, const std::string& name);
[[nodiscard]] const chemistry::Substance& substanceOf(const std::string& name);
[[nodiscard]] double meanCoefficient(const liquid::Solution& solution, const std::string& name);

/// Standard potential of a reaction from its species' energies of formation.
[[nodiscard]] double gibbsVolts(const chemistry::Reaction& reaction);

} // namespace anodex::test
