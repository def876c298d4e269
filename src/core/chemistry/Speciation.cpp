#include "core/chemistry/Speciation.h"

#include "core/base/Constants.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>

namespace anodex::chemistry {
namespace {

/// One dissolved species as the solver sees it: ln m = offset + sum over columns of count * unknown.
struct Row {
    SpeciesIndex species = 0;
    double offset = 0.0;
    std::vector<double> counts; // one per unknown
    double lnGamma = 0.0;
};

double lnFormationConstant(const Formation& formation, double temperatureKelvin) {
    return base::kLn10 * formation.log10K - formation.enthalpyJoulesPerMole / base::kGasConstant *
                                                (1.0 / temperatureKelvin - 1.0 / base::kStandardTemperature);
}

class Solver {
public:
    Solver(const Catalogue& catalogue, const SpeciationInput& input)
        : m_catalogue(catalogue), m_input(input) {
        for (const SpeciesTerm& total : input.totals.masters) {
            m_target.push_back(total.count);
        }
        m_chargeFree = !input.fixedLnHydrogenActivity.has_value();
        if (m_chargeFree) {
            m_target.push_back(0.0);
        }
        collectRows();
    }

    SpeciationResult run(const SpeciationResult* start) {
        Eigen::VectorXd unknown = initialGuess(start);
        bool converged = false;
        for (int iteration = 0; iteration < 200 && !converged; ++iteration) {
            converged = step(unknown);
        }
        return unpack(unknown, converged);
    }

private:
    void collectRows() {
        for (SpeciesIndex s = 0; s < m_catalogue.species.size(); ++s) {
            const Species& species = m_catalogue.species[s];
            if (!species.isDissolved() || s == m_catalogue.key.solvent ||
                s == m_catalogue.key.dissolvedOxygen) {
                continue;
            }
            Row row;
            if (fillRow(s, row)) {
                m_rows.push_back(std::move(row));
            }
        }
    }

    bool fillRow(SpeciesIndex s, Row& row) const {
        const Species& species = m_catalogue.species[s];
        row.species = s;
        row.lnGamma = m_input.lnGamma[s];
        row.counts.assign(m_target.size(), 0.0);
        for (const SpeciesTerm& part : moietiesOf(m_catalogue, s)) {
            const auto& masters = m_input.totals.masters;
            const auto found = std::find_if(masters.begin(), masters.end(), [&](const SpeciesTerm& total) {
                return total.species == part.species;
            });
            if (found == masters.end()) {
                return false;
            }
            row.counts[static_cast<std::size_t>(found - masters.begin())] = part.count;
        }
        row.offset = -row.lnGamma;
        if (species.formation) {
            row.offset += lnFormationConstant(*species.formation, m_input.temperatureKelvin);
            for (const SpeciesTerm& term : species.formation->terms) {
                if (term.species == m_catalogue.key.solvent) {
                    row.offset += term.count * m_input.lnSolventActivity;
                }
            }
        }
        if (m_chargeFree) {
            row.counts.back() = species.formula.charge;
        } else {
            row.offset += species.formula.charge * *m_input.fixedLnHydrogenActivity;
        }
        return true;
    }

    [[nodiscard]] Eigen::VectorXd initialGuess(const SpeciationResult* start) const {
        const auto size = static_cast<Eigen::Index>(m_target.size());
        Eigen::VectorXd unknown = Eigen::VectorXd::Zero(size);
        const double lnHydrogen = m_input.fixedLnHydrogenActivity
                                      ? *m_input.fixedLnHydrogenActivity
                                      : (start != nullptr ? start->lnHydrogenActivity : -16.0);
        if (m_chargeFree) {
            unknown[size - 1] = lnHydrogen;
        }
        for (std::size_t j = 0; j < m_input.totals.masters.size(); ++j) {
            const SpeciesTerm& total = m_input.totals.masters[j];
            const double lnActivity =
                start != nullptr ? start->lnActivity[total.species] : std::log(total.count);
            unknown[static_cast<Eigen::Index>(j)] =
                lnActivity - m_catalogue.species[total.species].formula.charge * lnHydrogen;
        }
        return unknown;
    }

    [[nodiscard]] static double lnMolality(const Row& row, const Eigen::VectorXd& unknown) {
        double value = row.offset;
        for (std::size_t j = 0; j < row.counts.size(); ++j) {
            value += row.counts[j] * unknown[static_cast<Eigen::Index>(j)];
        }
        return value;
    }

