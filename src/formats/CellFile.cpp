#include "formats/CellFile.h"

#include "core/base/Constants.h"
#include "core/design/Resolve.h"
#include "formats/CellIds.h"
#include "formats/CellUse.h"
#include "formats/Scaled.h"

#include <fmt/format.h>

namespace anodex::formats {
namespace {

using design::Air;
using design::AmountUnit;
using design::CellDesign;
using design::ElectrodeDesign;
using design::LiquidBasis;
using design::LiquidDesign;
using design::Named;
using design::SoluteDesign;

using Code = FileError::Code;

constexpr const char* kCellFormat = "anodex-cell/1";
constexpr const char* kLiquidFormat = "anodex-liquid/1";
const NumberRange kTemperature{-25.0, 60.0, true, "a temperature from -25 to 60 °C"};
const NumberRange kPercent{0.0, 99.999999, false, "a percentage above 0 and below 100"};
const NumberRange kLayers{1.0, 1000.0, true, "a whole number, 1 or more"};

struct AmountKey {
    const char* key;
    AmountUnit unit;
    double toSi;
};
constexpr AmountKey kAmountKeys[] = {
    {"mass_g", AmountUnit::MassKg, 1e-3},      {"volume_mL", AmountUnit::VolumeM3, 1e-6},
    {"mol", AmountUnit::Moles, 1.0},           {"mol_per_L", AmountUnit::MolPerM3, 1e3},
    {"mol_per_kg", AmountUnit::MolPerKg, 1.0}, {"mass_percent", AmountUnit::MassFraction, 1e-2}};
struct BasisKey {
    const char* key;
    LiquidBasis basis;
    double toSi;
};
constexpr BasisKey kBasisKeys[] = {{"water_mL", LiquidBasis::SolventVolume, 1e-6},
                                   {"water_g", LiquidBasis::SolventMass, 1e-3},
                                   {"volume_mL", LiquidBasis::FinishedVolume, 1e-6}};

void checkFormat(JsonObject& root, const char* expected) {
    const std::string format = root.text("format");
    if (!root.failed() && format != expected) {
        root.fail(Code::WrongFormat, "format", "\"" + format + "\"", std::string("\"") + expected + "\"");
    }
}

SoluteDesign readSolute(JsonObject& entry) {
    SoluteDesign solute;
    solute.substance.written = entry.text("substance");
    int given = 0;
    for (const AmountKey& key : kAmountKeys) {
        const NumberRange& range = key.unit == AmountUnit::MassFraction ? kPercent : kPositive;
        if (const auto value = entry.maybeNumber(key.key, range)) {
            solute.amount = {key.unit, *value * key.toSi};
            ++given;
        }
    }
    if (given != 1) {
        entry.fail(given == 0 ? Code::MissingKey : Code::Conflict, "",
                   base::Said("{count} amounts", {{"count", std::to_string(given)}}),
                   "one of mass_g, volume_mL, mol, mol_per_L, mol_per_kg, mass_percent");
    }
    return solute;
}

void readGel(JsonObject& entry, LiquidDesign& liquid) {
    const Json* gel = entry.raw("gel");
    if (gel == nullptr) {
        return;
    }
    if (gel->is_boolean()) {
        if (gel->get<bool>()) {
            liquid.gel = design::Gel{};
        }
        return;
    }
    entry.object("gel", [&](JsonObject& inner) {
        liquid.gel = design::Gel{inner.text("agent"), 0.01 * inner.number("mass_percent", kPercent)};
    });
}

LiquidDesign readLiquid(JsonObject& entry) {
    LiquidDesign liquid;
    liquid.ready.written = entry.textOr("ready", "");
    int given = 0;
    for (const BasisKey& key : kBasisKeys) {
        if (const auto value = entry.maybeNumber(key.key, kPositive)) {
            liquid.basis = key.basis;
            liquid.basisValue = *value * key.toSi;
            ++given;
        }
    }
    if (given != 1) {
        entry.fail(given == 0 ? Code::MissingKey : Code::Conflict, "",
                   base::Said("{count} amounts of liquid", {{"count", std::to_string(given)}}),
                   "one of water_mL, water_g, volume_mL");
    } else if (!liquid.ready.empty() && liquid.basis != LiquidBasis::FinishedVolume) {
        entry.fail(Code::Conflict, "ready", "a ready-made liquid by another amount", "volume_mL with ready");
    }
    double fractions = 0.0;
    entry.eachObject("solutes", [&](JsonObject& item) {
        liquid.solutes.push_back(readSolute(item));
        fractions += liquid.solutes.back().amount.unit == AmountUnit::MassFraction
                         ? liquid.solutes.back().amount.value
                         : 0.0;
        if (fractions >= 1.0) {
            item.fail(Code::OutOfRange, "mass_percent", "percents of 100 or more in sum", "a sum below 100");
        }
    });
    readGel(entry, liquid);
    liquid.measuredPh = entry.maybeNumber("measured_pH", {-5.0, 20.0, true, "a pH from -5 to 20"});
    liquid.measuredDensity = scaled(entry.maybeNumber("measured_density_g_per_mL", kPositive), 1000.0);
    liquid.measuredConductivity = entry.maybeNumber("measured_conductivity_S_per_m", kPositive);
    return liquid;
}

std::optional<Air> readAir(JsonObject& entry) {
    if (!entry.has("air")) {
        (void)entry.raw("air");
        return std::nullopt;
    }
    const std::string text = entry.text("air");
    if (text == "none") {
        return Air::None;
    }
    if (text == "still") {
        return Air::Still;
    }
    if (text == "breathing") {
        return Air::Breathing;
    }
    entry.fail(Code::UnknownName, "air", "\"" + text + "\"", "none, still or breathing");
    return std::nullopt;
}

ElectrodeDesign readElectrode(JsonObject& entry) {
    ElectrodeDesign electrode;
    electrode.material.written = entry.text("material");
    electrode.wettedAreaM2 = 1e-4 * entry.number("wetted_area_cm2", kPositive);
    electrode.massKg = scaled(entry.maybeNumber("mass_g", kPositive), 1e-3);
    electrode.measuredMassKg = scaled(entry.maybeNumber("measured_mass_g", kPositive), 1e-3);
    electrode.thicknessMetres = scaled(entry.maybeNumber("thickness_mm", kPositive), 1e-3);
    entry.object("collector", [&](JsonObject& inner) {
        electrode.collector =
            design::CollectorDesign{Named{inner.text("material"), {}},
                                    scaled(inner.maybeNumber("resistance_mohm", kNotNegative), 1e-3)};
    });
    electrode.air = readAir(entry);
    electrode.openShare =
        scaled(entry.maybeNumber("open_percent", {0.0, 100.0, false, "a share above 0 and up to 100"}), 0.01);
    electrode.filledPores =
        scaled(entry.maybeNumber("filled_pores_percent", {0.0, 100.0, true, "a share from 0 to 100"}), 0.01);
    electrode.charged =
        scaled(entry.maybeNumber("charged_percent", {0.0, 100.0, true, "a share from 0 to 100"}), 0.01);
    entry.eachObject("additives", [&](JsonObject& item) {
        electrode.additives.push_back(
            {Named{item.text("material"), {}}, 1e-3 * item.number("mass_g", kPositive)});
    });
    electrode.measuredResistanceOhm = scaled(entry.maybeNumber("measured_resistance_mohm", kPositive), 1e-3);
    return electrode;
}

void readElectrolyte(JsonObject& root, CellDesign& design) {
    const Json* value = root.raw("electrolyte");
    if (value == nullptr) {
        root.fail(Code::MissingKey, "electrolyte", "nothing", "the liquid between the electrodes");
        return;
    }
    const bool two = value->is_object() && (value->contains("negative") || value->contains("positive"));
    root.object("electrolyte", [&](JsonObject& entry) {
        if (!two) {
            design.liquid = readLiquid(entry);
            return;
        }
        design.positiveLiquid.emplace();
        for (const char* side : {"negative", "positive"}) {
            if (!entry.has(side)) {
                entry.fail(Code::MissingKey, side, "nothing", "a liquid on each side");
            }
        }
        entry.object("negative", [&](JsonObject& inner) { design.liquid = readLiquid(inner); });
        entry.object("positive", [&](JsonObject& inner) { design.positiveLiquid = readLiquid(inner); });
    });
}

void requireObject(JsonObject& root, const char* key, const char* what) {
    if (!root.has(key)) {
        root.fail(Code::MissingKey, key, "nothing", what);
    }
}

CellDesign readCell(JsonObject& root) {
    CellDesign design;
    checkFormat(root, kCellFormat);
    design.name = root.textOr("name", "");
    design.family = root.textOr("family", "");
    if (const auto celsius = root.maybeNumber("temperature_C", kTemperature)) {
        design.temperatureKelvin = *celsius + base::kZeroCelsius;
    }
    requireObject(root, "negative", "the negative electrode");
    requireObject(root, "positive", "the positive electrode");
    root.object("negative", [&](JsonObject& entry) { design.negative = readElectrode(entry); });
    root.object("positive", [&](JsonObject& entry) { design.positive = readElectrode(entry); });
    readElectrolyte(root, design);
    root.object("separator", [&](JsonObject& entry) {
        design.separator =
            design::SeparatorDesign{Named{entry.text("material"), {}}, entry.maybeWhole("layers", kLayers),
                                    scaled(entry.maybeNumber("thickness_mm", kPositive), 1e-3)};
    });
    design.gapMetres = scaled(root.maybeNumber("gap_mm", kPositive), 1e-3);
    design.contactOhm = scaled(root.maybeNumber("contact_mohm", kNotNegative), 1e-3);
    design.stirred = root.flagOr("stirred", false);
    readUse(root, design);
    design.measuredResistanceOhm = scaled(root.maybeNumber("measured_resistance_mohm", kPositive), 1e-3);
    design.measuredOpenCircuitVolts = root.maybeNumber("measured_open_circuit_V");
    readIds(root, design);
    return design;
}

Json liquidJson(const LiquidDesign& liquid) {
    Json json = Json::object();
    if (!liquid.ready.empty()) {
        json["ready"] = writtenName(liquid.ready);
    }
    for (const BasisKey& key : kBasisKeys) {
        if (key.basis == liquid.basis) {
            json[key.key] = tidy(liquid.basisValue / key.toSi);
        }
    }
    if (!liquid.solutes.empty()) {
        json["solutes"] = Json::array();
    }
    for (const SoluteDesign& solute : liquid.solutes) {
        Json entry = {{"substance", writtenName(solute.substance)}};
        for (const AmountKey& key : kAmountKeys) {
            if (key.unit == solute.amount.unit) {
                entry[key.key] = tidy(solute.amount.value / key.toSi);
            }
        }
        json["solutes"].push_back(entry);
    }
    if (liquid.gel && liquid.gel->agent.empty()) {
        json["gel"] = true;
    } else if (liquid.gel) {
        json["gel"] = {{"agent", liquid.gel->agent},
                       {"mass_percent", tidy(100.0 * liquid.gel->massFraction)}};
    }
    put(json, "measured_pH", liquid.measuredPh, 1.0);
    put(json, "measured_density_g_per_mL", liquid.measuredDensity, 1e-3);
    put(json, "measured_conductivity_S_per_m", liquid.measuredConductivity, 1.0);
    return json;
}

Json electrodeJson(const ElectrodeDesign& electrode) {
    Json json = {{"material", writtenName(electrode.material)},
                 {"wetted_area_cm2", tidy(1e4 * electrode.wettedAreaM2)}};
    put(json, "mass_g", electrode.massKg, 1e3);
    put(json, "measured_mass_g", electrode.measuredMassKg, 1e3);
    put(json, "thickness_mm", electrode.thicknessMetres, 1e3);
    if (electrode.collector) {
        json["collector"] = {{"material", writtenName(electrode.collector->material)}};
        put(json["collector"], "resistance_mohm", electrode.collector->resistanceOhm, 1e3);
    }
    if (electrode.air) {
        json["air"] = *electrode.air == Air::None    ? "none"
                      : *electrode.air == Air::Still ? "still"
                                                     : "breathing";
    }
    put(json, "open_percent", electrode.openShare, 100.0);
    put(json, "filled_pores_percent", electrode.filledPores, 100.0);
    put(json, "charged_percent", electrode.charged, 100.0);
    for (const design::AdditiveDesign& additive : electrode.additives) {
        json["additives"].push_back(
            {{"material", writtenName(additive.material)}, {"mass_g", tidy(1e3 * additive.massKg)}});
    }
    put(json, "measured_resistance_mohm", electrode.measuredResistanceOhm, 1e3);
    return json;
}

} // namespace

tl::expected<CellDesign, FileError> readCellFile(std::string_view text) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    if (problem) {
        return tl::unexpected(*problem);
    }
    JsonObject root(json, "", problem);
    CellDesign design;
    if (!problem) {
        design = readCell(root);
        root.finish();
    }
    if (problem) {
        return tl::unexpected(*problem);
    }
    return design;
}

