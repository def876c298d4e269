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
using chemistry::PitzerParameters;
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
PitzerParameters typicalPair(int cationCharge, int anionCharge) {
    PitzerParameters pair;
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

PairTerms pairTerms(const PitzerParameters& pair, int cationCharge, int anionCharge,
                    const SharedTerms& shared) {
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

std::size_t chargeNumber(int charge) {
    return static_cast<std::size_t>(std::abs(charge));
}

/// Ionic strength of one mole of a salt per kg.
double strengthPerMole(int cationCharge, int anionCharge) {
    return 0.5 * std::abs(cationCharge * anionCharge) * (std::abs(cationCharge) + std::abs(anionCharge)) /
           std::gcd(cationCharge, anionCharge);
}

/// Well beyond a fit its interactions are held at the fit's end instead of running away.
double heldShare(const PitzerParameters& parameters, double perMole, double ionicStrength) {
    constexpr double kReach = 1.5; // times the range of the published parameters
    return std::min(1.0, kReach * parameters.highestMolality * perMole / ionicStrength);
}

} // namespace

IonInteractions::IonInteractions(const Catalogue& catalogue, std::vector<SpeciesIndex> species,
                                 std::size_t present)
    : m_catalogue(catalogue), m_species(std::move(species)), m_present(present) {
    for (const SpeciesIndex one : m_species) {
        const int charge = catalogue.species[one].formula.charge;
        m_charges.push_back(charge);
        m_setchenow.push_back(charge == 0 ? base::kLn10 * catalogue.species[one].setchenow : 0.0);
    }
    addPairs();
    takeProbes();
    takePublished();
    m_molality.assign(m_species.size(), 0.0);
    m_result.lnGamma.assign(m_species.size(), 0.0);
}

/// As is typical of their charges.
void IonInteractions::addPairs() {
    for (std::size_t cation = 0; cation < m_present; ++cation) {
        for (std::size_t anion = 0; anion < m_present && m_charges[cation] > 0; ++anion) {
            if (m_charges[anion] < 0) {
                m_pairs.push_back({cation, anion, m_charges[cation], m_charges[anion],
                                   typicalPair(m_charges[cation], m_charges[anion]), false,
                                   strengthPerMole(m_charges[cation], m_charges[anion])});
            }
        }
    }
}

void IonInteractions::takeProbes() {
    std::size_t most = 0; // charge
    for (std::size_t i = 0; i < m_present; ++i) {
        most = std::max(most, chargeNumber(m_charges[i]));
    }
    for (std::size_t i = m_present; i < m_species.size(); ++i) {
        if (m_charges[i] == 0) {
            continue;
        }
        const auto found = std::find_if(m_probeClasses.begin(), m_probeClasses.end(),
                                        [&](const ProbeClass& one) { return one.charge == m_charges[i]; });
        m_probes.push_back({i, static_cast<std::size_t>(found - m_probeClasses.begin())});
        if (found == m_probeClasses.end()) {
            m_probeClasses.push_back({m_charges[i], 0.0, std::vector<double>(most + 1, 0.0)});
        }
    }
}

/// The published ones are few against all that could be.
void IonInteractions::takePublished() {
    std::vector<std::size_t> positions(m_catalogue.species.size(), m_species.size());
    for (std::size_t i = 0; i < m_species.size(); ++i) {
        positions[m_species[i]] = i;
    }
    const auto isPresent = [&](std::size_t position) { return position < m_present; };
    const auto isKnown = [&](std::size_t position) { return position < m_species.size(); };
    for (Pair& pair : m_pairs) {
        const auto found = m_catalogue.pitzerPairs.find({m_species[pair.cation], m_species[pair.anion]});
        if (found != m_catalogue.pitzerPairs.end()) {
            pair.parameters = found->second.parameters;
            pair.published = true;
        }
    }
    for (const auto& [ions, pair] : m_catalogue.pitzerPairs) {
        const auto [present, probe] = std::minmax(positions[ions.first], positions[ions.second]);
        if (isPresent(present) && !isPresent(probe) && isKnown(probe)) {
            const std::size_t position = probe;
            const auto found = std::find_if(m_probes.begin(), m_probes.end(),
                                            [&](const Probe& one) { return one.position == position; });
            m_probePairs.push_back({*found, present, pair.parameters});
        }
    }
    for (const auto& [like, theta] : m_catalogue.pitzerMixing.theta) {
        const auto [one, other] = std::minmax(positions[like.first], positions[like.second]);
        if (isPresent(one) && isKnown(other)) {
            m_likePairs.push_back({one, other, theta});
        }
    }
    // A probe meets those that are there, and they stand first.
    for (const auto& [ions, psi] : m_catalogue.pitzerMixing.psi) {
        const auto [one, other] = std::minmax(positions[ions.first.first], positions[ions.first.second]);
        const std::size_t opposite = positions[ions.second];
        const bool known = isPresent(one) && isKnown(other) && isKnown(opposite);
        if (known && (isPresent(other) || isPresent(opposite))) {
            m_triples.push_back({one, other, opposite, psi});
        }
    }
}

const ActivityResult& IonInteractions::at(std::span<const double> molality, double temperatureKelvin) {
    takeMolalities(molality);
    std::fill(m_result.lnGamma.begin(), m_result.lnGamma.end(), 0.0);
    m_f = m_cSum = m_osmoticSum = 0.0;
    if (m_strength > 0.0) {
        const double slope = debyeHueckelSlope(temperatureKelvin);
        const double root = std::sqrt(m_strength);
        m_f = -slope * (root / (1.0 + kB * root) + (2.0 / kB) * std::log(1.0 + kB * root));
        m_osmoticSum = -slope * m_strength * root / (1.0 + kB * root);
        pairs();
        probes();
        likePairs();
        for (std::size_t i = 0; i < m_charges.size(); ++i) {
            const int charge = m_charges[i];
            m_result.lnGamma[i] += charge * charge * m_f + std::abs(charge) * m_cSum;
        }
    }
    neutralsAndSolvent();
    return m_result;
}

void IonInteractions::takeMolalities(std::span<const double> molality) {
    double strength = 0.0;
    m_total = 0.0;
    for (std::size_t i = 0; i < m_present; ++i) {
        strength += 0.5 * m_charges[i] * m_charges[i] * molality[i];
        m_total += molality[i];
    }
    m_result.ionicStrength = strength;
    m_scale = strength > kHighestIonicStrength ? kHighestIonicStrength / strength : 1.0;
    m_result.beyondRange = m_scale < 1.0;
    m_result.usedTypicalPair = false;
    m_z = 0.0;
    for (std::size_t i = 0; i < m_present; ++i) {
        m_molality[i] = molality[i] * m_scale;
        m_z += std::abs(m_charges[i]) * m_molality[i];
    }
    m_strength = strength * m_scale;
}

void IonInteractions::pairs() {
    const SharedTerms shared(m_strength);
    for (const Pair& pair : m_pairs) {
        const double cation = m_molality[pair.cation];
        const double anion = m_molality[pair.anion];
        if (std::max(cation, anion) < kNegligible) {
            continue;
        }
        noteRange(pair, cation, anion);
        const PairTerms terms = pairTerms(pair.parameters, pair.cationCharge, pair.anionCharge, shared);
        const double held = heldShare(pair.parameters, pair.perMole, m_strength);
        const double third = held * m_z * terms.c;
        const double product = cation * anion;
        m_f += held * product * (terms.bPrime + 0.5 * held * m_z * terms.cPrime);
        m_cSum += held * held * product * terms.c;
        m_osmoticSum += held * product * (terms.bPhi + third + 0.5 * held * m_z * m_strength * terms.cPrime);
        m_result.lnGamma[pair.cation] += held * anion * (2.0 * terms.b + third);
        m_result.lnGamma[pair.anion] += held * cation * (2.0 * terms.b + third);
    }
}

/// What each probe gets from all that is there: as is typical, but where it has been measured.
void IonInteractions::probes() {
    if (m_probes.empty()) {
        return;
    }
    const SharedTerms shared(m_strength);
    const auto perMolality = [&](const PitzerParameters& parameters, int one, int other) {
        const auto [anion, cation] = std::minmax(one, other);
        const PairTerms terms = pairTerms(parameters, cation, anion, shared);
        const double held = heldShare(parameters, strengthPerMole(cation, anion), m_strength);
        return held * (2.0 * terms.b + held * m_z * terms.c);
    };
    for (ProbeClass& one : m_probeClasses) {
        one.sum = 0.0;
        std::fill(one.typical.begin(), one.typical.end(), 0.0);
        for (std::size_t i = 0; i < m_present; ++i) {
            if (one.charge * m_charges[i] >= 0 || m_molality[i] < kNegligible) {
                continue;
            }
            double& typical = one.typical[chargeNumber(m_charges[i])];
            if (typical == 0.0) {
                typical = perMolality(typicalPair(one.charge, m_charges[i]), one.charge, m_charges[i]);
            }
            one.sum += m_molality[i] * typical;
        }
    }
    for (const Probe& probe : m_probes) {
        m_result.lnGamma[probe.position] += m_probeClasses[probe.probeClass].sum;
    }
    for (const ProbePair& pair : m_probePairs) {
        const double molality = m_molality[pair.present];
        if (molality < kNegligible) {
            continue;
        }
        const ProbeClass& own = m_probeClasses[pair.probe.probeClass];
        const int charge = m_charges[pair.present];
        m_result.lnGamma[pair.probe.position] +=
            molality * (perMolality(pair.parameters, own.charge, charge) - own.typical[chargeNumber(charge)]);
    }
}

void IonInteractions::noteRange(const Pair& pair, double cation, double anion) {
    const double weight =
        2.0 * std::min(std::abs(pair.cationCharge) * cation, std::abs(pair.anionCharge) * anion);
    if (!pair.published && weight > 0.01 * m_z) {
        m_result.usedTypicalPair = true;
    }
    const double saltMolality =
        std::min(cation / std::abs(pair.anionCharge), anion / std::abs(pair.cationCharge));
    if (pair.published && saltMolality > 1.05 * pair.parameters.highestMolality) {
        m_result.beyondRange = true;
    }
}

void IonInteractions::likePairs() {
    std::vector<double>& lnGamma = m_result.lnGamma;
    for (const LikePair& pair : m_likePairs) {
        lnGamma[pair.one] += 2.0 * m_molality[pair.other] * pair.theta;
        lnGamma[pair.other] += 2.0 * m_molality[pair.one] * pair.theta;
        m_osmoticSum += m_molality[pair.one] * m_molality[pair.other] * pair.theta;
    }
    for (const Triple& triple : m_triples) {
        const double one = m_molality[triple.one];
        const double other = m_molality[triple.other];
        const double opposite = m_molality[triple.opposite];
        lnGamma[triple.one] += other * opposite * triple.psi;
        lnGamma[triple.other] += one * opposite * triple.psi;
        lnGamma[triple.opposite] += one * other * triple.psi;
        m_osmoticSum += one * other * opposite * triple.psi;
    }
}

void IonInteractions::neutralsAndSolvent() {
    for (std::size_t i = 0; i < m_charges.size(); ++i) {
        if (m_charges[i] == 0) {
            m_result.lnGamma[i] = m_setchenow[i] * m_strength;
        }
    }
    // osmotic coefficient - 1 = 2 (sum)/(sum of m), both at the scaled composition.
    const double scaledTotal = m_total * m_scale;
    const double osmotic = scaledTotal > 0.0 ? 1.0 + 2.0 * m_osmoticSum / scaledTotal : 1.0;
    // No mixture binds its solvent tighter than e^-6, nor lends it more activity than it has pure.
    m_result.lnSolventActivity = std::clamp(-base::kSolventKgPerMole * m_total * osmotic, -6.0, 0.0);
}

} // namespace anodex::liquid
