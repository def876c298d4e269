#include "core/liquid/Speciation.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/liquid/SpeciesRow.h"

#include <Eigen/Dense>
#include <algorithm>
#include <cmath>
#include <iterator>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::Species;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

using Eigen::Index;

constexpr int kMostMasters = 64; // in one liquid
// Kept within the object or on the stack: solving again allocates nothing.
using Vector = Eigen::Matrix<double, Eigen::Dynamic, 1, 0, kMostMasters + 1, 1>;
using Matrix = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, 0, kMostMasters + 1, kMostMasters + 1>;

constexpr double kLongestStep = 6.0;          // in ln activity
constexpr double kLastStep = 1e-6;            // what it leaves is of the order of its square
constexpr double kLeastLnActivity = -700.0;   // whose exponential is a number
constexpr double kSafeStep = 0.05;            // so near the minimum a whole step always goes down
constexpr double kSaturationTolerance = 1e-9; // in ln of the saturation ratio

/// Numbers too small to be normal ones are slow, and nothing here needs them.
double exponential(double value) {
    constexpr double kLeast = -690.0; // of the logarithm of a normal number is -708
    return value < kLeast ? 0.0 : std::exp(value);
}

} // namespace

class Speciation::Solver {
public:
    Solver(const Catalogue& catalogue, SpeciationSetting setting)
        : m_catalogue(catalogue), m_setting(std::move(setting)),
          m_chargeFree(!m_setting.fixedLnHydrogenActivity.has_value()) {
        const auto& masters = m_setting.totals.masters;
        if (masters.size() > kMostMasters) {
            throw base::Fault(base::Fault::Kind::OutsideDomain, "masters in one liquid",
                              static_cast<double>(masters.size()));
        }
        m_size = static_cast<Index>(masters.size()) + (m_chargeFree ? 1 : 0);
        setTarget();
        collectRows();
        m_unknown = initialGuess();
        m_result.molality.assign(m_rows.size(), 0.0);
        m_result.lnActivity.assign(m_rows.size(), 0.0);
        // Solids may come and go from one answer to the next.
        m_active.reserve(m_solids.size());
        m_plane.active.reserve(m_solids.size());
        m_amounts.reserve(m_solids.size());
        m_barred.reserve(m_solids.size());
        m_result.precipitate.reserve(m_solids.size());
    }

    /// Whether the same rows serve.
    [[nodiscard]] bool suits(const SpeciationSetting& setting) const {
        const auto& own = m_setting.totals.masters;
        const auto& other = setting.totals.masters;
        return setting.fixedLnHydrogenActivity.has_value() != m_chargeFree &&
               std::equal(own.begin(), own.end(), other.begin(), other.end(),
                          [](const SpeciesTerm& a, const SpeciesTerm& b) { return a.species == b.species; });
    }

    void retarget(const SpeciationSetting& setting) {
        const bool sameConstants = setting.temperatureKelvin == m_setting.temperatureKelvin &&
                                   setting.fixedLnHydrogenActivity == m_setting.fixedLnHydrogenActivity;
        if (!m_chargeFree) {
            shift(*setting.fixedLnHydrogenActivity - *m_setting.fixedLnHydrogenActivity);
        }
        m_setting = setting;
        setTarget();
        if (!sameConstants) {
            std::for_each(m_rows.begin(), m_rows.end(), [this](SpeciesRow& row) { setConstant(row); });
            std::for_each(m_solids.begin(), m_solids.end(), [this](SpeciesRow& row) { setConstant(row); });
        }
    }

    void beginWith(const std::vector<double>& lnActivity, const std::vector<SpeciesIndex>& solids) {
        if (m_chargeFree) {
            return;
        }
        const auto& masters = m_setting.totals.masters;
        for (std::size_t j = 0; j < masters.size(); ++j) {
            const SpeciesIndex master = masters[j].species;
            m_unknown[static_cast<Index>(j)] = std::max(lnActivity[master], kLeastLnActivity);
        }
        shift(*m_setting.fixedLnHydrogenActivity);
        m_active.clear();
        for (const SpeciesIndex solid : solids) {
            const auto found = std::find_if(m_solids.begin(), m_solids.end(),
                                            [&](const SpeciesRow& row) { return row.species == solid; });
            if (found != m_solids.end()) {
                m_active.push_back(static_cast<std::size_t>(found - m_solids.begin()));
            }
        }
    }

