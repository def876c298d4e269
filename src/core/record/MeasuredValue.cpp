#include "core/record/MeasuredValue.h"

#include <limits>

namespace anodex::record {
namespace {

template <typename Counts>
std::optional<Reading> latestOf(const std::vector<Reading>& readings, const std::vector<Event>& events,
                                const Counts& counts) {
    Millis changed = std::numeric_limits<Millis>::min();
    for (const Event& event : events) {
        if (event.changesCell) {
            changed = std::max(changed, event.when);
        }
    }
    std::optional<Reading> latest;
    for (const Reading& reading : readings) {
        const bool stands = counts(reading) && !reading.struckOut && reading.when >= changed;
        if (stands && (!latest || reading.when >= latest->when)) {
            latest = reading;
        }
    }
    return latest;
}

} // namespace

std::optional<Reading> measuredValue(const std::vector<Reading>& readings, const std::vector<Event>& events,
                                     ReadingQuantity quantity) {
    return latestOf(readings, events, [&](const Reading& reading) { return reading.quantity == quantity; });
}

std::optional<Reading> measuredOnLoad(const std::vector<Reading>& readings,
                                      const std::vector<Event>& events) {
    return latestOf(readings, events, [](const Reading& reading) {
        return reading.quantity == ReadingQuantity::LoadedVoltage && (reading.loadOhm || reading.device);
    });
}

} // namespace anodex::record
