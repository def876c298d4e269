#include "core/liquid/Speciation.h"

#include "core/base/Constants.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <iterator>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::Formation;
using chemistry::KeySpecies;
using chemistry::lnFormationConstant;
using chemistry::moietiesOf;
using chemistry::Species;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

using Eigen::Index;
using Eigen::MatrixXd;
using Eigen::VectorXd;

constexpr double kLongestStep = 6.0;          // in ln activity
constexpr double kSaturationTolerance = 1e-9; // in ln of the saturation ratio

/// One species as the solver sees it: ln m (dissolved) or ln of the saturation ratio (solid) is
/// offset + counts · unknown.
struct Row {
    SpeciesIndex species = 0;
    VectorXd counts;
    double fixedOffset = 0.0;
    double solventCount = 0.0;
    double offset = 0.0; // of this round, with coefficients and the solvent's activity
};

} // namespace

class Speciation::Solver {
public:
    Solver(const Catalogue& catalogue, SpeciationSetting setting)
        : m_catalogue(catalogue), m_setting(std::move(setting)),
          m_chargeFree(!m_setting.fixedLnHydrogenActivity.has_value()) {
        const auto& masters = m_setting.totals.masters;
        m_size = static_cast<Index>(masters.size()) + (m_chargeFree ? 1 : 0);
        m_target = VectorXd::Zero(m_size);
        for (std::size_t j = 0; j < masters.size(); ++j) {
            m_target[static_cast<Index>(j)] = masters[j].count;
        }
        if (m_chargeFree) {
            m_target[m_size - 1] = m_setting.charge;
        }
        collectRows();
        m_unknown = initialGuess();
    }

    SpeciationResult solve(const std::vector<double>& lnGamma, double lnSolventActivity) {
        for (Row& row : m_rows) {
            row.offset = row.fixedOffset + row.solventCount * lnSolventActivity - lnGamma[row.species];
        }
        for (Row& solid : m_solids) {
            solid.offset = solid.fixedOffset + solid.solventCount * lnSolventActivity;
        }
        const bool converged = settleSolids();
        return unpack(lnGamma, converged);
    }

private:
    void collectRows() {
        for (SpeciesIndex s = 0; s < m_catalogue.species.size(); ++s) {
            const Species& species = m_catalogue.species[s];
            if (s == m_catalogue.key.solvent || s == m_catalogue.key.dissolvedOxygen) {
                continue;
            }
            const bool dissolved = species.isDissolved();
            if (!dissolved && !(species.precipitates && species.formation)) {
                continue;
            }
            Row row;
            if (fillRow(s, row)) {
                (dissolved ? m_rows : m_solids).push_back(std::move(row));
            }
        }
    }

    bool fillRow(SpeciesIndex s, Row& row) const {
        const Species& species = m_catalogue.species[s];
        row.species = s;
        row.counts = VectorXd::Zero(m_size);
        const auto& masters = m_setting.totals.masters;
        for (const SpeciesTerm& part : moietiesOf(m_catalogue, s)) {
            const auto found = std::find_if(masters.begin(), masters.end(), [&](const SpeciesTerm& total) {
                return total.species == part.species;
            });
            if (found == masters.end()) {
                return false;
            }
            row.counts[found - masters.begin()] = part.count;
        }
        double protons = s == m_catalogue.key.hydrogenIon ? 1.0 : 0.0;
        if (species.formation) {
            row.fixedOffset = lnFormationConstant(*species.formation, m_setting.temperatureKelvin);
            for (const SpeciesTerm& term : species.formation->terms) {
                if (term.species == m_catalogue.key.solvent) {
                    row.solventCount += term.count;
                }
                protons += term.species == m_catalogue.key.hydrogenIon ? term.count : 0.0;
            }
        }
        // The unknown of a master is ln a + z ln(1/a_H), so that charge is the hydrogen ion's own total.
        double charge = protons;
        for (std::size_t j = 0; j < masters.size(); ++j) {
            charge +=
                row.counts[static_cast<Index>(j)] * m_catalogue.species[masters[j].species].formula.charge;
        }
        if (m_chargeFree) {
            row.counts[m_size - 1] = charge;
        } else {
            row.fixedOffset += charge * *m_setting.fixedLnHydrogenActivity;
        }
        return true;
    }