    [[nodiscard]] const std::vector<SpeciesIndex>& species() const { return m_species; }

    const SpeciationResult& solve(const std::vector<double>& lnGamma, double lnSolventActivity,
                                  double lastStep) {
        m_lastStep = std::max(lastStep, kLastStep);
        for (std::size_t i = 0; i < m_rows.size(); ++i) {
            SpeciesRow& row = m_rows[i];
            row.offset = row.fixedOffset + row.solventCount * lnSolventActivity - lnGamma[i];
        }
        for (SpeciesRow& solid : m_solids) {
            solid.offset = solid.fixedOffset + solid.solventCount * lnSolventActivity;
        }
        m_result.converged = settleSolids();
        unpack(lnGamma);
        return m_result;
    }

private:
    void setTarget() {
        const auto& masters = m_setting.totals.masters;
        m_target = Vector::Zero(m_size);
        for (std::size_t j = 0; j < masters.size(); ++j) {
            m_target[static_cast<Index>(j)] = masters[j].count;
        }
        if (m_chargeFree) {
            m_target[m_size - 1] = m_setting.charge;
        }
    }

    /// The masters' own activities stay as the hydrogen ion's moves.
    void shift(double lnHydrogen) {
        const auto& masters = m_setting.totals.masters;
        for (std::size_t j = 0; j < masters.size(); ++j) {
            m_unknown[static_cast<Index>(j)] -=
                m_catalogue.species[masters[j].species].formula.charge * lnHydrogen;
        }
    }

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
            if (auto row = rowOf(m_catalogue, s, m_setting.totals.masters, m_chargeFree)) {
                setConstant(*row);
                (dissolved ? m_rows : m_solids).push_back(*std::move(row));
                if (dissolved) {
                    m_species.push_back(s);
                }
            }
        }
    }

    void setConstant(SpeciesRow& row) const {
        row.fixedOffset =
            fixedOffsetOf(m_catalogue, row, m_setting.temperatureKelvin, m_setting.fixedLnHydrogenActivity);
    }

    [[nodiscard]] Vector initialGuess() const {
        Vector unknown = Vector::Zero(m_size);
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

    [[nodiscard]] static double lnValue(const SpeciesRow& row, const Vector& unknown) {
        double value = row.offset;
        for (const auto& [master, count] : row.counts) {
            value += count * unknown[static_cast<Index>(master)];
        }
        return value;
    }

    /// Adds and drops solids until none is supersaturated and none is used up.
    bool settleSolids() {
        m_barred.clear();
        bool converged = false;
        for (int change = 0; change < 40; ++change) {
            converged = minimise();
            const auto used = std::min_element(m_amounts.begin(), m_amounts.end());
            if (used != m_amounts.end() && *used < 0.0) {
                const auto position = used - m_amounts.begin();
                // One that has left does not come back in this round: two solids cannot take turns for ever.
                m_barred.push_back(m_active[static_cast<std::size_t>(position)]);
                m_active.erase(m_active.begin() + position);
                m_amounts.erase(used);
                continue;
            }
            const auto next = mostSupersaturated();
            if (!next) {
                return converged;
            }
            m_active.push_back(*next);
            if (!independent()) {
                m_active.pop_back();
                m_barred.push_back(*next);
            }
        }
        return false;
    }

    [[nodiscard]] std::optional<std::size_t> mostSupersaturated() const {
        std::optional<std::size_t> most;
        double ratio = kSaturationTolerance;
        for (std::size_t k = 0; k < m_solids.size(); ++k) {
            const bool known = std::find(m_active.begin(), m_active.end(), k) != m_active.end() ||
                               std::find(m_barred.begin(), m_barred.end(), k) != m_barred.end();
            const double here = lnValue(m_solids[k], m_unknown);
            if (!known && here > ratio) {
                ratio = here;
                most = k;
            }
        }
        return most;
    }

    /// Where every active solid is just saturated.
    struct Plane {
        std::vector<std::size_t> active; // that it was made for
        Matrix counts;
        Matrix basis; // of what may still move
        Eigen::LDLT<Matrix> gram;
    };

    void takePlane() {
        if (m_plane.active == m_active && m_plane.basis.rows() == m_size) {
            return;
        }
        m_plane.active = m_active;
        m_plane.counts = activeCounts();
        const Index fixed = m_plane.counts.cols();
        m_plane.basis = Matrix::Identity(m_size, m_size);
        if (fixed > 0) {
            const Matrix orthogonal = Eigen::HouseholderQR<Matrix>(m_plane.counts).householderQ();
            m_plane.basis = orthogonal.rightCols(m_size - fixed);
            m_plane.gram.compute(m_plane.counts.transpose() * m_plane.counts);
        }
    }

    [[nodiscard]] Matrix activeCounts() const {
        Matrix counts = Matrix::Zero(m_size, static_cast<Index>(m_active.size()));
        for (std::size_t k = 0; k < m_active.size(); ++k) {
            for (const auto& [master, count] : m_solids[m_active[k]].counts) {
                counts(static_cast<Index>(master), static_cast<Index>(k)) = count;
            }
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
        takePlane();
        const Index fixed = m_plane.counts.cols();
        if (fixed > 0) {
            Vector excess(fixed);
            for (Index k = 0; k < fixed; ++k) {
                excess[k] = lnValue(m_solids[m_active[static_cast<std::size_t>(k)]], m_unknown);
            }
            m_unknown -= m_plane.counts * m_plane.gram.solve(excess);
        }
        bool converged = false;
        for (int iteration = 0; iteration < 300 && !converged; ++iteration) {
            converged = step();
        }
        if (fixed > 0) {
            const Vector gradient = derivativesAt(m_unknown).gradient;
            const Vector amounts = m_plane.gram.solve(-m_plane.counts.transpose() * gradient);
            std::copy(amounts.begin(), amounts.end(), m_amounts.begin());
        }
        return converged;
    }

    [[nodiscard]] double dual(const Vector& unknown) const {
        double value = -m_target.dot(unknown);
        for (const SpeciesRow& row : m_rows) {
            value += exponential(std::min(lnValue(row, unknown), 600.0));
        }
        return value;
    }

    /// The dual's first and second derivatives, and what the first is made of without signs.
    struct Derivatives {
        Vector gradient;
        Vector magnitude;
        Matrix hessian;
    };

    [[nodiscard]] Derivatives derivativesAt(const Vector& unknown) const {
        Derivatives all{-m_target, m_target.cwiseAbs(), Matrix::Zero(m_size, m_size)};
        for (const SpeciesRow& row : m_rows) {
            const double molality = exponential(std::min(lnValue(row, unknown), 300.0));
            for (auto one = row.counts.begin(); one != row.counts.end(); ++one) {
                const auto j = static_cast<Index>(one->first);
                const double part = molality * one->second;
                all.gradient[j] += part;
                all.magnitude[j] += std::abs(part);
                for (auto other = row.counts.begin(); other <= one; ++other) {
                    all.hessian(j, static_cast<Index>(other->first)) += part * other->second;
                }
            }
        }
        all.hessian.triangularView<Eigen::StrictlyUpper>() = all.hessian.transpose();
        return all;
    }

    bool step() {
        const Matrix& basis = m_plane.basis;
        const bool fixed = !m_active.empty();
        const auto [gradient, magnitude, full] = derivativesAt(m_unknown);
        Vector direction;
        Vector along = gradient;
        if (fixed) {
            along = basis.transpose() * gradient;
            const Matrix part = full.lazyProduct(basis);
            direction = basis * newton(basis.transpose().lazyProduct(part), along);
        } else {
            direction = newton(full, gradient);
        }
        const double longest = direction.cwiseAbs().maxCoeff();
        if (longest > kLongestStep) {
            direction *= kLongestStep / longest;
        }
        m_unknown +=
            (longest > kSafeStep ? lengthAlong(direction, gradient.dot(direction)) : 1.0) * direction;
        if (fixed) {
            return longest < m_lastStep || along.cwiseAbs().maxCoeff() < 1e-15 * magnitude.maxCoeff();
        }
        const double worst = (gradient.cwiseAbs().array() / magnitude.array().max(1e-300)).maxCoeff();
        return worst < 1e-12 || longest < m_lastStep;
    }

    /// How far it still goes down well enough (Armijo's rule).
    [[nodiscard]] double lengthAlong(const Vector& direction, double slope) const {
        const double before = dual(m_unknown);
        const double rounding = 1e-14 * (1.0 + std::abs(before));
        double length = 1.0;
        while (length > 1e-6 &&
               dual(m_unknown + length * direction) > before + 1e-4 * length * slope + rounding) {
            length *= 0.5;
        }
        return length;
    }

    /// Scaling by the diagonal keeps the factorisation sound over thirty decades of concentration.
    static Vector newton(const Matrix& hessian, const Vector& gradient) {
        const auto size = gradient.size();
        const Vector scale = hessian.diagonal().cwiseMax(1e-300).cwiseSqrt().cwiseInverse();
        const Matrix scaled =
            scale.asDiagonal() * hessian * scale.asDiagonal() + 1e-13 * Matrix::Identity(size, size);
        return -(scale.asDiagonal() * scaled.ldlt().solve(scale.asDiagonal() * gradient)).eval();
    }

    void unpack(const std::vector<double>& lnGamma) {
        m_result.lnHydrogenActivity =
            m_chargeFree ? m_unknown[m_size - 1] : *m_setting.fixedLnHydrogenActivity;
        for (std::size_t i = 0; i < m_rows.size(); ++i) {
            const double value = lnValue(m_rows[i], m_unknown);
            m_result.molality[i] = exponential(value);
            m_result.lnActivity[i] = value + lnGamma[i];
        }
        m_result.precipitate.clear();
        for (std::size_t k = 0; k < m_active.size(); ++k) {
            m_result.precipitate.push_back({m_solids[m_active[k]].species, m_amounts[k]});
        }
    }

    const Catalogue& m_catalogue;
    SpeciationSetting m_setting;
    bool m_chargeFree;
    Index m_size = 0;
    Vector m_target;
    std::vector<SpeciesRow> m_rows;
    std::vector<SpeciesIndex> m_species; ///< Of the rows.
    std::vector<SpeciesRow> m_solids;
    std::vector<std::size_t> m_active; ///< Positions in m_solids.
    std::vector<double> m_amounts;     ///< mol/kg of each active solid.
    std::vector<std::size_t> m_barred; ///< Solids that left in this round.
    Plane m_plane;
    Vector m_unknown;
    double m_lastStep = kLastStep;
    SpeciationResult m_result;
};

Speciation::Speciation(const Catalogue& catalogue) : m_catalogue(catalogue) {}

Speciation::~Speciation() = default;

bool Speciation::setUp(const SpeciationSetting& setting) {
    if (m_solver && m_solver->suits(setting)) {
        m_solver->retarget(setting);
        return true;
    }
    m_solver = std::make_unique<Solver>(m_catalogue, setting);
    return false;
}

void Speciation::beginWith(const std::vector<double>& lnActivity, const std::vector<SpeciesIndex>& solids) {
    m_solver->beginWith(lnActivity, solids);
}

const std::vector<SpeciesIndex>& Speciation::species() const {
    return m_solver->species();
}

const SpeciationResult& Speciation::solve(const std::vector<double>& lnGamma, double lnSolventActivity,
                                          double lastStep) {
    return m_solver->solve(lnGamma, lnSolventActivity, lastStep);
}

} // namespace anodex::liquid
