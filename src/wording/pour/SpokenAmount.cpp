#include "wording/pour/SpokenAmount.h"

#include "quantity/Letters.h"
#include "wording/Likely.h"
#include "wording/pour/KitchenAmount.h"

#include <algorithm>
#include <cmath>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using design::AmountUnit;
using quantity::Dimension;
using quantity::QuantityReading;
using Kind = SpokenAmount::Kind;

constexpr double kHedged = 1.2; // "about 5 g" (common practice, no source)

/// Bytes of the first of the phrases that stands at the front as whole words, with the blanks behind it.
template <typename Phrases> std::size_t phraseAt(std::string_view text, const Phrases& phrases) {
    const std::string low = quantity::lowered(text);
    for (const std::string_view phrase : phrases) {
        const bool ends = low.size() <= phrase.size() || !quantity::isLetter(low[phrase.size()]) ||
                          !quantity::isLetter(phrase.back());
        if (low.starts_with(phrase) && ends) {
            std::size_t at = phrase.size();
            while (const std::size_t blank = quantity::blankAt(text, at)) {
                at += blank;
            }
            return at;
        }
    }
    return 0;
}

constexpr std::string_view kHedges[] = {"about",  "approximately", "approx.", "approx", "roughly",
                                        "around", "ca.",           "circa",   "ca",     "~",
                                        "≈",      "nearly",        "almost"};
constexpr std::string_view kSaturated[] = {"a saturated solution of", "saturated solution of", "saturated",
                                           "as much as dissolves of"};
constexpr std::string_view kPerVolume[] = {"(w/v)", "w/v", "m/v", "weight by volume"};
constexpr std::string_view kPerMass[] = {"(w/w)", "w/w",     "m/m",       "(m/m)",
                                         "wt",    "by mass", "by weight", "mass fraction"};
constexpr std::string_view kPer[] = {"per", "/"};
constexpr std::string_view kRange[] = {"-", "–", "to ", "or "};

bool canBe(const QuantityReading& reading) {
    return isPourable(reading) || (reading.unit.dimension == Dimension::Density && reading.value > 0.0);
}

bool isVolume(const QuantityReading& reading) {
    return reading.unit.dimension == Dimension::CubicMetre && reading.value > 0.0;
}

SpokenAmount perVolume(double kgPerM3, std::size_t used) {
    SpokenAmount amount;
    amount.kind = Kind::PerVolume;
    amount.kgPerM3 = kgPerM3;
    amount.used = used;
    return amount;
}

/// "5 g per 100 mL", "350 g/litre": what stands behind the mass.
std::optional<SpokenAmount> massPerVolume(const QuantityReading& mass, std::string_view rest) {
    if (mass.unit.dimension != Dimension::Kilogram) {
        return std::nullopt;
    }
    const std::size_t per = phraseAt(rest, kPer);
    if (per == 0) {
        return std::nullopt;
    }
    rest.remove_prefix(per);
    const Likely volume = likely(rest, isVolume);
    if (volume.reading) {
        return perVolume(mass.value / volume.reading->value, per + volume.used);
    }
    const quantity::UnitSpan unit = quantity::readUnit(rest);
    return unit.readings.size() == 1 && unit.readings.front().dimension == Dimension::CubicMetre
               ? std::optional(perVolume(mass.value / unit.readings.front().toSi, per + unit.used))
               : std::nullopt;
}

SpokenAmount exact(const Likely& found, std::string_view text) {
    SpokenAmount amount;
    amount.used = found.used;
    amount.choices = found.choices;
    if (!found.reading) {
        return amount;
    }
    const QuantityReading& reading = *found.reading;
    std::string_view rest = text.substr(found.used);
    const std::size_t blank = quantity::blankAt(rest, 0);
    rest.remove_prefix(blank);
    if (auto strength = massPerVolume(reading, rest)) {
        strength->used += found.used + blank;
        return *strength;
    }
    if (reading.unit.dimension == Dimension::Density) {
        return perVolume(reading.value, found.used);
    }
    amount.amount = {*amountUnitOf(reading.unit.dimension), reading.value};
    amount.halfWidth = found.halfWidth;
    if (reading.unit.dimension == Dimension::Percent) {
        constexpr double kPerShare = 1000.0; // 1 % w/v is 1 g in 100 mL
        if (const std::size_t byVolume = phraseAt(rest, kPerVolume)) {
            return perVolume(kPerShare * reading.value, found.used + blank + byVolume);
        }
        const std::size_t byMass = phraseAt(rest, kPerMass);
        amount.used += byMass > 0 ? blank + byMass : 0;
    }
    return amount;
}

SpokenAmount measured(const KitchenAmount& kitchen) {
    SpokenAmount amount;
    amount.kind = Kind::Measured;
    amount.amount = {AmountUnit::VolumeM3, kitchen.volumeM3.value};
    amount.factor = kitchen.volumeM3.factor;
    amount.choices = kitchen.choices;
    amount.used = kitchen.used;
    return amount;
}

