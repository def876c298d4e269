// src/core/liquid/Traces.h - what a liquid would do with a metal that nobody put in but an electrode may
// make.
//
// Units      mol/kg of all forms together at unit activity of the master; activities.
#pragma once
#include "core/liquid/Pitzer.h"
#include "core/liquid/Solution.h"
#include <memory>

namespace anodex::liquid {

/// The forms of absent masters and the solids that could fall out, looked up once for a set of species.
class Traces {
public:
    explicit Traces(const chemistry::Catalogue& catalogue);

    /// For a liquid in which just these species are dissolved.
    void setUp(const std::vector<chemistry::SpeciesIndex>& species);
    /// Fills `supplyPerActivity`, `saturation` and `saturationHydroxide`; the rest has to stand. Allocates nothing.
    void find(Solution& solution);

private:
    struct Form {
        chemistry::SpeciesIndex species = 0;
        chemistry::SpeciesIndex master = 0;
        std::size_t position = 0; ///< Among the interactions' species.
    };

    void findSupply(Solution& solution);
    void findSaturation(Solution& solution) const;
    [[nodiscard]] double hydroxideTaken(const chemistry::Formation& formation) const;

    const chemistry::Catalogue& m_catalogue;
    std::vector<chemistry::SpeciesIndex> m_solids;
    std::vector<Form> m_forms;
    std::unique_ptr<IonInteractions> m_interactions;
    std::size_t m_present = 0;
    std::vector<double> m_molality;
};

} // namespace anodex::liquid
