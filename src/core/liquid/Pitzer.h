// src/core/liquid/Pitzer.h - activity coefficients and the solvent's activity from ion interactions.
//
// Source     Pitzer, J. Phys. Chem. 77, 268 (1973); Harvie, Møller & Weare, Geochim. Cosmochim. Acta 48, 723
//            (1984), without the higher-order electrostatic terms. Debye-Hückel slope: Bradley & Pitzer,
//            J. Phys. Chem. 83, 1599 (1979).
// Units      molal; ln of the molal activity coefficient.
// Range      binary parameters hold at 25 °C up to each fit's molality. Pairs nobody fitted take the middle
//            of their charge type; coefficients are frozen above kHighestIonicStrength. The result says so.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <span>
#include <vector>

namespace anodex::liquid {

inline constexpr double kHighestIonicStrength = 30.0; ///< mol/kg

struct ActivityResult {
    std::vector<double> lnGamma; ///< Parallel to the input.
    double lnSolventActivity = 0.0;
    double ionicStrength = 0.0;   ///< mol/kg, of the real composition.
    bool usedTypicalPair = false; ///< A pair without published parameters carries over 1 % of the ions.
    bool beyondRange = false;     ///< A pair is used above the molality of its fit.
};

/// The interactions of a set of species, looked up once and then asked at any composition.
class IonInteractions {
public:
    /// The first `present` of the species may be there; the rest are probes that move nothing.
    IonInteractions(const chemistry::Catalogue& catalogue, std::vector<chemistry::SpeciesIndex> species,
                    std::size_t present);

    /// `molality` of those that may be there. Allocates nothing after the first call.
    const ActivityResult& at(std::span<const double> molality, double temperatureKelvin);
    [[nodiscard]] const std::vector<chemistry::SpeciesIndex>& species() const { return m_species; }

private:
    struct Pair {
        std::size_t cation = 0; ///< Positions.
        std::size_t anion = 0;
        int cationCharge = 0;
        int anionCharge = 0;
        chemistry::PitzerParameters parameters;
        bool published = false;
        double perMole = 0.0; ///< Ionic strength of one mole of the salt per kg.
    };
    /// A probe that nobody has measured against its neighbours differs from the next one by its charge alone.
    struct ProbeClass {
        int charge = 0;
        double sum = 0.0;            ///< Of its typical interactions with all that is there.
        std::vector<double> typical; ///< For each mol/kg of an opposite charge.
    };
    struct Probe {
        std::size_t position = 0;
        std::size_t probeClass = 0;
    };
    /// A published pair of a probe with one that may be there.
    struct ProbePair {
        Probe probe;
        std::size_t present = 0; ///< Position.
        chemistry::PitzerParameters parameters;
    };
    struct LikePair {
        std::size_t one = 0;
        std::size_t other = 0;
        double theta = 0.0;
    };
    struct Triple {
        std::size_t one = 0;
        std::size_t other = 0;
        std::size_t opposite = 0;
        double psi = 0.0;
    };

    void addPairs();
    void takeProbes();
    void takePublished();
    void takeMolalities(std::span<const double> molality);
    void pairs();
    void probes();
    void likePairs();
    void neutralsAndSolvent();
    void noteRange(const Pair& pair, double cation, double anion);

    const chemistry::Catalogue& m_catalogue;
    std::vector<chemistry::SpeciesIndex> m_species;
    std::size_t m_present;
    std::vector<int> m_charges;
    std::vector<double> m_setchenow;
    std::vector<Pair> m_pairs; ///< Of those that may be there.
    std::vector<ProbePair> m_probePairs;
    std::vector<ProbeClass> m_probeClasses;
    std::vector<Probe> m_probes;
    std::vector<LikePair> m_likePairs;
    std::vector<Triple> m_triples;
    std::vector<double> m_molality; ///< Scaled down to the highest ionic strength.
    double m_scale = 1.0;
    double m_strength = 0.0;
    double m_z = 0.0;
    double m_f = 0.0;
    double m_cSum = 0.0;
    double m_osmoticSum = 0.0;
    double m_total = 0.0;
    ActivityResult m_result;
};

} // namespace anodex::liquid
