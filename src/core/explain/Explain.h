// src/core/explain/Explain.h - how a number was found: formula, inputs, sources, down to the constants.
//
// The tree is built from the functions and values of the evaluation itself.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/explain/Explanation.h"

namespace anodex::explain {

enum class Quantity {
    ThermodynamicVoltage,
    OpenCircuitVoltage,
    ShortCircuitCurrent,
    MaximumPower,
    Resistance,
    ResistancePart, ///< index: share of the budget
    Capacity,
    Reagent, ///< index: reagent of the capacity
    SelfDischarge,
    Hydrogen,
    RestPotential,        ///< side
    EquilibriumPotential, ///< side, index: competing reaction of the side
    Conductivity,         ///< side
    Acidity,              ///< side
    LoadedVoltage,        ///< amps
    Loss,                 ///< amps, index: loss of lossesAt()
    InternalResistance,   ///< amps: of a step of the load from nothing
    ElectrodeMass,        ///< side
    ChargeVoltage,        ///< amps
    LiquidVolume          ///< side; its pH and conductivity among the inputs
};

struct QuantityKey {
    Quantity quantity = Quantity::OpenCircuitVoltage;
    design::Side side = design::Side::Negative;
    std::size_t index = 0;
    double amps = 0.0;
    electrode::Moment moment = electrode::Moment::First; ///< Of a loaded voltage and its losses.
    bool operator==(const QuantityKey&) const = default;
};

[[nodiscard]] Explanation explain(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const cell::Evaluation& evaluation, const QuantityKey& key);

} // namespace anodex::explain
