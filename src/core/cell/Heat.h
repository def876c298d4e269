// src/core/cell/Heat.h - how warm a cell makes itself.
//
// Law        every reaction releases what its enthalpy holds beyond the work the cell hands out:
//            P = -Σ i_r E_thermoneutral over both electrodes - V I, with anodic partial currents positive and
//            E_thermoneutral = -ΔH / nF from the species' enthalpies (E0 - T dE0/dT where one is unknown).
//            At rest only the partial currents that cancel remain: the heat of corrosion.
// Units      W; never negative by more than the entropy a cell takes up from its surroundings.
#pragma once
#include "core/cell/Polarisation.h"

namespace anodex::cell {

[[nodiscard]] double heatWatts(const chemistry::Catalogue& catalogue, const Polarisation& curve,
                               double cellAmps);

} // namespace anodex::cell
