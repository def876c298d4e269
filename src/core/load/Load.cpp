#include "core/load/Load.h"

namespace anodex::load {

double ampsAt(const Load& load, double volts) {
    switch (load.kind) {
    case Load::Kind::Resistor:
        return volts / load.value;
    case Load::Kind::Current:
        return load.value;
    case Load::Kind::Power:
        return load.value / volts;
    case Load::Kind::Device:
        return ampsAt(load.device, volts);
    case Load::Kind::Share:
        break;
    }
    return 0.0;
}

} // namespace anodex::load
