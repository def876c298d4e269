#include "formats/CellUse.h"

#include "formats/CellIds.h"
#include "formats/Scaled.h"

#include <utility>

namespace anodex::formats {
namespace {

using design::CellDesign;
using design::Construction;

using Code = FileError::Code;

constexpr double kPerHour = 1.0 / 3600.0;
const NumberRange kCells{1.0, 1e6, true, "a whole number, 1 or more"};

constexpr std::pair<const char*, Construction> kConstructions[] = {
    {"beaker", Construction::Beaker},
    {"jar", Construction::Jar},
    {"jar under oil", Construction::JarUnderOil},
    {"pouch", Construction::Pouch},
    {"tray", Construction::Tray},
    {"rolled", Construction::Rolled},
    {"rods", Construction::Rods},
    {"felt", Construction::Felt},
    {"flow", Construction::Flow},
    {"paper", Construction::Paper}};

Construction readConstruction(JsonObject& root) {
    const std::string text = root.textOr("construction", "");
    std::string known;
    for (const auto& [name, construction] : kConstructions) {
        if (text == name) {
            return construction;
        }
        known += (known.empty() ? "" : ", ") + std::string(name);
    }
    if (!text.empty()) {
        root.fail(Code::UnknownName, "construction", "\"" + text + "\"",
                  base::Said("one of {names}", {{"names", known}}));
    }
    return Construction::Unstated;
}

void readCase(JsonObject& entry, CellDesign& design) {
    design.closed = entry.flagOr("closed", false);
    design.headSpaceM3 = scaled(entry.maybeNumber("head_space_mL", kPositive), 1e-6);
    design.insideM2 = scaled(entry.maybeNumber("inside_cm2", kPositive), 1e-4);
    design.caseMaterial.written = design.closed || design.headSpaceM3 || design.insideM2
                                      ? entry.textOr("material", "")
                                      : entry.text("material");
}

design::ChargeDesign readCharge(JsonObject& entry) {
    const design::ChargeDesign charge{entry.maybeNumber("current_A", kPositive),
                                      entry.maybeNumber("voltage_V", kPositive)};
    if (!charge.amps && !charge.volts) {
        entry.fail(Code::MissingKey, "", "no current and no voltage", "current_A, voltage_V, or both");
    }
    return charge;
}

design::PlaceDesign readPlace(JsonObject& entry) {
    return {entry.flagOr("outdoors", false), entry.flagOr("flame", false),
            entry.maybeNumber("room_m3", kPositive),
            scaled(entry.maybeNumber("air_changes_per_h", kPositive), kPerHour),
            scaled(entry.maybeNumber("box_L", kPositive), 1e-3)};
}

void putFlag(Json& json, const char* key, bool flag) {
    if (flag) {
        json[key] = true;
    }
}

} // namespace

void readUse(JsonObject& root, CellDesign& design) {
    design.construction = readConstruction(root);
    root.object("case", [&](JsonObject& entry) { readCase(entry, design); });
    root.object("charge", [&](JsonObject& entry) { design.charge = readCharge(entry); });
    root.object("place", [&](JsonObject& entry) { design.place = readPlace(entry); });
    root.object("string", [&](JsonObject& entry) {
        design.string = design::StringDesign{entry.maybeWhole("series", kCells).value_or(1),
                                             entry.maybeWhole("parallel", kCells).value_or(1),
                                             entry.flagOr("one_liquid", false)};
    });
}

void writeUse(Json& json, const CellDesign& design) {
    for (const auto& [name, construction] : kConstructions) {
        if (construction == design.construction) {
            json["construction"] = name;
        }
    }
    Json vessel = Json::object();
    if (!design.caseMaterial.empty()) {
        vessel["material"] = writtenName(design.caseMaterial);
    }
    putFlag(vessel, "closed", design.closed);
    put(vessel, "head_space_mL", design.headSpaceM3, 1e6);
    put(vessel, "inside_cm2", design.insideM2, 1e4);
    Json charge = Json::object();
    if (design.charge) {
        put(charge, "current_A", design.charge->amps, 1.0);
        put(charge, "voltage_V", design.charge->volts, 1.0);
    }
    Json place = Json::object();
    putFlag(place, "outdoors", design.place.outdoors);
    putFlag(place, "flame", design.place.flame);
    put(place, "room_m3", design.place.roomM3, 1.0);
    put(place, "air_changes_per_h", design.place.airChangesPerSecond, 1.0 / kPerHour);
    put(place, "box_L", design.place.boxM3, 1e3);
    Json string = Json::object();
    if (design.string.series > 1) {
        string["series"] = design.string.series;
    }
    if (design.string.parallel > 1) {
        string["parallel"] = design.string.parallel;
    }
    putFlag(string, "one_liquid", design.string.oneLiquid);
    for (auto& [key, part] : {std::pair<const char*, Json&>{"case", vessel},
                              {"charge", charge},
                              {"place", place},
                              {"string", string}}) {
        if (!part.empty()) {
            json[key] = part;
        }
    }
}

} // namespace anodex::formats
