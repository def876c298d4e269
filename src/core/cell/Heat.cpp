#include "core/cell/Heat.h"

namespace anodex::cell {

double heatWatts(const chemistry::Catalogue& catalogue, const Polarisation& curve, double cellAmps) {
    double watts = -curve.voltsAt(cellAmps) * cellAmps;
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        for (const electrode::Partial& partial :
             curve.electrode(side).partialsAt(curve.seatAt(side, cellAmps))) {
            watts -= partial.amps * catalogue.reactions[partial.route.reaction].thermoneutralVolts;
        }
    }
    return watts;
}

} // namespace anodex::cell
