#include "core/chemistry/Pitzer.h"

#include "core/base/Constants.h"

#include <cmath>
#include <cstdlib>

namespace anodex::chemistry {
namespace {

constexpr double kB = 1.2;
constexpr double kSolventKgPerMole = 0.01801528;

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
    const int product = std::abs(cationCharge * anionCharge);
    switch (product) {
    case 1:
        return {0.08, 0.25, 0.0, 0.0, 6.0, {}};
    case 2:
        return {0.15, 1.4, 0.0, 0.0, 2.0, {}};
    case 3:
        return {0.35, 5.0, 0.0, 0.0, 1.5, {}};
    case 4:
        return {0.20, 2.9, -35.0, 0.0, 2.0, {}};
    default:
        return {0.30, 8.0, 0.0, 0.0, 1.0, {}};
    }
}

struct PairTerms {
    double b = 0.0;
    double bPrime = 0.0;
    double bPhi = 0.0;
    double c = 0.0;
};

PairTerms pairTerms(const PitzerPair& pair, int cationCharge, int anionCharge, double ionicStrength) {
    const bool bothMultivalent = std::abs(cationCharge) >= 2 && std::abs(anionCharge) >= 2;
    const double alpha1 = bothMultivalent ? 1.4 : 2.0;
    constexpr double kAlpha2 = 12.0;
    const double root = std::sqrt(ionicStrength);
    PairTerms terms;
    terms.b = pair.beta0 + pair.beta1 * g(alpha1 * root) + pair.beta2 * g(kAlpha2 * root);
    terms.bPrime = (pair.beta1 * gPrime(alpha1 * root) + pair.beta2 * gPrime(kAlpha2 * root)) / ionicStrength;
    terms.bPhi = pair.beta0 + pair.beta1 * std::exp(-alpha1 * root) + pair.beta2 * std::exp(-kAlpha2 * root);
    terms.c = pair.cPhi / (2.0 * std::sqrt(std::abs(static_cast<double>(cationCharge * anionCharge))));
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
    Evaluation(const Catalogue& catalogue, std::span<const Amount> amounts, double temperatureKelvin)
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
        for (const Amount& amount : m_amounts) {
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
        for (const Ion& cation : m_cations) {
            for (const Ion& anion : m_anions) {
                const auto found = m_catalogue.pitzerPairs.find({cation.species, anion.species});
                const bool published = found != m_catalogue.pitzerPairs.end();
                const PitzerPair pair = published ? found->second : typicalPair(cation.charge, anion.charge);
                noteRange(pair, published, cation, anion);
                const PairTerms terms = pairTerms(pair, cation.charge, anion.charge, m_strength);
                const double product = cation.molality * anion.molality;
                m_f += product * terms.bPrime;
                m_cSum += product * terms.c;
                m_osmoticSum += product * (terms.bPhi + m_z * terms.c);
                m_result.lnGamma[cation.position] += anion.molality * (2.0 * terms.b + m_z * terms.c);
                m_result.lnGamma[anion.position] += cation.molality * (2.0 * terms.b + m_z * terms.c);
            }
        }
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
        m_result.lnSolventActivity = -kSolventKgPerMole * total * osmotic;
    }

    const Catalogue& m_catalogue;
    std::span<const Amount> m_amounts;
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

ActivityResult pitzerActivities(const Catalogue& catalogue, std::span<const Amount> amounts,
                                double temperatureKelvin) {
    return Evaluation(catalogue, amounts, temperatureKelvin).run();
}

} // namespace anodex::chemistry
