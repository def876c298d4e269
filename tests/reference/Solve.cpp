#include "tests/reference/Solve.h"
#include "core/liquid/SolveSolution.h"

#include "core/base/Constants.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Liquid.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <stdexcept>

namespace anodex::test {
namespace {

std::size_t substanceNamed(const std::string& name) {
    const auto found = chemistry::findSubstance(catalogue(), name);
    if (!found) {
        throw std::invalid_argument("no substance " + name);
    }
    return found->substance;
}

liquid::Solution fromDesign(const design::LiquidDesign& design, double celsius) {
    auto liquid = design::resolveLiquid(catalogue(), design, celsius + base::kZeroCelsius, "liquid");
    if (!liquid) {
        throw std::invalid_argument(liquid.error().field);
    }
    liquid->mixture.oxygenPressureBar = 0.0;
    return liquid::solveSolution(catalogue(), liquid->mixture);
}

} // namespace

liquid::Solution molalSolution(const Molal& molal, double celsius) {
    liquid::Mixture mixture;
    mixture.solventKg = 1.0;
    mixture.temperatureKelvin = celsius + base::kZeroCelsius;
    mixture.oxygenPressureBar = 0.0;
    for (const auto& [name, molality] : molal) {
        mixture.portions.push_back({substanceNamed(name), molality});
    }
    return liquid::solveSolution(catalogue(), mixture);
}

liquid::Solution percentSolution(const std::string& name, double percent, double celsius) {
    design::LiquidDesign design;
    design.basis = design::LiquidBasis::SolventMass;
    design.basisValue = 0.1;
    design.solutes.push_back({name, {design::AmountUnit::MassFraction, 0.01 * percent}});
    return fromDesign(design, celsius);
}

liquid::Solution molarSolution(const std::string& name, double molPerLitre, double celsius) {
    design::LiquidDesign design;
    design.basis = design::LiquidBasis::FinishedVolume;
    design.basisValue = 1e-3;
    design.solutes.push_back({name, {design::AmountUnit::MolPerM3, 1000.0 * molPerLitre}});
    return fromDesign(design, celsius);
}

liquid::Solution readySolution(const std::string& name, double celsius) {
    design::LiquidDesign design;
    design.ready = name;
    design.basis = design::LiquidBasis::FinishedVolume;
    design.basisValue = 1e-3;
    return fromDesign(design, celsius);
}

const chemistry::Substance& substanceOf(const std::string& name) {
    return catalogue().substances[substanceNamed(name)];
}

void requireHeldOut(const base::Table& table, double percent, const std::string& name) {
    for (const base::TablePoint& point : table) {
        if (std::abs(100.0 * point.x - percent) < 1e-6) {
            throw std::logic_error(name + ": this strength stands in the catalogue");
        }
    }
}

double meanCoefficient(const liquid::Solution& solution, const std::string& name) {
    return liquid::meanActivityCoefficient(catalogue(), solution, substanceNamed(name)).value_or(0.0);
}

} // namespace anodex::test
