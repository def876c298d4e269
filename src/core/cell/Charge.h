// src/core/cell/Charge.h - the cell on charge: voltage, what the current really does, gas, and how fast is
// too fast.
//
// Law        the same curve as on discharge, continued to negative current: E+ - E- + junction + I R. Of
//            the current on each side that part is stored which drives the discharge couple back, plates a
//            metal that the couple can use, or makes an oxidant that stays in the cell; the rest makes gas
//            or eats the electrode. Current efficiency is the smaller of the two sides' stored shares.
// State      a cell as it was built where that takes charge, otherwise after half of what it can give.
// Limits     the fastest charge keeps nine tenths of the best efficiency; a metal plates from still liquid
//            at up to half its limiting current, above which it grows loose (Ibl, Adv. Electrochem.
//            Electrochem. Eng. 2 (1962)); no more than half the resting voltage is lost on top of it. A cell
//            that was used takes in an hour no more than it lacks (Woodbridge, Trans. AIEE 54, 516 (1935)),
//            below the voltage at which the full one would gas. All from memory.
// Units      A (positive while charging), V, mol/s.
#pragma once
#include "core/cell/AirAround.h"
#include "core/cell/ChargeProducts.h"
#include "core/cell/Evaluation.h"
#include <array>
#include <optional>
#include <stop_token>
#include <vector>

namespace anodex::cell {

inline constexpr double kGentleVolts = 0.1;    ///< Above the floor: the gentle charge of common practice.
inline constexpr double kGassingHours = 200.0; ///< A full cell gases when its capacity would last so long.

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
    std::vector<GasFlow> gas;                             ///< The most of taking charge and being full.
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
    ChargeDetail gentle; ///< kGentleVolts above the floor; where impossible, what would happen there.
    std::optional<ChargePoint> best; ///< The fastest charge that still stores well.
    ChargeLimit bestLimit = ChargeLimit::None;
    std::optional<ChargeDetail> asked; ///< At the current or voltage the design states.
    std::vector<ChargePoint> curve;    ///< By rising current.
};

[[nodiscard]] Charging chargingOf(const chemistry::Catalogue& catalogue, const Cell& cell,
                                  const Evaluation& evaluation);

/// 5-95 % of the voltage while the charge passes `amps`. Empty when `stop` was requested before the end.
[[nodiscard]] std::optional<base::Interval> chargeVoltsDoubt(const chemistry::Catalogue& catalogue,
                                                             const Cell& cell, const Evaluation& evaluation,
                                                             const Charging& charging, double amps,
                                                             int samples, const std::stop_token& stop = {});

} // namespace anodex::cell
