#include "core/findings/FindingKind.h"

#include <algorithm>
#include <iterator>

namespace anodex::findings {
namespace {

struct Row {
    FindingCode code;
    FindingKind kind;
};

constexpr Row kRows[] = {{FindingCode::HydrogenGas, {"hydrogen-gas", Measure::GasPerSecond}},
                         {FindingCode::CorrosiveLiquid, {"corrosive-liquid", Measure::None}},
                         {FindingCode::IrritatingLiquid, {"irritating-liquid", Measure::None}},
                         {FindingCode::HazardousMaterial, {"hazardous-material", Measure::None}},
                         {FindingCode::HighShortCircuit, {"high-short-circuit", Measure::Ampere}},
                         {FindingCode::CaseAttacked, {"case-attacked", Measure::None}},
                         {FindingCode::PolarityReversed, {"polarity-reversed", Measure::None}},
                         {FindingCode::OpenJunction, {"open-junction", Measure::None}},
                         {FindingCode::TooLittleLiquid, {"too-little-liquid", Measure::Millilitre}},
                         {FindingCode::NoCarriers, {"no-carriers", Measure::None}},
                         {FindingCode::Undissolved, {"undissolved", Measure::Gram}},
                         {FindingCode::SameMaterial, {"same-material", Measure::None}},
                         {FindingCode::NeedsForming, {"needs-forming", Measure::AmpereHour}},
                         {FindingCode::RestAlike, {"rest-alike", Measure::Volt}},
                         {FindingCode::RestSways, {"rest-sways", Measure::Millivolt}},
                         {FindingCode::HardlyAnyCurrent, {"hardly-any-current", Measure::Ampere}},
                         {FindingCode::HarmfulToWater, {"harmful-to-water", Measure::None}},
                         {FindingCode::CollectorWastes, {"collector-wastes", Measure::Ampere}},
                         {FindingCode::PressedSeparator, {"pressed-separator", Measure::None}},
                         {FindingCode::LayersMix, {"layers-mix", Measure::None}},
                         {FindingCode::LiesInOtherLayer, {"lies-in-other-layer", Measure::None}},
                         {FindingCode::StoresAsCapacitor, {"stores-as-capacitor", Measure::AmpereHour}},
                         {FindingCode::BeyondData, {"beyond-data", Measure::None}},
                         {FindingCode::EstimatedConductivity, {"estimated-conductivity", Measure::None}},
                         {FindingCode::Precipitate, {"precipitate", Measure::Gram}},
                         {FindingCode::NoPhScale, {"no-ph-scale", Measure::None}},
                         {FindingCode::FilmUndecided, {"film-undecided", Measure::Volt}},
                         {FindingCode::PlatesOnNegative, {"plates-on-negative", Measure::Ampere}},
                         {FindingCode::CoatWearsThrough, {"coat-wears-through", Measure::Duration}},
                         {FindingCode::StarvedOfAir, {"starved-of-air", Measure::None}},
                         {FindingCode::ClosedGas, {"gas-in-closed-vessel", Measure::GasPerSecond}},
                         {FindingCode::AcidBesideAlkali, {"acid-beside-alkali", Measure::None}},
                         {FindingCode::FilmAlone, {"film-alone", Measure::Ohm}},
                         {FindingCode::RunsHot, {"runs-hot", Measure::Kelvin}},
                         {FindingCode::GasInHeadSpace, {"gas-in-head-space", Measure::ShareOfAir}},
                         {FindingCode::GasInBox, {"gas-in-box", Measure::ShareOfAir}},
                         {FindingCode::GasInRoom, {"gas-in-room", Measure::ShareOfAir}},
                         {FindingCode::GasOutdoors, {"gas-outdoors", Measure::ShareOfAir}},
                         {FindingCode::GasOnCharge, {"gas-on-charge", Measure::AirPerHour}},
                         {FindingCode::HalogenOnCharge, {"halogen-on-charge", Measure::GramPerHour}},
                         {FindingCode::NearFlame, {"hydrogen-near-flame", Measure::GasPerSecond}},
                         {FindingCode::ChargeImpossible, {"charge-impossible", Measure::None}},
                         {FindingCode::ChargeBackwards, {"charge-backwards", Measure::None}},
                         {FindingCode::ChargeTooFast, {"charge-too-fast", Measure::Ampere}},
                         {FindingCode::ChargeTooHigh, {"charge-voltage-too-high", Measure::Volt}},
                         {FindingCode::ChargeTooLow, {"charge-voltage-too-low", Measure::Volt}},
                         {FindingCode::SharedLiquid, {"shared-liquid", Measure::Ampere}},
                         {FindingCode::HighVoltage, {"high-voltage", Measure::Volt}},
                         {FindingCode::NotFoodAgain, {"not-food-again", Measure::None}},
                         {FindingCode::Rule, {"", Measure::None}}};

} // namespace

const FindingKind& kindOf(FindingCode code) {
    return std::find_if(std::begin(kRows), std::end(kRows), [&](const Row& row) { return row.code == code; })
        ->kind;
}

} // namespace anodex::findings
