#include "core/liquid/Pitzer.h"

#include "core/base/Constants.h"
#include "core/base/SolventMass.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <cstdlib>
#include <numeric>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::PitzerPair;
using chemistry::Species;
using chemistry::SpeciesIndex;

namespace {

constexpr double kB = 1.2;           // kg^½/mol^½ (Pitzer 1973)
constexpr double kNegligible = 1e-7; // mol/kg: two such ions do not feel each other

double debyeHueckelSlope(double temperatureKelvin) {
    static const base::Table kSlope = {
        {273.15, 0.3767}, {283.15, 0.3821}, {298.15, 0.3915}, {313.15, 0.4020}, {333.15, 0.4179}};
    return base::interpolated(kSlope, temperatureKelvin);
}

double g(double x) {
    return x < 1e-6 ? 1.0 : 2.0 * (1.0 - (1.0 + x) * std::exp(-x)) / (x * x);
}

double gPrime(double x) {
    return x < 1e-6 ? 0.0 : -2.0 * (1.0 - (1.0 + x + 0.5 * x * x) * std::exp(-x)) / (x * x);
}

/// The middle of published fits for a charge type, for pairs that nobody has fitted.
PitzerPair typicalPair(int cationCharge, int anionCharge) {
    PitzerPair pair;
    const auto take = [&](double beta0, double beta1, double beta2, double highest) {
        pair.beta0 = beta0;
        pair.beta1 = beta1;
        pair.beta2 = beta2;
        pair.highestMolality = highest;
        return pair;
    };
    switch (std::abs(cationCharge * anionCharge)) {
    case 1:
        return take(0.08, 0.25, 0.0, 6.0);
    case 2:
        return take(0.15, 1.4, 0.0, 2.0);
    case 3:
        return take(0.35, 5.0, 0.0, 1.5);
    case 4:
        return take(0.20, 2.9, -35.0, 2.0);
    default:
        return take(0.30, 8.0, 0.0, 1.0);
    }
}

/// The functions of ionic strength that all pairs share, worked out once.
struct SharedTerms {
    explicit SharedTerms(double strength) : ionicStrength(strength), root(std::sqrt(strength)) {
        for (std::size_t i = 0; i < alphas.size(); ++i) {
            const double x = alphas[i] * root;
            fade[i] = std::exp(-x);
            value[i] = g(x);
            slope[i] = gPrime(x);
        }
    }
    static constexpr std::array<double, 3> alphas{2.0, 1.4, 12.0};
    double ionicStrength;
    double root;
    std::array<double, 3> fade{};
    std::array<double, 3> value{};
    std::array<double, 3> slope{};
};

struct PairTerms {
    double b = 0.0;
    double bPrime = 0.0;
    double bPhi = 0.0;
    double c = 0.0;
    double cPrime = 0.0;
};

PairTerms pairTerms(const PitzerPair& pair, int cationCharge, int anionCharge, const SharedTerms& shared) {
    const std::size_t first = std::abs(cationCharge) >= 2 && std::abs(anionCharge) >= 2 ? 1 : 0;
    PairTerms terms;
    terms.b = pair.beta0 + pair.beta1 * shared.value[first] + pair.beta2 * shared.value[2];
    terms.bPrime = (pair.beta1 * shared.slope[first] + pair.beta2 * shared.slope[2]) / shared.ionicStrength;
    terms.bPhi = pair.beta0 + pair.beta1 * shared.fade[first] + pair.beta2 * shared.fade[2];
    terms.c = pair.third;
    if (pair.thirdFading != 0.0) {
        const double fading = pair.thirdFading * std::exp(-pair.fadingRate * shared.root);
        terms.c += fading;
        terms.cPrime = -0.5 * pair.fadingRate * fading / shared.root;
    }
    return terms;
}

struct Ion {
    std::size_t position = 0;
    SpeciesIndex species = 0;
    int charge = 0;
    double molality = 0.0;
};

double lookUp(const std::map<std::pair<SpeciesIndex, SpeciesIndex>, double>& table, SpeciesIndex a,
              SpeciesIndex b) {
    const auto found = table.find({std::min(a, b), std::max(a, b)});
    return found == table.end() ? 0.0 : found->second;
}

class Evaluation {
public:
    Evaluation(const Catalogue& catalogue, std::span<const MolalAmount> amounts, double temperatureKelvin)
        : m_catalogue(catalogue), m_amounts(amounts), m_slope(debyeHueckelSlope(temperatureKelvin)) {}

