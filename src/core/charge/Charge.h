// src/core/charge/Charge.h - the cell on charge: voltage, what the current really does, gas, and how fast is
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
#include "core/cell/Evaluation.h"
#include "core/charge/Charging.h"
#include <optional>
#include <stop_token>

namespace anodex::charge {

[[nodiscard]] Charging chargingOf(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const cell::Evaluation& evaluation);

/// 5-95 % of the voltage while the charge passes `amps`. Empty when `stop` was requested before the end.
[[nodiscard]] std::optional<base::Interval> chargeVoltsDoubt(const chemistry::Catalogue& catalogue,
                                                             const design::Cell& cell,
                                                             const cell::Evaluation& evaluation,
                                                             const Charging& charging, double amps,
                                                             int samples, const std::stop_token& stop = {});

} // namespace anodex::charge
