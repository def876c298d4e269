// src/core/cell/Explain.h - how a number was found: formula, inputs, sources, down to the constants.
//
// The tree is built from the functions and values of the evaluation itself. Symbols and formulas are
// mathematics; titles and units in words belong to src/wording.
#pragma once
#include "core/cell/Evaluation.h"
#include <string>
#include <vector>

namespace anodex::cell {

enum class Unit {
    None,
    Volt,
    Ampere,
    Watt,
    Ohm,
    Coulomb,
    Mole,
    SquareMetre,
    Metre,
    SiemensPerMetre,
    M3PerSecond,
    Kelvin,
    Kilogram,
    CubicMetre
};

struct Explanation {
    std::string symbol;  ///< "V_oc", "E(Zn²⁺)" …
    std::string formula; ///< Empty for an input.
    double value = 0.0;
    Unit unit = Unit::None;
    std::vector<std::string> sources; ///< Of the law or of the catalogue value.
    std::vector<Explanation> inputs;
};

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
    Side side = Side::Negative;
    std::size_t index = 0;
    double amps = 0.0;
    Moment moment = Moment::First; ///< Of a loaded voltage and its losses.
    bool operator==(const QuantityKey&) const = default;
};

[[nodiscard]] Explanation explain(const chemistry::Catalogue& catalogue, const Cell& cell,
                                  const Evaluation& evaluation, const QuantityKey& key);

} // namespace anodex::cell
