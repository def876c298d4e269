// src/core/liquid/SpeciesRow.h - one species in terms of what a speciation solves for: ln of its molality, or of a
// solid's saturation ratio, is offset + Σ count · unknown.
//
// The unknown of a master is ln a + z ln(1/a_H), so that charge is the hydrogen ion's own total; ln a_H stands last
// where it is unknown too.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <optional>
#include <utility>
#include <vector>

namespace anodex::liquid {

struct SpeciesRow {
    chemistry::SpeciesIndex species = 0;
    std::vector<std::pair<std::size_t, double>> counts; ///< By the unknown's position, rising; none is 0.
    double charge = 0.0;
    double fixedOffset = 0.0; ///< Of its formation, and of a hydrogen ion that is given.
    double solventCount = 0.0;
    double offset = 0.0; ///< With coefficients and the solvent's activity.
};

/// None where a part of it is not among the masters. `chargeFree`: the hydrogen ion is unknown too.
[[nodiscard]] std::optional<SpeciesRow> rowOf(const chemistry::Catalogue& catalogue,
                                              chemistry::SpeciesIndex species,
                                              const std::vector<chemistry::SpeciesTerm>& masters,
                                              bool chargeFree);

/// Its fixed offset; of a hydrogen ion that is unknown nothing stands in it.
[[nodiscard]] double fixedOffsetOf(const chemistry::Catalogue& catalogue, const SpeciesRow& row,
                                   double temperatureKelvin, std::optional<double> lnHydrogenActivity);

} // namespace anodex::liquid
