// src/core/findings/Finding.h - one thing a builder should know, as a code, a part and a value.
//
// Codes are stable; src/wording turns them into sentences and remedies.
#pragma once
#include "core/chemistry/CompatibilityRule.h"
#include <memory>
#include <string>
#include <vector>

namespace anodex::findings {

using chemistry::Severity;
enum class FindingPart { Negative, Positive, Electrolyte, Separator, Collector, Case, Whole };

enum class FindingCode {
    HydrogenGas,
    CorrosiveLiquid,
    IrritatingLiquid,
    HazardousMaterial,
    HighShortCircuit,
    CaseAttacked,
    PolarityReversed,
    OpenJunction,
    TooLittleLiquid,
    NoCarriers,
    Undissolved,
    SameMaterial,
    NeedsForming,
    RestAlike,
    RestSways,
    HardlyAnyCurrent,
    HarmfulToWater,
    PressedSeparator,
    LayersMix,
    LiesInOtherLayer,
    StoresAsCapacitor,
    BeyondData,
    EstimatedConductivity,
    Precipitate,
    NoPhScale,
    FilmUndecided,
    PlatesOnNegative,
    CoatWearsThrough,
    CollectorWastes,
    StarvedOfAir,
    ClosedGas,
    AcidBesideAlkali,
    FilmAlone,
    RunsHot,
    GasInHeadSpace,
    GasInBox,
    GasInRoom,
    GasOutdoors,
    GasOnCharge,
    HalogenOnCharge,
    NearFlame,
    ChargeImpossible,
    ChargeBackwards,
    ChargeTooFast,
    ChargeTooHigh,
    ChargeTooLow,
    SharedLiquid,
    HighVoltage,
    NotFoodAgain,
    Rule ///< One of the catalogue's compatibility rules.
};

struct Finding {
    FindingCode code = FindingCode::BeyondData;
    Severity severity = Severity::Note;
    FindingPart part = FindingPart::Whole;
    std::vector<std::string> names; ///< Catalogue names of what it concerns.
    double value = 0.0;             ///< SI; meaning by code (m³/s of gas, A, kg, m³, s).
    std::shared_ptr<const chemistry::CompatibilityRule> rule = {};
};

} // namespace anodex::findings
