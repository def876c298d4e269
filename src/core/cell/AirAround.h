// src/core/cell/AirAround.h - what the gas of a cell does to the air it stands in.
//
// Law        a well-mixed space of volume V with n changes of air a second, fed with q: the share of gas is
//            q / (n V) (1 - e^(-n t)); without change of air, q t / V. Outdoors a light breeze carries the
//            gas past a face.
// Source     mass balance; limits in data/catalogue/species.json; ventilation after IEC 62485-2.
// Units      mol/s, m³/s of gas at 20 °C and 101.325 kPa, shares by volume.
#pragma once
#include "core/base/Constants.h"
#include "core/design/Cell.h"
#include <optional>
#include <vector>

namespace anodex::cell {

/// Of any gas at 20 °C.
inline constexpr double kGasM3PerMole = base::kGasConstant * 293.15 / base::kStandardPressure;

struct GasFlow {
    chemistry::SpeciesIndex species = 0;
    double molesPerSecond = 0.0; ///< As made at the electrode, before what the liquid keeps.
};

enum class Space { HeadSpace, Box, Room, Outdoors };

struct SpaceAir {
    Space space = Space::Room;
    chemistry::SpeciesIndex gas = 0;
    double share = 0.0; ///< Of the air, after a day or once it no longer rises.
    double limit = 0.0; ///< The share that is too much.
    std::optional<double> secondsToLimit;
};

/// One entry for each space it stands in and each gas that has a limit, the worst first.
[[nodiscard]] std::vector<SpaceAir> airAround(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                              const std::vector<GasFlow>& flows);

/// Flow of air that a battery of `cells` in series needs while each gives off hydrogen worth `gasAmps`.
[[nodiscard]] double standardVentilation(double gasAmps, int cells);

} // namespace anodex::cell
