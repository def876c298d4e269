// tests/reference/Cycles.h - whether the catalogue's potentials and constants agree through the energies of
// formation of the species they share.
#pragma once
#include <string>
#include <vector>

namespace anodex::test {

struct Relation {
    std::string equation;
    double millivolts = 0.0;  ///< Stored value over that of the energies, for one electron or mole.
    bool isPotential = false; ///< A couple's E0; else a formation constant.
    bool derived = false;     ///< An energy was derived from this very constant: no check of its own.
    std::string knownConflict;
};

struct Cycles {
    std::vector<Relation> relations;
    int independentCycles = 0; ///< Relations beyond the rank of their equations: closed loops.
};

[[nodiscard]] Cycles thermodynamicCycles();

} // namespace anodex::test
