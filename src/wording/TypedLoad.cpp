#include "wording/TypedLoad.h"

#include "quantity/Letters.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <iterator>
#include <utility>

namespace anodex::wording {
namespace {

using load::Load;
using quantity::QuantityReading;

constexpr std::string_view kOpen[] = {"no load", "open", "open circuit", "none", "nothing", "off"};
constexpr std::string_view kShort[] = {"short", "shorted", "short circuit"};

std::optional<Load::Kind> kindOf(Dimension dimension) {
    switch (dimension) {
    case Dimension::Ohm:
        return Load::Kind::Resistor;
    case Dimension::Ampere:
        return Load::Kind::Current;
    case Dimension::Watt:
        return Load::Kind::Power;
    case Dimension::Percent:
        return Load::Kind::Share;
    default:
        return std::nullopt;
    }
}

/// The units people mean by their first letter: "1 m" is no length here.
bool canBe(const QuantityReading& reading) {
    const auto kind = kindOf(reading.unit.dimension);
    const double most = kind == Load::Kind::Share ? 1.0 : 1e12;
    return kind && reading.value >= 0.0 && reading.value <= most &&
           (kind != Load::Kind::Resistor || reading.value > 0.0);
}

template <std::size_t N> bool isOneOf(const std::string& word, const std::string_view (&list)[N]) {
    return std::find(std::begin(list), std::end(list), word) != std::end(list);
}

std::string withoutArticle(std::string text) {
    for (const std::string_view article : {"a ", "an ", "the ", "my "}) {
        if (text.starts_with(article)) {
            return text.substr(article.size());
        }
    }
    return text;
}

const load::Device* deviceNamed(const std::vector<load::Device>& devices, const std::string& wanted) {
    const auto found = std::find_if(devices.begin(), devices.end(), [&](const load::Device& device) {
        return std::any_of(device.names.begin(), device.names.end(),
                           [&](const std::string& name) { return quantity::lowered(name) == wanted; });
    });
    return found == devices.end() ? nullptr : &*found;
}

/// "LED" may be any colour.
Question whichOne(const std::vector<load::Device>& devices, const load::Device& device,
                  std::string_view typed) {
    std::vector<std::string> choices;
    for (const std::string& id : device.mayBe) {
        const auto one = std::find_if(devices.begin(), devices.end(),
                                      [&](const load::Device& other) { return other.id == id; });
        choices.push_back(one->names.front());
    }
    return {whichOf(typed, choices), choices};
}

} // namespace

TypedLoad typedLoad(std::string_view typed, const std::vector<load::Device>& devices) {
    const std::string plain(quantity::trimmed(typed));
    const std::string wanted = withoutArticle(quantity::lowered(plain));
    if (isOneOf(wanted, kOpen)) {
        return {Load{Load::Kind::Share, 0.0, {}}, {}};
    }
    if (isOneOf(wanted, kShort)) {
        return {Load{Load::Kind::Share, 1.0, {}}, {}};
    }
    if (const load::Device* device = deviceNamed(devices, wanted)) {
        if (!device->isKnown()) {
            return {{}, whichOne(devices, *device, plain)};
        }
        return {Load{Load::Kind::Device, 0.0, *device}, {}};
    }
    const Likely likely = likelyWhole(plain, canBe);
    if (likely.reading) {
        return {Load{*kindOf(likely.reading->unit.dimension), likely.reading->value, {}}, {}};
    }
    if (!likely.choices.empty()) {
        return {{}, Question{whichOf(plain, likely.choices), likely.choices}};
    }
    const auto bare = quantity::wholeQuantity(plain);
    if (bare && bare->unit.dimension == Dimension::None && bare->value > 0.0) {
        const std::vector<std::string> choices = {plain + " ohm", plain + " mA", plain + " mW"};
        return {{}, Question{whichOf(plain, choices), choices}};
    }
    return {{}, Question{text({"load.unread", {{"typed", plain}}}), {}}};
}

std::string loadText(const Load& load) {
    switch (load.kind) {
    case Load::Kind::Resistor:
        return quantityText(load.value, Unit::Ohm);
    case Load::Kind::Current:
        return quantityText(load.value, Unit::Ampere);
    case Load::Kind::Power:
        return quantityText(load.value, Unit::Watt);
    case Load::Kind::Device:
        return load.device.names.front();
    case Load::Kind::Share:
        break;
    }
    return numberText(100.0 * load.value, 2) + "\u00A0%";
}

} // namespace anodex::wording