    [[nodiscard]] VectorXd initialGuess() const {
        VectorXd unknown = VectorXd::Zero(m_size);
        const double lnHydrogen = m_setting.fixedLnHydrogenActivity.value_or(-16.0);
        if (m_chargeFree) {
            unknown[m_size - 1] = lnHydrogen;
        }
        const auto& masters = m_setting.totals.masters;
        for (std::size_t j = 0; j < masters.size(); ++j) {
            unknown[static_cast<Index>(j)] =
                std::log(masters[j].count) -
                m_catalogue.species[masters[j].species].formula.charge * lnHydrogen;
        }
        return unknown;
    }

    [[nodiscard]] static double lnValue(const Row& row, const VectorXd& unknown) {
        return row.offset + row.counts.dot(unknown);
    }

    /// Adds and drops solids until none is supersaturated and none is used up.
    bool settleSolids() {
        std::vector<std::size_t> barred;
        bool converged = false;
        for (int change = 0; change < 40; ++change) {
            converged = minimise();
            const auto used = std::min_element(m_amounts.begin(), m_amounts.end());
            if (used != m_amounts.end() && *used < 0.0) {
                const auto position = used - m_amounts.begin();
                // One that has left does not come back in this round: two solids cannot take turns for ever.
                barred.push_back(m_active[static_cast<std::size_t>(position)]);
                m_active.erase(m_active.begin() + position);
                m_amounts.erase(used);
                continue;
            }
            const auto next = mostSupersaturated(barred);
            if (!next) {
                return converged;
            }
            m_active.push_back(*next);
            if (!independent()) {
                m_active.pop_back();
                barred.push_back(*next);
            }
        }
        return false;
    }

    [[nodiscard]] std::optional<std::size_t>
    mostSupersaturated(const std::vector<std::size_t>& barred) const {
        std::optional<std::size_t> most;
        double ratio = kSaturationTolerance;
        for (std::size_t k = 0; k < m_solids.size(); ++k) {
            const bool known = std::find(m_active.begin(), m_active.end(), k) != m_active.end() ||
                               std::find(barred.begin(), barred.end(), k) != barred.end();
            const double here = lnValue(m_solids[k], m_unknown);
            if (!known && here > ratio) {
                ratio = here;
                most = k;
            }
        }
        return most;
    }

    [[nodiscard]] MatrixXd activeCounts() const {
        MatrixXd counts(m_size, static_cast<Index>(m_active.size()));
        for (std::size_t k = 0; k < m_active.size(); ++k) {
            counts.col(static_cast<Index>(k)) = m_solids[m_active[k]].counts;
        }
        return counts;
    }

    [[nodiscard]] bool independent() const {
        const auto size = static_cast<Index>(m_active.size());
        return size < m_size && activeCounts().colPivHouseholderQr().rank() == size;
    }

    /// The dual's minimum on the plane where every active solid is just saturated.
    bool minimise() {
        m_amounts.assign(m_active.size(), 0.0);
        if (m_size == 0) {
            return true; // nothing dissolved and the pH given: nothing is unknown
        }
        const MatrixXd counts = activeCounts();
        const Index fixed = counts.cols();
        MatrixXd basis = MatrixXd::Identity(m_size, m_size);
        Eigen::HouseholderQR<MatrixXd> split;
        if (fixed > 0) {
            split.compute(counts);
            const MatrixXd orthogonal = split.householderQ();
            basis = orthogonal.rightCols(m_size - fixed);
            VectorXd excess(fixed);
            for (Index k = 0; k < fixed; ++k) {
                excess[k] = lnValue(m_solids[m_active[static_cast<std::size_t>(k)]], m_unknown);
            }
            m_unknown -= counts * (counts.transpose() * counts).ldlt().solve(excess);
        }
        bool converged = false;
        for (int iteration = 0; iteration < 300 && !converged; ++iteration) {
            converged = step(basis, fixed);
        }
        if (fixed > 0) {
            const VectorXd gradient = gradientAt(m_unknown).first;
            const VectorXd amounts =
                (counts.transpose() * counts).ldlt().solve(-counts.transpose() * gradient);
            for (Index k = 0; k < fixed; ++k) {
                m_amounts[static_cast<std::size_t>(k)] = amounts[k];
            }
        }
        return converged;
    }

    [[nodiscard]] double dual(const VectorXd& unknown) const {
        double value = -m_target.dot(unknown);
        for (const Row& row : m_rows) {
            value += std::exp(std::min(lnValue(row, unknown), 600.0));
        }
        return value;
    }

