// What a charge makes, loses and needs, beside published figures.
#include "core/base/Constants.h"
#include "core/charge/Charge.h"
#include "core/electrode/ElectrodeModel.h"
#include "tests/reference/Rows.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

namespace anodex::test {
namespace {

using namespace json;

constexpr double kHour = 3600.0;
constexpr const char* kGroup = "charging";

charge::Charging charged(Json json, double amps) {
    json["charge"] = {{"current_A", amps}};
    const design::Cell cell = cellOf(json.dump());
    return charge::chargingOf(catalogue(), cell, cell::evaluate(catalogue(), cell, {0}));
}

/// mol of a gas per ampere-hour.
double gasPerAmpereHour(const charge::Charging& charging, const char* name) {
    for (const cell::GasFlow& flow : charging.asked->gas) {
        if (flow.species == *catalogue().findSpecies(name)) {
            return flow.molesPerSecond * kHour / charging.asked->point.amps;
        }
    }
    return 0.0;
}

Json warm(Json json, double celsius) {
    json["temperature_C"] = celsius;
    return json;
}

Json plates(double grams) {
    Json negative = electrodeJson("spongy lead", 100);
    Json positive = electrodeJson("lead dioxide", 100);
    negative["mass_g"] = grams;
    positive["mass_g"] = grams;
    Json liquid = {{"volume_mL", 500}, {"solutes", Json::array()}};
    liquid["solutes"].push_back({{"substance", "H2SO4"}, {"mass_percent", 37}});
    return warm(cellWith(negative, positive, liquid), 25.0);
}

double zincShare(const Json& liquid, const char* cathode, double ampsPerM2, double celsius) {
    Json json = warm(cellWith(electrodeJson(cathode, 100), electrodeJson("platinised titanium", 100), liquid),
                     celsius);
    json["negative"]["air"] = "none";
    json["positive"]["air"] = "none";
    json["stirred"] = true;
    const charge::Charging charging = charged(json, 0.01 * ampsPerM2);
    double plated = 0.0;
    for (const charge::ChargeReaction& reaction : charging.asked->reactions[0]) {
        plated += reaction.fate == charge::Fate::Stored ? reaction.amps : 0.0;
    }
    return plated / charging.asked->point.amps;
}

/// A full flooded cell, by temperature.
void addLead(std::vector<Row>& rows) {
    const char* group = "lead-acid on charge, V";
    const char* bode = "Bode 1977, gassing by temperature, from memory";
    const char* practice = "common practice, no source";
    Json beaker =
        cellWith(electrodeJson("lead", 50), electrodeJson("lead dioxide", 50),
                 {{"volume_mL", 200}, {"solutes", {{{"substance", "H2SO4"}, {"mass_percent", 30}}}}});
    beaker["negative"]["air"] = "none";
    beaker["positive"]["air"] = "none";
    const auto at = [&](double celsius) { return charged(warm(beaker, celsius), 0.02); };
    const auto add = [&](const char* what, double published, double computed, double target,
                         const char* source) {
        rows.push_back({group, what, source, published, computed, Margin::Absolute, target, ""});
    };
    add("gassing, 0 °C", 2.54, *at(0).gassingVolts, 0.04, bode);
    add("gassing, 10 °C", 2.47, *at(10).gassingVolts, 0.04, bode);
    add("gassing, 20 °C", 2.415, *at(20).gassingVolts, 0.04, bode);
    add("gassing, 30 °C", 2.37, *at(30).gassingVolts, 0.04, bode);
    add("gassing, 40 °C", 2.33, *at(40).gassingVolts, 0.04, bode);
    add("float, 20 °C", 2.25, *at(20).floatVolts, 0.04, practice);
    add("float, 10 °C", 2.28, *at(10).floatVolts, 0.04, practice);
    add("float, 30 °C", 2.22, *at(30).floatVolts, 0.04, practice);
    add("bare charge, half used, 20 h rate, 20 °C", 2.15, at(20).asked->point.volts, 0.08, practice);
}

/// Of oxygen alone, whatever else the surface would rather do.
double overvoltage(const char* material, double ampsPerM2) {
    Json json = cellWith(electrodeJson(material, 10), electrodeJson(material, 10), water({{"KOH", 1}}));
    const Filled filled(warm(json, 25.0).dump());
    const electrode::ElectrodeModel model(filled.compiled.at(design::Side::Positive, filled.contents),
                                          electrode::secondsOf(electrode::Moment::Settled));
    double over = 0.0;
    constexpr double kStep = 0.001; // V
    const auto oxygenAt = [&](double volts) {
        double amps = 0.0;
        for (const electrode::Route& route : model.routes()) {
            const bool gives = catalogue().reactions[route.reaction].id == "oxygen-four";
            amps += gives ? std::max(0.0, route.current(route.equilibriumVolts + volts)) : 0.0;
        }
        return amps;
    };
    while (oxygenAt(over) < 1e-3 * ampsPerM2 && over < 3.0) {
        over += kStep;
    }
    return over;
}

void addOvervoltages(std::vector<Row>& rows) {
    const char* source = "International Critical Tables VI, 1929, in 1 mol/L potash at 25 °C, from memory";
    const auto add = [&](const char* material, double ampsPerM2, double published) {
        rows.push_back(
            {"overvoltage of oxygen, V",
             std::string(material) + " at " + std::to_string(static_cast<int>(ampsPerM2)) + " A/m²", source,
             published, overvoltage(material, ampsPerM2), Margin::Absolute, 0.1, "", true});
    };
    add("graphite", 100, 0.90);
    add("graphite", 1000, 1.09);
    add("nickel", 10, 0.35);
    add("nickel", 100, 0.52);
    add("nickel", 1000, 0.73);
    add("copper", 10, 0.42);
    add("copper", 100, 0.58);
    add("copper", 1000, 0.66);
    add("silver", 10, 0.58);
    add("silver", 100, 0.73);
    add("silver", 1000, 0.98);
}

} // namespace

std::vector<Row> chargeRows() {
    constexpr double kMolarVolume = 22.414; // L/mol at 0 °C and 101.325 kPa
    const charge::Charging inert =
        charged(cellWith(electrodeJson("platinised titanium", 20), electrodeJson("platinised titanium", 20),
                         water({{"Na2SO4", 1}})),
                1.0);
    const charge::Charging brine = charged(
        cellWith(electrodeJson("steel", 20), electrodeJson("graphite", 20), water({{"NaCl", 5}})), 2.0);
    const double hydrogen = kMolarVolume * gasPerAmpereHour(inert, "H2(g)");
    const double oxygen = kMolarVolume * gasPerAmpereHour(inert, "O2(g)");
    const double chlorine = 70.906 * gasPerAmpereHour(brine, "Cl2(aq)");
    std::vector<Row> rows = {
        {kGroup, "hydrogen, L/Ah at 0 °C", "Linden's Handbook of Batteries; EN 50272-2", 0.4181, hydrogen,
         Margin::Relative, 0.005, ""},
        {kGroup, "oxygen, L/Ah at 0 °C", "Linden's Handbook of Batteries", 0.2091, oxygen, Margin::Relative,
         0.005, ""},
        {kGroup, "chlorine from 5 mol/L brine on graphite, g/Ah",
         "Ullmann's Encyclopedia, chlor-alkali: 1.3227 by Faraday, 94 to 97 % of it on graphite", 1.26,
         chlorine, Margin::Relative, 0.05, ""},
        {kGroup, "gassing of a full lead cell at 5 mA/Ah, V", "EN 50272-2, vented cells; Bode 1977", 2.40,
         *charged(plates(60), 0.1).gassingVolts, Margin::Absolute, 0.1, ""},
        {kGroup, "zinc from 2 mol/L bromide at 200 A/m², share of the current",
         "zinc-bromine cells, Linden's Handbook of Batteries: 0.95 to 0.99", 0.97,
         zincShare(water({{"ZnBr2", 2}}), "graphite", 200, 25), Margin::Absolute, 0.04, ""},
        {kGroup, "zinc from 1 mol/L sulfate, 1.5 mol/L acid at 500 A/m² and 38 °C, share of the current",
         "zinc winning, Ullmann's Encyclopedia: 0.88 to 0.92", 0.90,
         zincShare(water({{"ZnSO4", 1}, {"H2SO4", 1.5}}), "zinc", 500, 38), Margin::Absolute, 0.1, ""},
        {kGroup, "zinc from 0.5 mol/L zincate in 6 mol/L potash at 100 A/m², share of the current",
         "alkaline zinc, McLarnon & Cairns 1991: above 0.95", 0.98,
         zincShare(water({{"ZnCl2", 0.5}, {"KOH", 7}}), "zinc", 100, 25), Margin::Absolute, 0.04, ""}};
    // 24 cells of 100 Ah that gas with 5 mA/Ah: 0.05 * 24 * 0.005 * 100 m³/h.
    rows.push_back({kGroup, "air for 24 cells of 100 Ah that gas with 5 mA/Ah, m³/h",
                    "EN 50272-2 / IEC 62485-2", 0.6, kHour * cell::standardVentilation(0.5, 24),
                    Margin::Relative, 0.005, ""});
    addLead(rows);
    addOvervoltages(rows);
    return rows;
}

} // namespace anodex::test
