// src/core/liquid/Conductivity.h - conductivity of mixtures from tables of single salts.
//
// Rule       equivalent-fraction mixing: Λ = Σ x(cation) x(anion) Λ(pair), each pair read from its own salt's
//            table at the mixture's total equivalents per volume (compare Miller, J. Phys. Chem. 100, 1220
//            (1996)). Pairs without a table: limiting conductivities with a Kohlrausch-type fall.
// Units      S/m.
#pragma once
#include "core/liquid/Solution.h"

namespace anodex::liquid {

struct ConductivityResult {
    double siemensPerMetre = 0.0;
    bool estimated = false; ///< Pairs without a table carry over a tenth of the current.
};

/// The catalogue's tables, asked of any solution.
class Conductivity {
public:
    explicit Conductivity(const chemistry::Catalogue& catalogue);
    /// Needs the solution's molalities and volume. Allocates nothing once it has seen as many ions.
    ConductivityResult of(const Solution& solution);

private:
    struct Carrier {
        chemistry::SpeciesIndex species = 0;
        double equivalents = 0.0; ///< Per m³.
    };
    struct Salt {
        const chemistry::Substance* substance = nullptr;
        base::Table
            byRoot; ///< Equivalent conductivity against the root of equivalents per m³; made when first met.

        [[nodiscard]] const chemistry::ConductivityTable& table() const { return *substance->conductivity; }
    };

    void takeCarriers(const Solution& solution);
    [[nodiscard]] const Salt* saltOf(chemistry::SpeciesIndex cation, chemistry::SpeciesIndex anion);

    const chemistry::Catalogue& m_catalogue;
    std::vector<Salt> m_salts;
    std::vector<Carrier> m_cations;
    std::vector<Carrier> m_anions;
};

} // namespace anodex::liquid
