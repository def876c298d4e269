#include "wording/Quantities.h"

#include "quantity/Quantity.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace anodex::wording {
namespace {

struct Prefix {
    double factor;
    const char* text;
};
constexpr Prefix kPrefixes[] = {{1e-12, "p"}, {1e-9, "n"}, {1e-6, "µ"}, {1e-3, "m"},
                                {1.0, ""},    {1e3, "k"},  {1e6, "M"}};

struct UnitText {
    Unit unit;
    const char* text;
    double scale; // shown = SI * scale
    bool prefixes;
};
constexpr UnitText kUnitTexts[] = {{Unit::None, "", 1.0, false},
                                   {Unit::Volt, "V", 1.0, false},
                                   {Unit::Ampere, "A", 1.0, true},
                                   {Unit::Watt, "W", 1.0, true},
                                   {Unit::Ohm, "Ω", 1.0, true},
                                   {Unit::Coulomb, "C", 1.0, true},
                                   {Unit::Mole, "mol", 1.0, true},
                                   {Unit::SquareMetre, "cm²", 1e4, false},
                                   {Unit::Metre, "mm", 1e3, false},
                                   {Unit::SiemensPerMetre, "S/m", 1.0, false},
                                   {Unit::M3PerSecond, "mL/h", 3.6e9, false},
                                   {Unit::Kelvin, "K", 1.0, false},
                                   {Unit::Kilogram, "g", 1e3, true},
                                   {Unit::CubicMetre, "mL", 1e6, false}};

const UnitText& textOf(Unit unit) {
    for (const UnitText& entry : kUnitTexts) {
        if (entry.unit == unit) {
            return entry;
        }
    }
    return kUnitTexts[0];
}

Prefix prefixFor(double magnitude) {
    Prefix chosen = kPrefixes[0];
    for (const Prefix& prefix : kPrefixes) {
        if (magnitude >= prefix.factor * 0.9995) {
            chosen = prefix;
        }
    }
    return chosen;
}

/// Decimals so that the last digit is about a fifth of `width`.
int decimalsFor(double width) {
    if (!(width > 0.0)) {
        return 3;
    }
    return std::clamp(static_cast<int>(std::ceil(-std::log10(width / 3.0))), 0, 4);
}

int decimalsForFigures(double value, int figures) {
    if (value == 0.0) {
        return 0;
    }
    // Rounding may carry into one more digit before the point: 0.9996 is 1.00.
    const double carried = std::abs(value) * (1.0 + 0.5 * std::pow(10.0, -figures));
    return std::clamp(figures - 1 - static_cast<int>(std::floor(std::log10(carried))), 0, 12);
}

std::string signedText(double value, int decimals) {
    std::string text = fmt::format("{:.{}f}", value, decimals);
    if (text.starts_with('-')) {
        const bool zero = text.find_first_not_of("-0.") == std::string::npos;
        text = zero ? text.substr(1) : "−" + text.substr(1);
    }
    return text;
}

std::string joined(const std::string& number, const std::string& unit) {
    return unit.empty() ? number : number + "\u00A0" + unit;
}

struct Scaled {
    double factor = 1.0;
    std::string unit;
};

Scaled scaledFor(double value, Unit unit) {
    const UnitText& text = textOf(unit);
    Scaled scaled{text.scale, text.text};
    if (text.prefixes && value != 0.0) {
        const Prefix prefix = prefixFor(std::abs(value * text.scale));
        scaled.factor /= prefix.factor;
        scaled.unit = std::string(prefix.text) + text.text;
    }
    return scaled;
}

std::string shown(double value, const Scaled& scaled, const std::optional<base::Interval>& range) {
    const double number = value * scaled.factor;
    const int decimals = range && range->width() > 0.0 ? std::min(decimalsFor(range->width() * scaled.factor),
                                                                  decimalsForFigures(number, 4))
                                                       : decimalsForFigures(number, 3);
    return joined(signedText(number, decimals), scaled.unit);
}

std::string shownRange(const base::Interval& range, const Scaled& scaled) {
    if (range.low == 0.0 && range.high == 0.0) {
        return {}; // nothing, for certain
    }
    const double low = range.low * scaled.factor;
    const double high = range.high * scaled.factor;
    const int decimals = std::min(decimalsFor(high - low), 3);
    return joined(signedText(low, decimals) + "\u2013" + signedText(high, decimals), scaled.unit);
}

Scaled chargeScale(double coulombs) {
    const double ampereHours = std::abs(coulombs) / 3600.0;
    if (ampereHours >= 1.0 || coulombs == 0.0) {
        return {1.0 / 3600.0, "Ah"};
    }
    return ampereHours >= 1e-3 ? Scaled{1.0 / 3.6, "mAh"} : Scaled{1000.0 / 3.6, "µAh"};
}

} // namespace

std::string quantityText(double value, Unit unit, const std::optional<base::Interval>& range) {
    return shown(value, scaledFor(value, unit), range);
}

std::string rangeText(const base::Interval& range, Unit unit) {
    return shownRange(range, scaledFor(std::max(std::abs(range.low), std::abs(range.high)), unit));
}

std::string chargeText(double coulombs, const std::optional<base::Interval>& range) {
    return shown(coulombs, chargeScale(coulombs), range);
}

std::string chargeRangeText(const base::Interval& coulombs) {
    return shownRange(coulombs, chargeScale(std::max(std::abs(coulombs.low), std::abs(coulombs.high))));
}

std::string durationText(double seconds) {
    constexpr struct {
        double from;
        double unit;
        const char* text;
    } kSteps[] = {{172800.0, 86400.0, "days"}, {5400.0, 3600.0, "h"}, {90.0, 60.0, "min"}, {0.0, 1.0, "s"}};
    for (const auto& step : kSteps) {
        if (seconds >= step.from) {
            return joined(numberText(seconds / step.unit, 2), step.text);
        }
    }
    return joined(numberText(seconds, 2), "s");
}

std::string numberText(double value, int digits) {
    std::string text = signedText(value, decimalsForFigures(value, digits));
    if (text.find('.') != std::string::npos) {
        text.erase(text.find_last_not_of('0') + 1);
        if (text.back() == '.') {
            text.pop_back();
        }
    }
    return text;
}

std::optional<ParsedQuantity> parseQuantity(std::string_view text) {
    const auto span = quantity::readQuantity(text);
    if (!span || !span->certain()) {
        return std::nullopt;
    }
    return ParsedQuantity{span->readings.front().value, span->dimension(), span->used};
}

} // namespace anodex::wording
