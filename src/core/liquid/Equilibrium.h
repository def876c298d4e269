// src/core/liquid/Equilibrium.h - mass action and ion interactions brought to agree.
//
// Method     speciation at given coefficients and coefficients at given speciation, in turn, with strides that
//            shorten when they go back and forth. A composition near the last one starts from its answer.
// Errors     a composition that the search does not reach throws base::Fault.
// Threads    one object serves one thread.
#pragma once
#include "core/liquid/Pitzer.h"
#include "core/liquid/Speciation.h"

namespace anodex::liquid {

class Equilibrium {
public:
    explicit Equilibrium(const chemistry::Catalogue& catalogue);

    /// An answer that was found before.
    struct Start {
        std::vector<double> lnGamma;    ///< By catalogue species.
        std::vector<double> lnActivity; ///< The same; -infinity where a species is not there.
        std::vector<chemistry::SpeciesIndex> solids;
        double lnSolventActivity = 0.0;
    };

    /// The next answer is found from there, whatever was found since.
    void beginWith(Start start);
    void settle(const SpeciationSetting& setting);

    /// Whether the last call met other species than the one before.
    [[nodiscard]] bool changedSpecies() const { return m_changedSpecies; }
    [[nodiscard]] const std::vector<chemistry::SpeciesIndex>& species() const {
        return m_speciation.species();
    }
    /// Parallel to species().
    [[nodiscard]] const SpeciationResult& result() const { return *m_result; }
    [[nodiscard]] const ActivityResult& activities() const { return *m_activities; }
    [[nodiscard]] double lnSolventActivity() const { return m_lnSolvent; }

private:
    void takeSpecies();
    void takeStart();
    [[nodiscard]] double stride();

    const chemistry::Catalogue& m_catalogue;
    Speciation m_speciation;
    std::unique_ptr<IonInteractions> m_interactions;
    std::vector<double> m_lnGamma; ///< Parallel to species().
    double m_lnSolvent = 0.0;
    std::vector<double> m_lastStride;
    double m_damping = 1.0;
    double m_relaxation = 1.0; ///< Share of a stride that is gone.
    double m_temperatureKelvin = 298.15;
    const SpeciationResult* m_result = nullptr;
    const ActivityResult* m_activities = nullptr;
    std::optional<Start> m_start; ///< None: ideal.
    bool m_startsAnew = false;
    bool m_changedSpecies = true;
};

} // namespace anodex::liquid