    [[nodiscard]] double dual(const Eigen::VectorXd& unknown) const {
        double value = 0.0;
        for (const Row& row : m_rows) {
            value += std::exp(std::min(lnMolality(row, unknown), 600.0));
        }
        for (std::size_t j = 0; j < m_target.size(); ++j) {
            value -= m_target[j] * unknown[static_cast<Eigen::Index>(j)];
        }
        return value;
    }

    bool step(Eigen::VectorXd& unknown) const {
        const auto size = unknown.size();
        Eigen::VectorXd gradient(size);
        Eigen::VectorXd magnitude = Eigen::VectorXd::Zero(size);
        Eigen::MatrixXd hessian = Eigen::MatrixXd::Zero(size, size);
        for (Eigen::Index j = 0; j < size; ++j) {
            gradient[j] = -m_target[static_cast<std::size_t>(j)];
            magnitude[j] = std::abs(gradient[j]);
        }
        for (const Row& row : m_rows) {
            const double molality = std::exp(std::min(lnMolality(row, unknown), 300.0));
            for (Eigen::Index j = 0; j < size; ++j) {
                const double a = row.counts[static_cast<std::size_t>(j)];
                if (a == 0.0) {
                    continue;
                }
                gradient[j] += a * molality;
                magnitude[j] += std::abs(a) * molality;
                for (Eigen::Index k = 0; k < size; ++k) {
                    hessian(j, k) += a * row.counts[static_cast<std::size_t>(k)] * molality;
                }
            }
        }
        // Scaling by the diagonal keeps the factorisation sound over thirty decades of concentration.
        const Eigen::VectorXd scale = hessian.diagonal().cwiseMax(1e-300).cwiseSqrt().cwiseInverse();
        const Eigen::MatrixXd scaled =
            scale.asDiagonal() * hessian * scale.asDiagonal() + 1e-13 * Eigen::MatrixXd::Identity(size, size);
        Eigen::VectorXd direction =
            -(scale.asDiagonal() * scaled.ldlt().solve(scale.asDiagonal() * gradient)).eval();
        const double longest = direction.cwiseAbs().maxCoeff();
        if (longest > 6.0) {
            direction *= 6.0 / longest;
        }
        const double before = dual(unknown);
        const double slope = gradient.dot(direction);
        double length = 1.0;
        while (length > 1e-6 && dual(unknown + length * direction) > before + 1e-4 * length * slope + 1e-14) {
            length *= 0.5;
        }
        unknown += length * direction;
        const double worst = (gradient.cwiseAbs().array() / magnitude.array().max(1e-300)).maxCoeff();
        return worst < 1e-12 || (longest < 1e-12);
    }

    [[nodiscard]] SpeciationResult unpack(const Eigen::VectorXd& unknown, bool converged) const {
        SpeciationResult result;
        result.converged = converged;
        result.molality.assign(m_catalogue.species.size(), 0.0);
        result.lnActivity.assign(m_catalogue.species.size(), -700.0);
        result.lnHydrogenActivity =
            m_chargeFree ? unknown[unknown.size() - 1] : *m_input.fixedLnHydrogenActivity;
        for (const Row& row : m_rows) {
            const double value = lnMolality(row, unknown);
            result.molality[row.species] = std::exp(value);
            result.lnActivity[row.species] = value + row.lnGamma;
        }
        return result;
    }

    const Catalogue& m_catalogue;
    const SpeciationInput& m_input;
    std::vector<double> m_target;
    bool m_chargeFree = true;
    std::vector<Row> m_rows;
};

} // namespace

std::vector<SpeciesTerm> moietiesOf(const Catalogue& catalogue, SpeciesIndex species) {
    const KeySpecies& key = catalogue.key;
    if (species == key.hydrogenIon || species == key.solvent) {
        return {};
    }
    const auto& formation = catalogue.species[species].formation;
    if (!formation) {
        return {{species, 1.0}};
    }
    std::vector<SpeciesTerm> parts;
    for (const SpeciesTerm& term : formation->terms) {
        if (term.species != key.hydrogenIon && term.species != key.solvent) {
            parts.push_back(term);
        }
    }
    return parts;
}

SpeciationResult speciate(const Catalogue& catalogue, const SpeciationInput& input,
                          const SpeciationResult* start) {
    return Solver(catalogue, input).run(start);
}

} // namespace anodex::chemistry
