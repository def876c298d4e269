// src/core/charge/Charging.h - what is known of a cell on charge: points of its curve, reactions, gas,
// limits.
//
// Units      A (positive while charging), V, mol/s.
#pragma once
#include "core/cell/AirAround.h"
#include "core/charge/ChargeProducts.h"
#include <array>
#include <optional>
#include <vector>

namespace anodex::charge {

inline constexpr double kUsualDensity =
    10.0; ///< A/m²: with which a cell is charged (common practice, no source).
inline constexpr double kGentleVolts = 0.1; ///< Above the floor: the gentle charge of common practice.
inline constexpr double kHighestSupplyVolts = 30.0; ///< Of a hobbyist's supply (common practice, no source).
inline constexpr double kGassingHours = 200.0; ///< A full cell gases when its capacity would last so long …
inline constexpr double kFloatHours = 2000.0;  ///< … and keeps full (common practice, no source).

enum class ChargeState { AsBuilt, HalfUsed };
enum class ChargeLimit { None, SideReactions, Gassing, Plating, Missing, Resistance };

/// One reaction's part of the charging current on a side.
struct ChargeReaction {
    std::size_t reaction = 0;
    double equilibriumVolts = 0.0;
    double amps = 0.0; ///< In the direction of the charge.
    Fate fate = Fate::Lost;
};

struct ChargePoint {
    double amps = 0.0;
    double volts = 0.0;
    std::array<double, 2> potentialVolts{}; ///< By Side, against SHE.
    std::array<double, 2> storedShare{};    ///< By Side, 0 to 1; what goes back to the air counts.
    double storedVolts = 0.0;               ///< Between the couples that are driven back; 0 where none are.
    double efficiency = 0.0;                ///< Of the current; a side that is full already holds nothing up.
};

struct ChargeDetail {
    ChargePoint point;
    std::array<std::vector<ChargeReaction>, 2> reactions; ///< By Side, most current first.
    std::vector<cell::GasFlow> gas;                       ///< The most of taking charge and being full.
    double hydrogenAmps = 0.0;                            ///< The same, as current.
    std::optional<double> fullVolts; ///< At the same current once it is full and only gas is left to make.
};

struct Charging {
    bool possible = false;
    ChargeState state = ChargeState::AsBuilt;
    bool reversed = false; ///< The label is wrong: the charger's plus belongs on the labelled negative.
    double restVolts = 0.0;
    double floorVolts = 0.0;          ///< Rest, or the couples that a charge drives back: whichever is more.
    std::optional<ChargePoint> least; ///< The slowest charge that still stores well.
    std::array<double, 2> restPotentialVolts{}; ///< By Side, against SHE.
    std::optional<double> gassingVolts;         ///< Of the full cell, where the state is HalfUsed.
    std::optional<double> floatVolts;           ///< That keep it full, the same; none where it wastes more.
    ChargeDetail gentle; ///< kGentleVolts above the floor; where impossible, what would happen there.
    std::optional<ChargePoint> best; ///< The fastest charge that still stores well.
    ChargeLimit bestLimit = ChargeLimit::None;
    std::optional<ChargeDetail> asked; ///< At the current or voltage the design states.
    std::vector<ChargePoint> curve;    ///< By rising current.
};

} // namespace anodex::charge