tl::expected<LiquidFile, FileError> readLiquidFile(std::string_view text) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    if (problem) {
        return tl::unexpected(*problem);
    }
    JsonObject root(json, "", problem);
    LiquidFile file;
    if (!problem) {
        checkFormat(root, kLiquidFormat);
        file.temperatureKelvin = base::kZeroCelsius + root.numberOr("temperature_C", 20.0, kTemperature);
        file.liquid = readLiquid(root);
        root.finish();
    }
    if (problem) {
        return tl::unexpected(*problem);
    }
    return file;
}

Json cellToJson(const CellDesign& design) {
    Json json = {{"format", kCellFormat}};
    if (!design.name.empty()) {
        json["name"] = design.name;
    }
    if (!design.family.empty()) {
        json["family"] = design.family;
    }
    if (design.temperatureKelvin) {
        json["temperature_C"] = tidy(*design.temperatureKelvin - base::kZeroCelsius);
    }
    json["negative"] = electrodeJson(design.negative);
    json["positive"] = electrodeJson(design.positive);
    if (design.positiveLiquid) {
        json["electrolyte"] = {{"negative", liquidJson(design.liquid)},
                               {"positive", liquidJson(*design.positiveLiquid)}};
    } else {
        json["electrolyte"] = liquidJson(design.liquid);
    }
    if (design.separator) {
        json["separator"] = {{"material", writtenName(design.separator->material)}};
        if (design.separator->layers) {
            json["separator"]["layers"] = *design.separator->layers;
        }
        put(json["separator"], "thickness_mm", design.separator->thicknessMetres, 1e3);
    }
    put(json, "gap_mm", design.gapMetres, 1e3);
    put(json, "contact_mohm", design.contactOhm, 1e3);
    if (design.stirred) {
        json["stirred"] = true;
    }
    writeUse(json, design);
    put(json, "measured_resistance_mohm", design.measuredResistanceOhm, 1e3);
    put(json, "measured_open_circuit_V", design.measuredOpenCircuitVolts, 1.0);
    writeIds(json, design);
    return json;
}

