// src/core/liquid/Composition.h - what a liquid holds, as amounts that no reaction within it changes.
//
// Every dissolved species and every solid that fell out of it is counted as the masters it is made of, with
// hydrogen ions and solvent; so what falls out stays counted, and what an electrode takes is simply
// subtracted.
//
// Units      mol, kg. Amounts may fall below zero when more was taken than was there; they are kept.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/liquid/Mixture.h"
#include <vector>

namespace anodex::liquid {

struct Composition {
    double solventKg = 0.0;
    std::vector<chemistry::SpeciesTerm> masters; ///< Moles of each in all its forms, by rising index.
    /// Moles of hydrogen ions, free and bound, over what the solvent itself holds; hydroxide counts -1. With
    /// the masters' charges it gives the charge of ions that a measured pH betrays and nobody named.
    double hydrogenMoles = 0.0;
    bool operator==(const Composition&) const = default;

    [[nodiscard]] double moles(chemistry::SpeciesIndex master) const;
    void addMaster(chemistry::SpeciesIndex master, double moles);
};

/// Puts in (or takes, below 0) some of a species, as its masters, hydrogen ions and solvent.
void add(const chemistry::Catalogue& catalogue, Composition& composition, chemistry::SpeciesIndex species,
         double moles);

/// What portions bring when all of them dissolve, without charge.
[[nodiscard]] Composition compositionOf(const chemistry::Catalogue& catalogue, double solventKg,
                                        const std::vector<Portion>& portions);

/// Charge of the masters alone, mol.
[[nodiscard]] double chargeOfMasters(const chemistry::Catalogue& catalogue, const Composition& composition);

/// Masters of which more was taken than was there, with how much is missing (> 0), and the solvent likewise.
[[nodiscard]] std::vector<chemistry::SpeciesTerm> shortfalls(const chemistry::Catalogue& catalogue,
                                                             const Composition& composition);

} // namespace anodex::liquid