    ActivityResult run() {
        sortIons();
        m_result.lnGamma.assign(m_amounts.size(), 0.0);
        if (m_strength > 0.0) {
            addDebyeHueckel();
            addPairs();
            addLikeSignPairs(m_cations, m_anions);
            addLikeSignPairs(m_anions, m_cations);
            finishIons(m_cations);
            finishIons(m_anions);
        }
        finishNeutralsAndSolvent();
        return m_result;
    }

private:
    void sortIons() {
        double strength = 0.0;
        for (const MolalAmount& amount : m_amounts) {
            const double z = m_catalogue.species[amount.species].formula.charge;
            strength += 0.5 * z * z * amount.molality;
        }
        m_result.ionicStrength = strength;
        m_scale = strength > kHighestIonicStrength ? kHighestIonicStrength / strength : 1.0;
        m_result.beyondRange = m_scale < 1.0;
        for (std::size_t i = 0; i < m_amounts.size(); ++i) {
            const int charge = m_catalogue.species[m_amounts[i].species].formula.charge;
            const Ion ion{i, m_amounts[i].species, charge, m_amounts[i].molality * m_scale};
            if (charge > 0) {
                m_cations.push_back(ion);
            } else if (charge < 0) {
                m_anions.push_back(ion);
            }
            m_z += std::abs(charge) * ion.molality;
        }
        m_strength = strength * m_scale;
    }

    void addDebyeHueckel() {
        const double root = std::sqrt(m_strength);
        m_f = -m_slope * (root / (1.0 + kB * root) + (2.0 / kB) * std::log(1.0 + kB * root));
        m_osmoticSum = -m_slope * m_strength * root / (1.0 + kB * root);
    }

    void addPairs() {
        const SharedTerms shared(m_strength);
        for (const Ion& cation : m_cations) {
            for (const Ion& anion : m_anions) {
                const double product = cation.molality * anion.molality;
                if (std::max(cation.molality, anion.molality) < kNegligible) {
                    continue;
                }
                const auto found = m_catalogue.pitzerPairs.find({cation.species, anion.species});
                const bool published = found != m_catalogue.pitzerPairs.end();
                const PitzerPair pair = published ? found->second : typicalPair(cation.charge, anion.charge);
                noteRange(pair, published, cation, anion);
                const PairTerms terms = pairTerms(pair, cation.charge, anion.charge, shared);
                const double held = heldShare(pair, cation.charge, anion.charge);
                const double third = held * m_z * terms.c;
                m_f += held * product * (terms.bPrime + 0.5 * held * m_z * terms.cPrime);
                m_cSum += held * held * product * terms.c;
                m_osmoticSum +=
                    held * product * (terms.bPhi + third + 0.5 * held * m_z * m_strength * terms.cPrime);
                m_result.lnGamma[cation.position] += held * anion.molality * (2.0 * terms.b + third);
                m_result.lnGamma[anion.position] += held * cation.molality * (2.0 * terms.b + third);
            }
        }
    }

    /// Well beyond a fit its interactions are held at the fit's end instead of running away.
    [[nodiscard]] double heldShare(const PitzerPair& pair, int cationCharge, int anionCharge) const {
        constexpr double kReach = 1.5; // times the range of the published parameters
        const double shared = std::gcd(std::abs(cationCharge), std::abs(anionCharge));
        const double perMole = 0.5 * std::abs(cationCharge * anionCharge) *
                               (std::abs(cationCharge) + std::abs(anionCharge)) / shared;
        return std::min(1.0, kReach * pair.highestMolality * perMole / m_strength);
    }

