// src/core/cell/Evaluation.h - everything the model says about one design at rest and under load.
//
// Units      SI. Signs as in Polarisation.h.
// Threads    evaluate() and estimateDoubt() are pure; the doubt is the same for any number of threads.
#pragma once
#include "core/base/Interval.h"
#include "core/cell/Capacity.h"
#include "core/cell/Resistance.h"
#include "core/cell/SampledCurve.h"
#include "core/design/Cell.h"
#include <array>
#include <cmath>
#include <memory>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

namespace anodex::cell {

/// A reaction that could run on a side, as it stands at open circuit.
struct CompetingReaction {
    std::size_t reaction = 0;
    double equilibriumVolts = 0.0;
    double amps = 0.0;                                   ///< Anodic positive; 0 when blocked.
    electrode::Blocked blocked = electrode::Blocked::No; ///< No when at least one route is open.
    std::optional<chemistry::SpeciesIndex> missing;
};

struct SideResult {
    double restVolts = 0.0;
    double facePh = 0.0;        ///< Of the liquid at its face, at rest …
    double facePhAtPower = 0.0; ///< … and at settled maximum power.
    std::optional<double>
        otherRestVolts;            ///< Where it settles if a film that is near its limit decides otherwise.
    double restSwayVolts = 0.0;    ///< By how much a tenth more of what it reduces moves its rest. >= 0.
    double equilibriumVolts = 0.0; ///< Of the working couple.
    WorkingCouple couple;
    std::vector<CompetingReaction> competing; ///< Most current first.
    double corrosionAmps = 0.0;               ///< Anodic partial current of its own solid at rest.
    double hydrogenAmps = 0.0;                ///< Hydrogen's share at rest.
    double collectorAmps = 0.0; ///< What its collector's surface takes of that corrosion at rest.
};

struct MomentResult {
    double shortCircuitAmps = 0.0;
    PowerPoint maximumPower;
};

inline constexpr double kMeterInputOhm = 1e7; ///< Of a common digital meter.

enum class LossPart {
    Mixed,
    NegativePolarisation,
    PositivePolarisation,
    Liquid,
    Separator,
    Collectors,
    Contacts
};

struct Loss {
    LossPart part = LossPart::Contacts;
    double volts = 0.0;
};

struct Evaluation {
    std::shared_ptr<const state::Contents> contents; ///< What was asked about.
    double thermodynamicVolts = 0.0;
    double openCircuitVolts = 0.0;
    double junctionVolts = 0.0;
    MomentResult first;
    MomentResult settled;
    ResistanceBudget resistance;
    std::array<SideResult, 2> sides;
    Capacity capacity;
    double meterVolts = 0.0;        ///< What a meter of kMeterInputOhm shows with nothing else connected.
    double crossoverAmps = 0.0;     ///< The positive side's reagent that wanders over to the negative.
    double selfDischargeAmps = 0.0; ///< Corrosion of the worse electrode, and the crossover.
    std::optional<double>
        restLifeSeconds;            ///< Until self-discharge has used up the expected capacity or it is dry.
    double dryingKgPerSecond = 0.0; ///< Solvent lost through faces that breathe.
    double sharedLiquidAmps = 0.0;  ///< Leak if the next cell of a string stood in the same liquid.
    double heatAtRestWatts = 0.0;   ///< Of the corrosion alone.
    double heatAtPowerWatts = 0.0;  ///< All of it, at maximum power (settled).
    double hydrogenM3PerSecond = 0.0; ///< At 20 °C and 101.325 kPa, both electrodes, at rest.
    std::vector<CurvePoint> curve;    ///< Moment `first`.

    /// False where the open-circuit voltage is nothing but a difference of drifts, microvolts either way.
    [[nodiscard]] bool drives() const {
        constexpr double kNothingDrives = 5e-3; // V
        return std::abs(openCircuitVolts) >= kNothingDrives;
    }
    [[nodiscard]] const SideResult& side(design::Side which) const {
        return sides[static_cast<std::size_t>(which)];
    }
    [[nodiscard]] const liquid::Solution& solution(design::Side which) const {
        return contents->poured(which);
    }
};

struct EvaluationOptions {
    int curvePoints = 200;
};

/// Of a compiled cell in a state; its world decides every value.
[[nodiscard]] Evaluation evaluate(const CompiledCell& compiled,
                                  std::shared_ptr<const state::Contents> contents,
                                  const EvaluationOptions& options = {});
/// As built, with the catalogue's own values.
[[nodiscard]] Evaluation evaluate(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const EvaluationOptions& options = {});

/// Under which loss the drop across a part of the resistance is counted.
[[nodiscard]] LossPart lossPartOf(ResistancePart part);

/// Voltage lost at `amps`, part by part; they sum to thermodynamic minus terminal voltage.
[[nodiscard]] std::vector<Loss> lossesAt(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                         const Evaluation& evaluation, double amps,
                                         electrode::Moment moment = electrode::Moment::First);

} // namespace anodex::cell
