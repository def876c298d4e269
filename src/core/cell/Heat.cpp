#include "core/cell/Heat.h"

namespace anodex::cell {

double heatWatts(const chemistry::Catalogue& catalogue, double temperatureKelvin, const Polarisation& curve,
                 double cellAmps) {
    double watts = -curve.voltsAt(cellAmps) * cellAmps;
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        const double volts = curve.potentialAt(side, cellAmps);
        for (const electrode::Route& route : curve.electrode(side).routes()) {
            if (route.blocked != electrode::Blocked::No) {
                continue;
            }
            const double perKelvin = catalogue.reactions[route.reaction].standardVoltsPerKelvin;
            const double thermoneutral = route.equilibriumVolts - temperatureKelvin * perKelvin;
            watts -= route.current(volts) * thermoneutral;
        }
    }
    return watts;
}

} // namespace anodex::cell