    void noteRange(const PitzerPair& pair, bool published, const Ion& cation, const Ion& anion) {
        const double weight = 2.0 * std::min(std::abs(cation.charge) * cation.molality,
                                             std::abs(anion.charge) * anion.molality);
        if (!published && weight > 0.01 * m_z) {
            m_result.usedTypicalPair = true;
        }
        const double saltMolality =
            std::min(cation.molality / std::abs(anion.charge), anion.molality / std::abs(cation.charge));
        if (published && saltMolality > 1.05 * pair.highestMolality) {
            m_result.beyondRange = true;
        }
    }

    void addLikeSignPairs(const std::vector<Ion>& like, const std::vector<Ion>& opposite) {
        for (std::size_t i = 0; i < like.size(); ++i) {
            for (std::size_t j = i + 1; j < like.size(); ++j) {
                const Ion& a = like[i];
                const Ion& b = like[j];
                const double theta = lookUp(m_catalogue.pitzerMixing.theta, a.species, b.species);
                m_result.lnGamma[a.position] += 2.0 * b.molality * theta;
                m_result.lnGamma[b.position] += 2.0 * a.molality * theta;
                m_osmoticSum += a.molality * b.molality * theta;
                for (const Ion& other : opposite) {
                    const auto key =
                        std::pair{std::pair{std::min(a.species, b.species), std::max(a.species, b.species)},
                                  other.species};
                    const auto found = m_catalogue.pitzerMixing.psi.find(key);
                    if (found == m_catalogue.pitzerMixing.psi.end()) {
                        continue;
                    }
                    m_result.lnGamma[a.position] += b.molality * other.molality * found->second;
                    m_result.lnGamma[b.position] += a.molality * other.molality * found->second;
                    m_result.lnGamma[other.position] += a.molality * b.molality * found->second;
                    m_osmoticSum += a.molality * b.molality * other.molality * found->second;
                }
            }
        }
    }

    void finishIons(const std::vector<Ion>& ions) {
        for (const Ion& ion : ions) {
            m_result.lnGamma[ion.position] += ion.charge * ion.charge * m_f + std::abs(ion.charge) * m_cSum;
        }
    }

    void finishNeutralsAndSolvent() {
        double total = 0.0;
        for (std::size_t i = 0; i < m_amounts.size(); ++i) {
            const Species& species = m_catalogue.species[m_amounts[i].species];
            total += m_amounts[i].molality;
            if (species.formula.charge == 0) {
                m_result.lnGamma[i] = base::kLn10 * species.setchenow * m_strength;
            }
        }
        // osmotic coefficient - 1 = 2 (sum)/(sum of m), both at the scaled composition.
        const double scaledTotal = total * m_scale;
        const double osmotic = scaledTotal > 0.0 ? 1.0 + 2.0 * m_osmoticSum / scaledTotal : 1.0;
        // No mixture binds its solvent tighter than e^-6, nor lends it more activity than it has pure.
        m_result.lnSolventActivity = std::clamp(-base::kSolventKgPerMole * total * osmotic, -6.0, 0.0);
    }

    const Catalogue& m_catalogue;
    std::span<const MolalAmount> m_amounts;
    double m_slope;
    std::vector<Ion> m_cations;
    std::vector<Ion> m_anions;
    double m_scale = 1.0;
    double m_strength = 0.0;
    double m_z = 0.0;
    double m_f = 0.0;
    double m_cSum = 0.0;
    double m_osmoticSum = 0.0;
    ActivityResult m_result;
};

} // namespace

ActivityResult pitzerActivities(const Catalogue& catalogue, std::span<const MolalAmount> amounts,
                                double temperatureKelvin) {
    return Evaluation(catalogue, amounts, temperatureKelvin).run();
}

} // namespace anodex::liquid
