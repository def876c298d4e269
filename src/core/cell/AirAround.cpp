#include "core/cell/AirAround.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

constexpr double kDay = 86400.0; // s
// A small room with its window shut, and a lid that closes badly (common practice, no source).
constexpr double kSmallRoomM3 = 30.0;
constexpr double kShutWindowPerSecond = 0.5 / 3600.0;
constexpr double kLoosePerSecond = 0.5 / 3600.0;
// What a breath takes in stands in a light breeze: 0.1 m/s through one square metre.
constexpr double kBreezeM3PerSecond = 0.1;

struct Vessel {
    Space space;
    double volumeM3;
    double changesPerSecond;
};

std::vector<Vessel> vesselsOf(const design::Cell& cell) {
    std::vector<Vessel> vessels;
    if (cell.closed) {
        vessels.push_back({Space::HeadSpace, cell.headSpaceM3, 0.0});
    }
    if (cell.place.boxM3) {
        vessels.push_back({Space::Box, *cell.place.boxM3, kLoosePerSecond});
    }
    if (!cell.place.outdoors) {
        vessels.push_back({Space::Room, cell.place.roomM3.value_or(kSmallRoomM3),
                           cell.place.airChangesPerSecond.value_or(kShutWindowPerSecond)});
    }
    return vessels;
}

SpaceAir filled(const Vessel& vessel, const chemistry::AirLimit& limit, chemistry::SpeciesIndex gas,
                double flow) {
    const double n = vessel.changesPerSecond;
    SpaceAir air{vessel.space, gas, 0.0, limit.share, std::nullopt};
    const double rise = flow / vessel.volumeM3;
    air.share = std::min(1.0, n > 0.0 ? rise / n * -std::expm1(-n * kDay) : rise * kDay);
    if (air.share >= limit.share) {
        air.secondsToLimit = n > 0.0 ? -std::log1p(-limit.share * n / rise) / n : limit.share / rise;
    }
    return air;
}

} // namespace

std::vector<SpaceAir> airAround(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                const std::vector<GasFlow>& flows) {
    std::vector<SpaceAir> spaces;
    const double together = static_cast<double>(cell.string.series) * cell.string.parallel;
    for (const GasFlow& gas : flows) {
        const auto& limit = catalogue.species[gas.species].airLimit;
        const double flow = gas.molesPerSecond * kGasM3PerMole * (limit ? limit->escapes : 0.0);
        if (flow <= 0.0) {
            continue;
        }
        for (const Vessel& vessel : vesselsOf(cell)) {
            // Each closed case holds its own cell only.
            const double cells = vessel.space == Space::HeadSpace ? 1.0 : together;
            spaces.push_back(filled(vessel, *limit, gas.species, cells * flow));
        }
        if (cell.place.outdoors) {
            spaces.push_back({Space::Outdoors, gas.species,
                              std::min(1.0, together * flow / kBreezeM3PerSecond), limit->share,
                              std::nullopt});
        }
    }
    std::stable_sort(spaces.begin(), spaces.end(), [](const SpaceAir& a, const SpaceAir& b) {
        return a.share / a.limit > b.share / b.limit;
    });
    return spaces;
}

double standardVentilation(double gasAmps, int cells) {
    constexpr double kM3PerAmpereSecond = 0.05 / 3600.0; // 0.05 m³/(A h): dilution to 4 %, five times over
    return kM3PerAmpereSecond * gasAmps * cells;
}

} // namespace anodex::cell
