#include "core/cell/Heat.h"

namespace anodex::cell {

double heatWatts(const chemistry::Catalogue& catalogue, const Polarisation& curve, double cellAmps) {
    double watts = -curve.voltsAt(cellAmps) * cellAmps;
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        const double volts = curve.potentialAt(side, cellAmps);
        for (const electrode::Route& route : curve.electrode(side).routes()) {
            watts -= route.current(volts) * catalogue.reactions[route.reaction].thermoneutralVolts;
        }
    }
    return watts;
}

} // namespace anodex::cell