    [[nodiscard]] std::pair<VectorXd, VectorXd> gradientAt(const VectorXd& unknown) const {
        VectorXd gradient = -m_target;
        VectorXd magnitude = m_target.cwiseAbs();
        for (const Row& row : m_rows) {
            const double molality = std::exp(std::min(lnValue(row, unknown), 300.0));
            gradient += molality * row.counts;
            magnitude += molality * row.counts.cwiseAbs();
        }
        return {gradient, magnitude};
    }

    bool step(const MatrixXd& basis, Index fixed) {
        const auto [gradient, magnitude] = gradientAt(m_unknown);
        MatrixXd hessian = MatrixXd::Zero(m_size, m_size);
        for (const Row& row : m_rows) {
            const double molality = std::exp(std::min(lnValue(row, m_unknown), 300.0));
            hessian.selfadjointView<Eigen::Lower>().rankUpdate(row.counts, molality);
        }
        const MatrixXd full = hessian.selfadjointView<Eigen::Lower>();
        VectorXd direction;
        VectorXd along = gradient;
        if (fixed > 0) {
            along = basis.transpose() * gradient;
            direction = basis * newton(basis.transpose() * full * basis, along);
        } else {
            direction = newton(full, gradient);
        }
        const double longest = direction.cwiseAbs().maxCoeff();
        if (longest > kLongestStep) {
            direction *= kLongestStep / longest;
        }
        const double before = dual(m_unknown);
        const double slope = gradient.dot(direction);
        double length = 1.0;
        const double rounding = 1e-14 * (1.0 + std::abs(before));
        while (length > 1e-6 &&
               dual(m_unknown + length * direction) > before + 1e-4 * length * slope + rounding) {
            length *= 0.5;
        }
        m_unknown += length * direction;
        if (fixed > 0) {
            return longest < 1e-8 || along.cwiseAbs().maxCoeff() < 1e-15 * magnitude.maxCoeff();
        }
        const double worst = (gradient.cwiseAbs().array() / magnitude.array().max(1e-300)).maxCoeff();
        return worst < 1e-12 || longest < 1e-8;
    }

    /// Scaling by the diagonal keeps the factorisation sound over thirty decades of concentration.
    static VectorXd newton(const MatrixXd& hessian, const VectorXd& gradient) {
        const auto size = gradient.size();
        const VectorXd scale = hessian.diagonal().cwiseMax(1e-300).cwiseSqrt().cwiseInverse();
        const MatrixXd scaled =
            scale.asDiagonal() * hessian * scale.asDiagonal() + 1e-13 * MatrixXd::Identity(size, size);
        return -(scale.asDiagonal() * scaled.ldlt().solve(scale.asDiagonal() * gradient)).eval();
    }

    [[nodiscard]] SpeciationResult unpack(const std::vector<double>& lnGamma, bool converged) const {
        SpeciationResult result;
        result.converged = converged;
        result.molality.assign(m_catalogue.species.size(), 0.0);
        result.lnActivity.assign(m_catalogue.species.size(), -700.0);
        result.lnHydrogenActivity = m_chargeFree ? m_unknown[m_size - 1] : *m_setting.fixedLnHydrogenActivity;
        for (const Row& row : m_rows) {
            const double value = lnValue(row, m_unknown);
            result.molality[row.species] = std::exp(value);
            result.lnActivity[row.species] = value + lnGamma[row.species];
        }
        for (std::size_t k = 0; k < m_active.size(); ++k) {
            result.precipitate.push_back({m_solids[m_active[k]].species, m_amounts[k]});
        }
        return result;
    }

    const Catalogue& m_catalogue;
    SpeciationSetting m_setting;
    bool m_chargeFree;
    Index m_size = 0;
    VectorXd m_target;
    std::vector<Row> m_rows;
    std::vector<Row> m_solids;
    std::vector<std::size_t> m_active; ///< Positions in m_solids.
    std::vector<double> m_amounts;     ///< mol/kg of each active solid.
    VectorXd m_unknown;
};

Speciation::Speciation(const Catalogue& catalogue, SpeciationSetting setting)
    : m_solver(std::make_unique<Solver>(catalogue, std::move(setting))) {}

Speciation::~Speciation() = default;

SpeciationResult Speciation::solve(const std::vector<double>& lnGamma, double lnSolventActivity) {
    return m_solver->solve(lnGamma, lnSolventActivity);
}

} // namespace anodex::liquid
