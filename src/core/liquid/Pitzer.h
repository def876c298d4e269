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

struct MolalAmount {
    chemistry::SpeciesIndex species = 0;
    double molality = 0.0;
};

[[nodiscard]] ActivityResult pitzerActivities(const chemistry::Catalogue& catalogue,
                                              std::span<const MolalAmount> amounts, double temperatureKelvin);

} // namespace anodex::liquid
