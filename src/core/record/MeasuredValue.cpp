#include "core/record/MeasuredValue.h"

#include <limits>

namespace anodex::record {

std::optional<Reading> measuredValue(const std::vector<Reading>& readings, const std::vector<Event>& events,
                                     ReadingQuantity quantity) {
    Millis changed = std::numeric_limits<Millis>::min();
    for (const Event& event : events) {
        if (event.changesCell) {
            changed = std::max(changed, event.when);
        }
    }
    std::optional<Reading> latest;
    for (const Reading& reading : readings) {
        const bool counts = reading.quantity == quantity && !reading.struckOut && reading.when >= changed;
        if (counts && (!latest || reading.when >= latest->when)) {
            latest = reading;
        }
    }
    return latest;
}

} // namespace anodex::record
