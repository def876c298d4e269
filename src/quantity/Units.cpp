#include "quantity/Units.h"

#include "quantity/Letters.h"

#include <algorithm>
#include <iterator>

namespace anodex::quantity {
namespace {

struct Spelling {
    std::string_view text;
    Dimension dimension;
    double toSi;
    double offset = 0.0;
};

// The first spelling of each unit is the one this program writes.
constexpr Spelling kSpellings[] = {
    {"V", Dimension::Volt, 1.0},
    {"volt", Dimension::Volt, 1.0},
    {"volts", Dimension::Volt, 1.0},
    {"VDC", Dimension::Volt, 1.0},
    {"mV", Dimension::Volt, 1e-3},
    {"mVDC", Dimension::Volt, 1e-3},
    {"millivolt", Dimension::Volt, 1e-3},
    {"millivolts", Dimension::Volt, 1e-3},
    {"µV", Dimension::Volt, 1e-6},
    {"uV", Dimension::Volt, 1e-6},
    {"microvolt", Dimension::Volt, 1e-6},
    {"microvolts", Dimension::Volt, 1e-6},
    {"kV", Dimension::Volt, 1e3},
    {"A", Dimension::Ampere, 1.0},
    {"amp", Dimension::Ampere, 1.0},
    {"amps", Dimension::Ampere, 1.0},
    {"ampere", Dimension::Ampere, 1.0},
    {"amperes", Dimension::Ampere, 1.0},
    {"mA", Dimension::Ampere, 1e-3},
    {"milliamp", Dimension::Ampere, 1e-3},
    {"milliamps", Dimension::Ampere, 1e-3},
    {"milliampere", Dimension::Ampere, 1e-3},
    {"milliamperes", Dimension::Ampere, 1e-3},
    {"µA", Dimension::Ampere, 1e-6},
    {"uA", Dimension::Ampere, 1e-6},
    {"microamp", Dimension::Ampere, 1e-6},
    {"microamps", Dimension::Ampere, 1e-6},
    {"microampere", Dimension::Ampere, 1e-6},
    {"nA", Dimension::Ampere, 1e-9},
    {"W", Dimension::Watt, 1.0},
    {"watt", Dimension::Watt, 1.0},
    {"watts", Dimension::Watt, 1.0},
    {"mW", Dimension::Watt, 1e-3},
    {"milliwatt", Dimension::Watt, 1e-3},
    {"milliwatts", Dimension::Watt, 1e-3},
    {"µW", Dimension::Watt, 1e-6},
    {"uW", Dimension::Watt, 1e-6},
    {"Ω", Dimension::Ohm, 1.0},
    {"Ω", Dimension::Ohm, 1.0}, // the ohm sign, another character than the letter omega
    {"ohm", Dimension::Ohm, 1.0},
    {"ohms", Dimension::Ohm, 1.0},
    {"R", Dimension::Ohm, 1.0},
    {"mΩ", Dimension::Ohm, 1e-3},
    {"mΩ", Dimension::Ohm, 1e-3},
    {"mohm", Dimension::Ohm, 1e-3},
    {"mohms", Dimension::Ohm, 1e-3},
    {"milliohm", Dimension::Ohm, 1e-3},
    {"milliohms", Dimension::Ohm, 1e-3},
    {"kΩ", Dimension::Ohm, 1e3},
    {"kΩ", Dimension::Ohm, 1e3},
    {"kohm", Dimension::Ohm, 1e3},
    {"kohms", Dimension::Ohm, 1e3},
    {"kiloohm", Dimension::Ohm, 1e3},
    {"kilohm", Dimension::Ohm, 1e3},
    {"k", Dimension::Ohm, 1e3},
    {"MΩ", Dimension::Ohm, 1e6},
    {"MΩ", Dimension::Ohm, 1e6},
    {"Mohm", Dimension::Ohm, 1e6},
    {"Mohms", Dimension::Ohm, 1e6},
    {"megohm", Dimension::Ohm, 1e6},
    {"megaohm", Dimension::Ohm, 1e6},
    {"mS/cm", Dimension::SiemensPerMetre, 0.1},
    {"µS/cm", Dimension::SiemensPerMetre, 1e-4},
    {"uS/cm", Dimension::SiemensPerMetre, 1e-4},
    {"S/m", Dimension::SiemensPerMetre, 1.0},
    {"mS", Dimension::Siemens, 1e-3},
    {"µS", Dimension::Siemens, 1e-6},
    {"m", Dimension::Metre, 1.0},
    {"metre", Dimension::Metre, 1.0},
    {"metres", Dimension::Metre, 1.0},
    {"mm", Dimension::Metre, 1e-3},
    {"millimetre", Dimension::Metre, 1e-3},
    {"millimetres", Dimension::Metre, 1e-3},
    {"cm", Dimension::Metre, 1e-2},
    {"centimetre", Dimension::Metre, 1e-2},
    {"centimetres", Dimension::Metre, 1e-2},
    {"µm", Dimension::Metre, 1e-6},
    {"um", Dimension::Metre, 1e-6},
    {"inch", Dimension::Metre, 0.0254},
    {"inches", Dimension::Metre, 0.0254},
    {"cm²", Dimension::SquareMetre, 1e-4},
    {"cm2", Dimension::SquareMetre, 1e-4},
    {"cm^2", Dimension::SquareMetre, 1e-4},
    {"sq cm", Dimension::SquareMetre, 1e-4},
    {"mm²", Dimension::SquareMetre, 1e-6},
    {"mm2", Dimension::SquareMetre, 1e-6},
    {"mm^2", Dimension::SquareMetre, 1e-6},
    {"dm²", Dimension::SquareMetre, 1e-2},
    {"dm2", Dimension::SquareMetre, 1e-2},
    {"m²", Dimension::SquareMetre, 1.0},
    {"m2", Dimension::SquareMetre, 1.0},
    {"m^2", Dimension::SquareMetre, 1.0},
    {"g", Dimension::Kilogram, 1e-3},
    {"gram", Dimension::Kilogram, 1e-3},
    {"grams", Dimension::Kilogram, 1e-3},
    {"gm", Dimension::Kilogram, 1e-3},
    {"gms", Dimension::Kilogram, 1e-3},
    {"gramme", Dimension::Kilogram, 1e-3},
    {"grammes", Dimension::Kilogram, 1e-3},
    {"kg", Dimension::Kilogram, 1.0},
    {"kilogram", Dimension::Kilogram, 1.0},
    {"kilograms", Dimension::Kilogram, 1.0},
    {"kilo", Dimension::Kilogram, 1.0},
    {"kilos", Dimension::Kilogram, 1.0},
    {"mg", Dimension::Kilogram, 1e-6},
    {"milligram", Dimension::Kilogram, 1e-6},
    {"milligrams", Dimension::Kilogram, 1e-6},
    {"oz", Dimension::Kilogram, 0.028349523125},
    {"oz.", Dimension::Kilogram, 0.028349523125},
    {"ounce", Dimension::Kilogram, 0.028349523125},
    {"ounces", Dimension::Kilogram, 0.028349523125},
    {"lb", Dimension::Kilogram, 0.45359237},
    {"lbs", Dimension::Kilogram, 0.45359237},
    {"pound", Dimension::Kilogram, 0.45359237},
    {"pounds", Dimension::Kilogram, 0.45359237},
    {"mL", Dimension::CubicMetre, 1e-6},
    {"millilitre", Dimension::CubicMetre, 1e-6},
    {"millilitres", Dimension::CubicMetre, 1e-6},
    {"milliliter", Dimension::CubicMetre, 1e-6},
    {"milliliters", Dimension::CubicMetre, 1e-6},
    {"cm³", Dimension::CubicMetre, 1e-6},
    {"cm3", Dimension::CubicMetre, 1e-6},
    {"cm^3", Dimension::CubicMetre, 1e-6},
    {"cc", Dimension::CubicMetre, 1e-6},
    {"L", Dimension::CubicMetre, 1e-3},
    {"l", Dimension::CubicMetre, 1e-3},
    {"litre", Dimension::CubicMetre, 1e-3},
    {"litres", Dimension::CubicMetre, 1e-3},
    {"liter", Dimension::CubicMetre, 1e-3},
    {"liters", Dimension::CubicMetre, 1e-3},
    {"dL", Dimension::CubicMetre, 1e-4},
    {"cL", Dimension::CubicMetre, 1e-5},
    {"µL", Dimension::CubicMetre, 1e-9},
    {"uL", Dimension::CubicMetre, 1e-9},
    {"°C", Dimension::Kelvin, 1.0, 273.15},
    {"℃", Dimension::Kelvin, 1.0, 273.15},
    {"degC", Dimension::Kelvin, 1.0, 273.15},
    {"deg C", Dimension::Kelvin, 1.0, 273.15},
    {"celsius", Dimension::Kelvin, 1.0, 273.15},
    {"C", Dimension::Kelvin, 1.0, 273.15},
    {"°F", Dimension::Kelvin, 5.0 / 9.0, 273.15 - 32.0 * 5.0 / 9.0},
    {"F", Dimension::Kelvin, 5.0 / 9.0, 273.15 - 32.0 * 5.0 / 9.0},
    {"degF", Dimension::Kelvin, 5.0 / 9.0, 273.15 - 32.0 * 5.0 / 9.0},
    {"fahrenheit", Dimension::Kelvin, 5.0 / 9.0, 273.15 - 32.0 * 5.0 / 9.0},
    {"K", Dimension::Kelvin, 1.0},
    {"kelvin", Dimension::Kelvin, 1.0},
    {"s", Dimension::Second, 1.0},
    {"sec", Dimension::Second, 1.0},
    {"secs", Dimension::Second, 1.0},
    {"second", Dimension::Second, 1.0},
    {"seconds", Dimension::Second, 1.0},
    {"ms", Dimension::Second, 1e-3},
    {"msec", Dimension::Second, 1e-3},
    {"millis", Dimension::Second, 1e-3},
    {"millisecond", Dimension::Second, 1e-3},
    {"milliseconds", Dimension::Second, 1e-3},
    {"µs", Dimension::Second, 1e-6},
    {"us", Dimension::Second, 1e-6},
    {"micros", Dimension::Second, 1e-6},
    {"microseconds", Dimension::Second, 1e-6},
    {"min", Dimension::Second, 60.0},
    {"mins", Dimension::Second, 60.0},
    {"minute", Dimension::Second, 60.0},
    {"minutes", Dimension::Second, 60.0},
    {"h", Dimension::Second, 3600.0},
    {"hr", Dimension::Second, 3600.0},
    {"hrs", Dimension::Second, 3600.0},
    {"hour", Dimension::Second, 3600.0},
    {"hours", Dimension::Second, 3600.0},
    {"d", Dimension::Second, 86400.0},
    {"day", Dimension::Second, 86400.0},
    {"days", Dimension::Second, 86400.0},
    {"weeks", Dimension::Second, 604800.0},
    {"week", Dimension::Second, 604800.0},
    // Words that loggers of other countries head their columns with.
    {"sek", Dimension::Second, 1.0},
    {"sekunde", Dimension::Second, 1.0},
    {"sekunden", Dimension::Second, 1.0},
    {"seconde", Dimension::Second, 1.0},
    {"secondes", Dimension::Second, 1.0},
    {"seconden", Dimension::Second, 1.0},
    {"segundo", Dimension::Second, 1.0},
    {"segundos", Dimension::Second, 1.0},
    {"secondi", Dimension::Second, 1.0},
    {"minuten", Dimension::Second, 60.0},
    {"minutos", Dimension::Second, 60.0},
    {"minuti", Dimension::Second, 60.0},
    {"std", Dimension::Second, 3600.0},
    {"stunde", Dimension::Second, 3600.0},
    {"stunden", Dimension::Second, 3600.0},
    {"heure", Dimension::Second, 3600.0},
    {"heures", Dimension::Second, 3600.0},
    {"horas", Dimension::Second, 3600.0},
    {"uren", Dimension::Second, 3600.0},
    {"tage", Dimension::Second, 86400.0},
    {"voltios", Dimension::Volt, 1.0},
    {"milivoltios", Dimension::Volt, 1e-3},
    {"amperios", Dimension::Ampere, 1.0},
    {"miliamperios", Dimension::Ampere, 1e-3},
    {"g/mL", Dimension::Density, 1000.0},
    {"g/cm³", Dimension::Density, 1000.0},
    {"g/cm3", Dimension::Density, 1000.0},
    {"g/cc", Dimension::Density, 1000.0},
    {"kg/L", Dimension::Density, 1000.0},
    {"g/L", Dimension::Density, 1.0},
    {"kg/m³", Dimension::Density, 1.0},
    {"kg/m3", Dimension::Density, 1.0},
    {"%", Dimension::Percent, 0.01},
    {"percent", Dimension::Percent, 0.01},
    {"per cent", Dimension::Percent, 0.01},
    {"wt%", Dimension::Percent, 0.01},
    {"wt %", Dimension::Percent, 0.01},
    {"wt.%", Dimension::Percent, 0.01},
    {"mol", Dimension::Mole, 1.0},
    {"mole", Dimension::Mole, 1.0},
    {"moles", Dimension::Mole, 1.0},
    {"mmol", Dimension::Mole, 1e-3},
    {"mol/L", Dimension::MolPerM3, 1000.0},
    {"M", Dimension::MolPerM3, 1000.0},
    {"molar", Dimension::MolPerM3, 1000.0},
    {"mol per litre", Dimension::MolPerM3, 1000.0},
    {"mol per liter", Dimension::MolPerM3, 1000.0},
    {"moles per litre", Dimension::MolPerM3, 1000.0},
    {"moles per liter", Dimension::MolPerM3, 1000.0},
    {"mM", Dimension::MolPerM3, 1.0},
    {"mmol/L", Dimension::MolPerM3, 1.0},
    {"mol/kg", Dimension::MolPerKg, 1.0},
    {"molal", Dimension::MolPerKg, 1.0},
    {"Ah", Dimension::Coulomb, 3600.0},
    {"mAh", Dimension::Coulomb, 3.6},
    {"Wh", Dimension::Joule, 3600.0},
    {"mWh", Dimension::Joule, 3.6},
    {"J", Dimension::Joule, 1.0},
};

// These two micro signs are other characters than the table's, and mean the same.
constexpr std::string_view kMicroSigns[] = {"\u03BC", "\u00B5"};

std::string withTablesMicro(std::string_view text) {
    std::string result(text);
    for (const std::string_view sign : kMicroSigns) {
        for (std::size_t at = result.find(sign); at != std::string::npos; at = result.find(sign, at + 1)) {
            result.replace(at, sign.size(), "µ");
        }
    }
    return result;
}

UnitReading readingFrom(const Spelling& spelling) {
    return {spelling.dimension, spelling.toSi, spelling.offset, symbolFor(spelling.dimension, spelling.toSi)};
}

/// A word of the text ends here: what follows is neither letter nor digit.
bool endsWord(std::string_view text, std::size_t at) {
    return at >= text.size() || !(isLetter(text[at]) || isDigit(text[at])) ||
           static_cast<unsigned char>(text[at]) >= 0x80;
}

} // namespace

std::vector<UnitReading> readingsOf(std::string_view word) {
    const std::string text = withTablesMicro(word);
    std::vector<UnitReading> readings;
    for (const Spelling& spelling : kSpellings) {
        if (text == spelling.text) {
            return {readingFrom(spelling)};
        }
    }
    const std::string low = lowered(text);
    for (const Spelling& spelling : kSpellings) {
        const UnitReading reading = readingFrom(spelling);
        if (low == lowered(spelling.text) &&
            std::find(readings.begin(), readings.end(), reading) == readings.end()) {
            readings.push_back(reading);
        }
    }
    return readings;
}

UnitSpan readUnit(std::string_view text) {
    constexpr std::size_t kLongest = 16;
    UnitSpan best;
    for (std::size_t length = std::min(kLongest, text.size()); length > 0; --length) {
        const bool insideCharacter =
            length < text.size() && (static_cast<unsigned char>(text[length]) & 0xC0U) == 0x80U;
        if (insideCharacter || !endsWord(text, length)) {
            continue;
        }
        best.readings = readingsOf(text.substr(0, length));
        if (!best.readings.empty()) {
            best.used = length;
            return best;
        }
    }
    return {};
}

std::string symbolFor(Dimension dimension, double toSi) {
    for (const Spelling& spelling : kSpellings) {
        if (spelling.dimension == dimension && spelling.toSi == toSi) {
            return std::string(spelling.text);
        }
    }
    return {};
}

} // namespace anodex::quantity
