#include "wording/FindingText.h"

#include "wording/ChargeText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <fmt/format.h>

namespace anodex::wording {

using findings::Finding;
using findings::FindingCode;

namespace {

/// "a", "a and b", "a, b and c"
std::string listed(const std::vector<std::string>& names) {
    std::string text;
    for (std::size_t i = 0; i < names.size(); ++i) {
        text += (i == 0 ? "" : i + 1 == names.size() ? " and " : ", ") + names[i];
    }
    return text;
}

std::string capitalised(std::string text) {
    if (!text.empty() && text.front() >= 'a' && text.front() <= 'z') {
        text.front() = static_cast<char>(text.front() - 'a' + 'A');
    }
    return text;
}

/// "3 ppm", "2.4 %"
std::string airShareText(double share) {
    constexpr double kPercentFrom = 1e-3;
    return share < kPercentFrom ? numberText(share * 1e6, 2) + " ppm" : numberText(share * 100.0, 2) + " %";
}

FindingText badAir(const Finding& finding, cell::Space space) {
    return {"Bad air",
            fmt::format("{} reaches {} in the {}: too much.", capitalised(finding.names.front()),
                        airShareText(finding.value), spaceText(space)),
            "Charge or use it outdoors or under an open window, more slowly, and never leave it shut in."};
}

/// The rule's reason with the material's name where it leaves room for one.
FindingText ruleText(const chemistry::CompatibilityRule& rule, const std::string& name) {
    std::string reason = rule.reason;
    for (std::size_t at = reason.find("{}"); at != std::string::npos; at = reason.find("{}")) {
        reason.replace(at, 2, name);
    }
    return {rule.title, capitalised(std::move(reason)), rule.remedy};
}

} // namespace

FindingText findingText(const Finding& finding) {
    const std::string name = listed(finding.names);
    switch (finding.code) {
    case FindingCode::HydrogenGas:
        return {"Gives off hydrogen",
                fmt::format("The {} makes about {} of hydrogen even at rest. Hydrogen burns from 4 % in air.",
                            name, quantityText(finding.value, Unit::M3PerSecond)),
                "Never close the vessel; work in a draught, away from flames and sparks; connect and "
                "disconnect elsewhere."};
    case FindingCode::CorrosiveLiquid:
        return {"Burns skin and eyes", fmt::format("The liquid holds {}, which burns skin and eyes.", name),
                "Wear sealed goggles and gloves; rinse splashes for 20 minutes with much water, never "
                "neutralise on skin; follow local "
                "rules."};
    case FindingCode::HazardousMaterial:
        return {"Harmful material", fmt::format("Dust and solutions of {} are harmful.", name),
                "Wear gloves, raise no dust, wash hands, keep it from food, and hand in the remains as local "
                "rules say."};
    case FindingCode::HighShortCircuit:
        return {"Strong short-circuit current",
                fmt::format("A short circuit gives about {}.", quantityText(finding.value, Unit::Ampere)),
                "Take off rings and bracelets, insulate tools, fit a fuse."};
    case FindingCode::CaseAttacked:
        return {"Case does not last", fmt::format("{} does not last in a liquid of this pH.", name),
                "Choose a case that lasts in it; the list of cases says at which pH each does."};
    case FindingCode::PolarityReversed:
        return {"Leads are swapped",
                fmt::format("The {} is the positive side: the meter will read below zero.", name),
                "Swap the two electrodes in the design, or the leads on the meter."};
    case FindingCode::OpenJunction:
        return {"The liquids will mix", "Two liquids with nothing between them mix within hours.",
                "Put a membrane, a bridge or a density layer between them."};
    case FindingCode::TooLittleLiquid:
        return {"Too little liquid",
                fmt::format("About {} mL more are needed to fill the space between the electrodes.",
                            numberText(finding.value * 1e6, 2)),
                "Add liquid, or make the area or the gap smaller."};
    case FindingCode::NoCarriers:
        return {"Hardly conducts", "The liquid holds almost no ions; even a meter pulls the voltage down.",
                "Dissolve a salt, an acid or an alkali in it."};
    case FindingCode::Undissolved:
        return {"Does not all dissolve",
                fmt::format("{} g of {} stay undissolved.", numberText(finding.value * 1e3, 2), name),
                "Use less of it, or more liquid."};
    case FindingCode::SameMaterial:
        return {"The same on both sides",
                fmt::format("Both electrodes are {}: only differences between the two sides give a voltage.",
                            name),
                "Change one electrode, its liquid or its air."};
    case FindingCode::HarmfulToWater:
        return {"Not down the drain",
                fmt::format("{} {} very toxic to life in water.", capitalised(name),
                            finding.names.size() > 1 ? "are" : "is"),
                "Collect the leftovers and hand them in as local rules say."};
    case FindingCode::PressedSeparator:
        return {"Separator is pressed",
                fmt::format("The gap is narrower than the layers of {}; they are taken as pressed.", name),
                "Measure the gap as built."};
    case FindingCode::BeyondData:
        return {"Strength beyond the data",
                "Activities of this liquid go beyond published measurements or take typical values.",
                "Trust the range more than the value; measure the open circuit."};
    case FindingCode::EstimatedConductivity:
        return {"Conductivity is estimated",
                "No published conductivity covers the ions that carry most of the current here.",
                "Measure the cell's resistance and enter it."};
    case FindingCode::Precipitate:
        return {"Something falls out",
                fmt::format("About {} g of {} settle out of the mix.", numberText(finding.value * 1e3, 2),
                            prettyEquation(name)),
                "Expect a cloudy liquid and a film; use less of what makes it, or keep the two apart."};
    case FindingCode::FilmUndecided:
        return {
            "The film may hold or not",
            fmt::format("This liquid is near the limit of the film on the {}: it may as well settle at {}.",
                        name, quantityText(finding.value, Unit::Volt)),
            "Make the liquid clearly weaker or stronger in acid or alkali, or measure which it is."};
    case FindingCode::PlatesOnNegative:
        return {"Plates on the negative",
                fmt::format("{} plates on the {} by itself, at {}: it wastes both.",
                            capitalised(prettyEquation(finding.names.back())), finding.names.front(),
                            quantityText(finding.value, Unit::Ampere)),
                "Keep that salt on the positive side, behind a membrane, a pot or a layer."};
    case FindingCode::CoatWearsThrough:
        return {
            "Coat wears through",
            fmt::format("At its best power the coat of the {} lasts about {}; then the metal below shows.",
                        name, durationText(finding.value)),
            "Use solid metal, or draw less current."};
    case FindingCode::StarvedOfAir:
        return {"Starved of air", fmt::format("The {} lives on air, and hardly any reaches it.", name),
                "Open one face of it to the air, or drill more holes."};
    case FindingCode::ClosedGas:
        return {"Gas in a closed vessel",
                fmt::format("The {} gives off {} of hydrogen with nowhere to go: the vessel may burst.", name,
                            quantityText(finding.value, Unit::M3PerSecond)),
                "Leave an opening; never seal it. Keep flames away."};
    case FindingCode::AcidBesideAlkali:
        return {"Strong acid beside strong alkali", "If what parts them tears, the liquids boil up and spit.",
                "Use weaker liquids, a sound membrane and a tray below; wear sealed goggles and gloves."};
    case FindingCode::FilmAlone:
        return {"The film alone resists",
                fmt::format("{} opposes {}, more than all the rest of the cell.", capitalised(name),
                            quantityText(finding.value, Unit::Ohm)),
                "Press the film over its whole area on something that conducts well."};
    case FindingCode::RunsHot:
        return {
            "Runs hot",
            fmt::format("Eaten up in so little liquid, the {} could warm it by {} K; every ten kelvin "
                        "double the rate, until it boils and spits.",
                        name, numberText(finding.value, 2)),
            "Use less metal or more liquid, add the metal last and in pieces, stand the jar in cold water."};
    case FindingCode::GasInHeadSpace:
        return badAir(finding, cell::Space::HeadSpace);
    case FindingCode::GasInBox:
        return badAir(finding, cell::Space::Box);
    case FindingCode::GasInRoom:
        return badAir(finding, cell::Space::Room);
    case FindingCode::GasOutdoors:
        return badAir(finding, cell::Space::Outdoors);
    case FindingCode::GasOnCharge:
        return {
            "Gives off hydrogen on charge",
            fmt::format("The room needs {} m³ of fresh air an hour while it charges and for an hour after.",
                        numberText(finding.value * 3600.0, 2)),
            "Open a window, keep lids and boxes open, and switch the supply off before the clips come off."};
    case FindingCode::HalogenOnCharge:
        return {
            fmt::format("Charging makes {}", name),
            fmt::format("About {} g of {} an hour: it burns skin and eyes, stains and eats metal; what is "
                        "left of it stays in the liquid, with chlorate where salt was.",
                        numberText(finding.value * 3600.0 * 1e3, 2), name),
            "Gloves and goggles, outdoors or under a hood; never add an acid or a cleaner, never dry the "
            "used "
            "liquid."};
    case FindingCode::NearFlame:
        return {
            "Hydrogen near a flame",
            fmt::format("It gives off {} of {}; a flame or a spark sets it off.",
                        quantityText(finding.value, Unit::M3PerSecond), name),
            "Take flames, heaters and switches away, wait and air the room before you pull a clip, switch "
            "the supply off first."};
    case FindingCode::ChargeImpossible:
        return {"Cannot be charged",
                fmt::format("A charge stores nothing here: instead, {}.", listed(finding.names)),
                "Do not connect a supply; renew the metal or the liquid instead."};
    case FindingCode::ChargeBackwards:
        return {"Charger the wrong way round",
                fmt::format("The {} is the positive side: the supply's plus belongs there.", name),
                "Swap the leads of the supply before you switch it on."};
    case FindingCode::ChargeTooFast:
        return {"Charged too fast",
                fmt::format("Above {} the current goes into gas, heat or loose metal.",
                            quantityText(finding.value, Unit::Ampere)),
                "Turn the current down."};
    case FindingCode::ChargeTooHigh:
        return {"Supply set too high",
                fmt::format("A supply that stops at {} fills it; above that only side reactions follow.",
                            quantityText(finding.value, Unit::Volt)),
                "Set the supply's voltage lower."};
    case FindingCode::ChargeTooLow:
        return {"Supply set too low",
                fmt::format("The charge begins above {}: a lower voltage stores nothing.",
                            quantityText(finding.value, Unit::Volt)),
                "Set the supply a little above that."};
    case FindingCode::SharedLiquid:
        return {"Cells share one liquid",
                fmt::format("Their voltages do not add: up to {} flows through the liquid from cell to cell.",
                            quantityText(finding.value, Unit::Ampere)),
                "Give each cell a vessel of its own, or a wall that nothing seeps past."};
    case FindingCode::HighVoltage:
        return {"Dangerous voltage",
                fmt::format("The string reaches {}.", quantityText(finding.value, Unit::Volt)),
                "From 30 V keep bare ends covered and one hand in the pocket; from 60 V leave it to trained "
                "people. Never connect it to the mains; a capacitor keeps its charge."};
    case FindingCode::NotFoodAgain:
        return {"No food any more", fmt::format("Metal dissolves in the {}.", name),
                "Never eat or drink it or use the vessel for food again; throw fruit away."};
    case FindingCode::Rule:
        return ruleText(*finding.rule, name);
    case FindingCode::NoPhScale:
        return {"No pH scale here",
                "This liquid holds hardly any water: its pH and single potentials mean little.",
                "Trust only voltages measured on the cell itself."};
    }
    return {};
}

std::string findingCode(const Finding& finding) {
    switch (finding.code) {
    case FindingCode::HydrogenGas:
        return "hydrogen-gas";
    case FindingCode::CorrosiveLiquid:
        return "corrosive-liquid";
    case FindingCode::HazardousMaterial:
        return "hazardous-material";
    case FindingCode::HighShortCircuit:
        return "high-short-circuit";
    case FindingCode::CaseAttacked:
        return "case-attacked";
    case FindingCode::PolarityReversed:
        return "polarity-reversed";
    case FindingCode::OpenJunction:
        return "open-junction";
    case FindingCode::TooLittleLiquid:
        return "too-little-liquid";
    case FindingCode::NoCarriers:
        return "no-carriers";
    case FindingCode::Undissolved:
        return "undissolved";
    case FindingCode::SameMaterial:
        return "same-material";
    case FindingCode::HarmfulToWater:
        return "harmful-to-water";
    case FindingCode::PressedSeparator:
        return "pressed-separator";
    case FindingCode::BeyondData:
        return "beyond-data";
    case FindingCode::EstimatedConductivity:
        return "estimated-conductivity";
    case FindingCode::Precipitate:
        return "precipitate";
    case FindingCode::NoPhScale:
        return "no-ph-scale";
    case FindingCode::FilmUndecided:
        return "film-undecided";
    case FindingCode::PlatesOnNegative:
        return "plates-on-negative";
    case FindingCode::CoatWearsThrough:
        return "coat-wears-through";
    case FindingCode::StarvedOfAir:
        return "starved-of-air";
    case FindingCode::ClosedGas:
        return "gas-in-closed-vessel";
    case FindingCode::AcidBesideAlkali:
        return "acid-beside-alkali";
    case FindingCode::FilmAlone:
        return "film-alone";
    case FindingCode::RunsHot:
        return "runs-hot";
    case FindingCode::GasInHeadSpace:
        return "gas-in-head-space";
    case FindingCode::GasInBox:
        return "gas-in-box";
    case FindingCode::GasInRoom:
        return "gas-in-room";
    case FindingCode::GasOutdoors:
        return "gas-outdoors";
    case FindingCode::GasOnCharge:
        return "gas-on-charge";
    case FindingCode::HalogenOnCharge:
        return "halogen-on-charge";
    case FindingCode::NearFlame:
        return "hydrogen-near-flame";
    case FindingCode::ChargeImpossible:
        return "charge-impossible";
    case FindingCode::ChargeBackwards:
        return "charge-backwards";
    case FindingCode::ChargeTooFast:
        return "charge-too-fast";
    case FindingCode::ChargeTooHigh:
        return "charge-voltage-too-high";
    case FindingCode::ChargeTooLow:
        return "charge-voltage-too-low";
    case FindingCode::SharedLiquid:
        return "shared-liquid";
    case FindingCode::HighVoltage:
        return "high-voltage";
    case FindingCode::NotFoodAgain:
        return "not-food-again";
    case FindingCode::Rule:
        return finding.rule->id;
    }
    return "";
}

const char* severityText(findings::Severity severity) {
    switch (severity) {
    case findings::Severity::Danger:
        return "danger";
    case findings::Severity::Warning:
        return "warning";
    case findings::Severity::Note:
        return "note";
    }
    return "";
}

const char* findingPartText(findings::FindingPart part) {
    switch (part) {
    case findings::FindingPart::Negative:
        return "negative";
    case findings::FindingPart::Positive:
        return "positive";
    case findings::FindingPart::Electrolyte:
        return "electrolyte";
    case findings::FindingPart::Separator:
        return "separator";
    case findings::FindingPart::Collector:
        return "collector";
    case findings::FindingPart::Case:
        return "case";
    case findings::FindingPart::Whole:
        return "whole";
    }
    return "";
}

} // namespace anodex::wording