/// "5 to 6 g", "1-2 tsp": the middle, with half the width for its doubt.
std::optional<SpokenAmount> rangeAt(const Catalogue& catalogue, std::string_view text) {
    const auto low = quantity::readNumber(text);
    if (!low || low->readings.size() != 1) {
        return std::nullopt;
    }
    std::size_t at = low->used;
    at += quantity::blankAt(text, at);
    const std::size_t to = phraseAt(text.substr(at), kRange);
    if (to == 0) {
        return std::nullopt;
    }
    at += to;
    const std::string_view rest = text.substr(at);
    const auto high = quantity::readNumber(rest);
    if (!high || !(low->readings.front() > 0.0) || !(high->readings.front() > low->readings.front())) {
        return std::nullopt;
    }
    const double share = low->readings.front() / high->readings.front();
    SpokenAmount amount;
    if (const Likely found = likely(rest, isPourable); found.reading) {
        amount = exact(found, rest);
    } else if (const auto kitchen = kitchenAmount(catalogue, rest)) {
        amount = measured(*kitchen);
    }
    if (amount.used == 0 || amount.kind == Kind::PerVolume || !amount.choices.empty()) {
        return std::nullopt;
    }
    if (amount.kind == Kind::Exact) {
        amount.halfWidth = 0.5 * (1.0 - share) * amount.amount.value;
    } else {
        amount.factor = std::max(amount.factor, std::sqrt(1.0 / share));
    }
    amount.amount.value *= 0.5 * (1.0 + share);
    amount.used += at;
    return amount;
}

/// "half a litre", "two kilos": counted in words, in a unit.
std::optional<SpokenAmount> countedUnit(std::string_view text) {
    const auto count = spokenCount(text);
    if (!count) {
        return std::nullopt;
    }
    const quantity::UnitSpan unit = quantity::readUnit(text.substr(count->used));
    constexpr std::size_t kNoSymbol = 3; // "a M": letters are no words
    if (unit.readings.size() != 1 || unit.used < kNoSymbol) {
        return std::nullopt;
    }
    const quantity::UnitReading& reading = unit.readings.front();
    const double value = count->count.value * reading.toSi;
    if (!isPourable({value, count->count.value, reading})) {
        return std::nullopt;
    }
    SpokenAmount amount;
    amount.amount = {*amountUnitOf(reading.dimension), value};
    amount.factor = count->count.factor;
    amount.used = count->used + unit.used;
    return amount;
}

std::optional<SpokenAmount> plainAmount(const Catalogue& catalogue, std::string_view text) {
    if (const std::size_t saturated = phraseAt(text, kSaturated)) {
        SpokenAmount amount;
        amount.kind = Kind::Saturated;
        amount.used = saturated;
        return amount;
    }
    if (auto range = rangeAt(catalogue, text)) {
        return range;
    }
    if (const Likely found = likely(text, canBe); found.used > 0) {
        return exact(found, text);
    }
    if (const auto kitchen = kitchenAmount(catalogue, text)) {
        return measured(*kitchen);
    }
    return countedUnit(text);
}

} // namespace

bool SpokenAmount::isStrength() const {
    switch (kind) {
    case Kind::PerVolume:
    case Kind::Saturated:
        return true;
    case Kind::Measured:
        return false;
    case Kind::Exact:
        return choices.empty() &&
               (amount.unit == AmountUnit::MolPerM3 || amount.unit == AmountUnit::MolPerKg ||
                amount.unit == AmountUnit::MassFraction);
    }
    return false;
}

std::optional<AmountUnit> amountUnitOf(Dimension dimension) {
    switch (dimension) {
    case Dimension::Kilogram:
        return AmountUnit::MassKg;
    case Dimension::CubicMetre:
        return AmountUnit::VolumeM3;
    case Dimension::Mole:
        return AmountUnit::Moles;
    case Dimension::MolPerM3:
        return AmountUnit::MolPerM3;
    case Dimension::MolPerKg:
        return AmountUnit::MolPerKg;
    case Dimension::Percent:
        return AmountUnit::MassFraction;
    default:
        return std::nullopt;
    }
}

bool isPourable(const QuantityReading& reading) {
    const auto unit = amountUnitOf(reading.unit.dimension);
    return unit && reading.value > 0.0 && (*unit != AmountUnit::MassFraction || reading.value < 1.0);
}

std::optional<SpokenAmount> spokenAmount(const Catalogue& catalogue, std::string_view text) {
    const std::size_t hedge = phraseAt(text, kHedges);
    auto amount = plainAmount(catalogue, text.substr(hedge));
    if (amount && hedge > 0) {
        amount->used += hedge;
        amount->factor = std::max(amount->factor, kHedged);
    }
    return amount;
}

} // namespace anodex::wording
