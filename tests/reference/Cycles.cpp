#include "tests/reference/Cycles.h"

#include "core/base/Constants.h"
#include "tests/reference/Solve.h"
#include "tests/support/Samples.h"

#include <Eigen/Dense>
#include <algorithm>

namespace anodex::test {
namespace {

using chemistry::Species;
using chemistry::SpeciesIndex;

bool startsWith(const std::vector<std::string>& sources, std::string_view words) {
    return std::any_of(sources.begin(), sources.end(),
                       [&](const std::string& source) { return source.starts_with(words); });
}

bool isDerived(const Species& species) {
    return startsWith(species.sources, "derived");
}

/// A potential that gave a species its energy, or was taken from a formation constant.
bool isDerived(const chemistry::Reaction& reaction) {
    return startsWith(reaction.sources, "derived") ||
           std::any_of(reaction.terms.begin(), reaction.terms.end(), [](const chemistry::SpeciesTerm& term) {
               return startsWith(catalogue().species[term.species].sources,
                                 "derived from the standard potential");
           });
}

} // namespace

Cycles thermodynamicCycles() {
    const chemistry::Catalogue& data = catalogue();
    Cycles cycles;
    std::vector<std::vector<double>> equations;
    for (const chemistry::Reaction& reaction : data.reactions) {
        std::vector<double> equation(data.species.size(), 0.0);
        for (const chemistry::SpeciesTerm& term : reaction.terms) {
            equation[term.species] += term.count;
        }
        equations.push_back(equation);
        cycles.relations.push_back({reaction.equation,
                                    1000.0 * (reaction.standardVolts.value - gibbsVolts(reaction)), true,
                                    isDerived(reaction), reaction.knownConflict});
    }
    for (SpeciesIndex s = 0; s < data.species.size(); ++s) {
        const Species& species = data.species[s];
        if (!species.formation) {
            continue;
        }
        std::vector<double> equation(data.species.size(), 0.0);
        equation[s] = 1.0;
        double joules = species.gibbsJoulesPerMole.value();
        for (const chemistry::SpeciesTerm& term : species.formation->terms) {
            equation[term.species] -= term.count;
            joules -= term.count * data.species[term.species].gibbsJoulesPerMole.value();
        }
        equations.push_back(equation);
        const double stored =
            -species.formation->log10K * base::kLn10 * base::kGasConstant * base::kStandardTemperature;
        cycles.relations.push_back(
            {species.name, 1000.0 * (stored - joules) / base::kFaraday, false, isDerived(species), ""});
    }
    Eigen::MatrixXd matrix(static_cast<Eigen::Index>(equations.size()),
                           static_cast<Eigen::Index>(data.species.size()));
    for (std::size_t i = 0; i < equations.size(); ++i) {
        for (std::size_t j = 0; j < equations[i].size(); ++j) {
            matrix(static_cast<Eigen::Index>(i), static_cast<Eigen::Index>(j)) = equations[i][j];
        }
    }
    cycles.independentCycles =
        static_cast<int>(equations.size()) - static_cast<int>(matrix.colPivHouseholderQr().rank());
    return cycles;
}

} // namespace anodex::test
