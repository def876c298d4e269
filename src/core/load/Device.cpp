#include "core/load/Device.h"

namespace anodex::load {

double ampsAt(const Device& device, double volts) {
    if (!device.isKnown()) {
        return 0.0;
    }
    if (volts < 0.0) {
        return device.blocksReversed ? 0.0 : -ampsAt(device, -volts);
    }
    const base::Table& table = device.amps;
    if (volts < table.front().x) {
        return 0.0;
    }
    const base::TablePoint& last = table.back();
    if (volts <= last.x || table.size() < 2) {
        return base::interpolated(table, volts);
    }
    const base::TablePoint& before = table[table.size() - 2];
    return last.y + (volts - last.x) * (last.y - before.y) / (last.x - before.x);
}

} // namespace anodex::load