std::string writeCellFile(const CellDesign& design) {
    return cellToJson(design).dump(2) + "\n";
}

FileError toFileError(const design::DesignError& error) {
    using Design = design::DesignError::Code;
    const auto known = [&](const std::string& kind) {
        return error.suggestion.empty()
                   ? base::Said(kind)
                   : base::Said(kind + ", perhaps \"{near}\"", {{"near", error.suggestion}});
    };
    switch (error.code) {
    case Design::UnknownMaterial:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"",
                known("a material the catalogue knows")};
    case Design::UnknownSubstance:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"",
                known("a substance the catalogue knows")};
    case Design::UnknownLiquid:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"", known("a ready-made liquid")};
    case Design::UnknownSeparator:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"",
                known("a separator the catalogue knows")};
    case Design::UnknownCase:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"",
                known("a case the catalogue knows")};
    case Design::UnknownFamily:
        return {Code::UnknownName, error.field, "\"" + error.written + "\"", known("a family")};
    case Design::Refused:
        return {Code::Refused, error.field, "\"" + error.written + "\"", error.suggestion};
    case Design::NotPositive:
        return {Code::OutOfRange, error.field, "0, less, or no number", "a number above 0"};
    case Design::NotAShare:
        return {Code::OutOfRange, error.field, "no share", "a percentage up to 100"};
    case Design::NeverCharged:
        return {Code::OutOfRange, error.field,
                base::Said("a state of charge of {name}", {{"name", error.written}}),
                "none, or a plate that the catalogue knows charged and discharged"};
    case Design::TemperatureOutOfRange:
        return {Code::OutOfRange, error.field, "a temperature outside the model", "-25 to 60 °C"};
    case Design::Frozen:
        return {Code::OutOfRange, error.field, "a temperature at which ice forms in the liquid",
                base::Said("{celsius} °C or warmer, or a stronger liquid",
                           {{"celsius", fmt::format("{:.1f}", error.most - base::kZeroCelsius)}})};
    case Design::PercentTooHigh:
        return {Code::OutOfRange, error.field, "percents of 100 or more in sum", "a sum below 100"};
    case Design::StrongerThanNeat:
        return {Code::OutOfRange, error.field,
                base::Said("a strength beyond the neat {name}", {{"name", error.written}}),
                base::Said("{strength} mol/L at most",
                           {{"strength", fmt::format("{:.3g}", error.most / 1000.0)}})};
    case Design::NoRoomForSolvent:
        return {Code::OutOfRange, error.field, "solutes that fill the whole volume",
                "less solute or more volume"};
    }
    return {};
}

} // namespace anodex::formats
