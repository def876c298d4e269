#include "core/shelf/Candidates.h"

#include "core/chemistry/NameLookup.h"
#include "core/design/Identify.h"
#include "core/design/Resolve.h"
#include "core/electrode/PorousLayer.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace anodex::shelf {
namespace {

using chemistry::Catalogue;
using design::CellDesign;
using design::DesignError;
using design::LiquidBasis;
using design::LiquidDesign;
using design::Side;

constexpr double kOneLiquidM3 = 1e-4; // a small glass
constexpr double kHalfM3 = 0.5 * kOneLiquidM3;
constexpr double kWeak = 500.0;          // mol/m³
constexpr double kStrong = 3000.0;       // mol/m³
constexpr double kOfWhatDissolves = 0.8; // share of saturation (common practice, no source)

std::size_t pairsOf(std::size_t count) {
    return count * (count - (count > 0 ? 1 : 0)) / 2;
}

/// The pair of this number among 0 <= first < second < count.
std::pair<std::size_t, std::size_t> pairAt(std::size_t number, std::size_t count) {
    std::size_t first = 0;
    while (number >= count - 1 - first) {
        number -= count - 1 - first;
        ++first;
    }
    return {first, first + 1 + number};
}

std::optional<double> scaled(const std::optional<double>& value, double factor) {
    return value ? std::optional(*value * factor) : std::nullopt;
}

double tidied(double value) {
    const double scale = std::pow(10.0, 2.0 - std::floor(std::log10(value)));
    return std::floor(value * scale) / scale;
}

} // namespace

tl::expected<Candidates, DesignError> Candidates::create(const Catalogue& catalogue, const Shelf& shelf) {
    Candidates made;
    made.m_shelf = shelf;
    for (const OwnedMaterial& owned : shelf.materials) {
        design::ElectrodeDesign electrode;
        electrode.material = owned.material;
        electrode.wettedAreaM2 = owned.areaM2;
        electrode.massKg = owned.massKg;
        const auto found = design::findMaterial(catalogue, owned.material);
        if (found && electrode::breathesByNature(catalogue.materials[*found])) {
            electrode.air = design::Air::Breathing;
        }
        made.m_electrodes.push_back(std::move(electrode));
        made.m_priced = made.m_priced || owned.price.has_value();
    }
    made.pour(catalogue);
    if (const auto problem = made.solve(catalogue)) {
        return tl::unexpected(*problem);
    }
    for (std::size_t i = 0; i < made.m_pours.size(); ++i) {
        if (!made.m_pours[i].weak) {
            made.m_strong.push_back(i);
        }
    }
    const std::size_t pairs = pairsOf(made.m_electrodes.size());
    const std::size_t strong = made.m_strong.size();
    made.m_singles = pairs * made.m_pours.size() * (1 + made.m_open.size());
    made.m_doubles = pairs * strong * (strong > 0 ? strong - 1 : 0) * made.m_dividing.size();
    return made;
}

void Candidates::pour(const Catalogue& catalogue) {
    for (const OwnedLiquid& owned : m_shelf.liquids) {
        LiquidDesign design;
        design.ready = owned.ready;
        design.basis = LiquidBasis::FinishedVolume;
        design.basisValue = std::min(kOneLiquidM3, owned.volumeM3);
        m_pours.push_back({std::move(design), scaled(owned.price, 1.0 / owned.volumeM3), false});
        m_priced = m_priced || owned.price.has_value();
    }
    for (const OwnedSubstance& owned : m_shelf.substances) {
        const auto found = design::findSubstance(catalogue, owned.substance);
        double most = kStrong;
        double molarMass = 0.0;
        if (found) {
            const chemistry::Substance& substance = catalogue.substances[found->substance];
            if (substance.isSolvent) {
                continue;
            }
            molarMass =
                found->hydrate ? substance.hydrates[*found->hydrate].molarMassKg : substance.molarMassKg;
            most = std::min(most, owned.massKg / molarMass / kOneLiquidM3);
            if (substance.solubilityKgPerKg) {
                most = std::min(most, kOfWhatDissolves * *substance.solubilityKgPerKg * 1000.0 /
                                          substance.molarMassKg);
            }
        }
        const auto add = [&](double molPerM3, bool weak) {
            LiquidDesign design;
            design.basis = LiquidBasis::FinishedVolume;
            design.basisValue = kOneLiquidM3;
            design.solutes = {{owned.substance, {design::AmountUnit::MolPerM3, tidied(molPerM3)}}};
            const double kilogramsPerM3 = tidied(molPerM3) * molarMass;
            m_pours.push_back({std::move(design), scaled(owned.price, kilogramsPerM3 / owned.massKg), weak});
        };
        if (most > 1.5 * kWeak) {
            add(kWeak, true);
        }
        add(most, false);
        m_priced = m_priced || owned.price.has_value();
    }
}

std::optional<DesignError> Candidates::solve(const Catalogue& catalogue) {
    // Each part is resolved within a whole design, so that all is looked up and defaulted as it would be.
    const auto located = [](DesignError error, const std::string& list, std::size_t index) {
        const std::size_t dot = error.field.rfind('.');
        error.field = list + "[" + std::to_string(index) + "]" +
                      (dot == std::string::npos ? "" : error.field.substr(dot));
        return error;
    };
    CellDesign plain;
    plain.liquid.basis = LiquidBasis::FinishedVolume;
    plain.negative.material = plain.positive.material = design::namedAs(catalogue.materials.front());
    for (std::size_t i = 0; i < m_electrodes.size(); ++i) {
        CellDesign design = plain;
        design.negative = m_electrodes[i];
        auto solved = design::resolve(catalogue, design);
        if (!solved) {
            return located(solved.error(), "materials", i);
        }
        m_solvedElectrodes.push_back(solved->electrode(Side::Negative));
    }
    for (std::size_t i = 0; i < m_pours.size(); ++i) {
        CellDesign design = plain;
        design.liquid = m_pours[i].design;
        auto whole = design::resolve(catalogue, design);
        const std::size_t ready = m_shelf.liquids.size();
        if (!whole) {
            return i < ready ? located(whole.error(), "liquids", i)
                             : located(whole.error(), "substances", substanceOf(i));
        }
        design.liquid = liquid(i, kHalfM3);
        auto half = design::resolve(catalogue, design);
        if (!half) {
            return located(half.error(), "liquids", i);
        }
        m_whole.push_back(liquid::solveSolution(catalogue, whole->poured[0]));
        m_half.push_back(liquid::solveSolution(catalogue, half->poured[0]));
        m_doubt.push_back(whole->liquidDoubtFactor[0]);
    }
    for (std::size_t i = 0; i <= m_shelf.separators.size(); ++i) {
        CellDesign design = plain;
        if (i < m_shelf.separators.size()) {
            design.separator = design::SeparatorDesign{m_shelf.separators[i].material, {}, {}};
        }
        auto frame = design::resolve(catalogue, design);
        if (!frame) {
            return located(frame.error(), "separators", i);
        }
        if (frame->barrier) {
            (catalogue.separators[frame->barrier->separator].divides ? m_dividing : m_open).push_back(i);
        }
        m_frames.push_back(std::move(*frame));
    }
    for (std::size_t i = 0; i < m_shelf.cases.size(); ++i) {
        CellDesign design = plain;
        design.caseMaterial = m_shelf.cases[i].material;
        if (auto known = design::resolve(catalogue, design); !known) {
            return located(known.error(), "cases", i);
        }
    }
    return std::nullopt;
}

std::size_t Candidates::substanceOf(std::size_t pour) const {
    const design::Named& name = m_pours[pour].design.solutes.front().substance;
    for (std::size_t i = 0; i < m_shelf.substances.size(); ++i) {
        if (m_shelf.substances[i].substance == name) {
            return i;
        }
    }
    return 0;
}

Candidates::Choice Candidates::choice(std::size_t index) const {
    Choice choice;
    const std::size_t pairs = pairsOf(m_electrodes.size());
    const auto takePair = [&](std::size_t number) {
        const auto [first, second] = pairAt(number, m_electrodes.size());
        choice.first = first;
        choice.second = second;
    };
    if (index < m_singles) {
        takePair(index % pairs);
        index /= pairs;
        choice.liquid = index % m_pours.size();
        const std::size_t between = index / m_pours.size();
        if (between > 0) {
            choice.separator = m_open[between - 1];
        }
        return choice;
    }
    index -= m_singles;
    takePair(index % pairs);
    index /= pairs;
    const std::size_t first = index % m_strong.size();
    index /= m_strong.size();
    const std::size_t others = m_strong.size() - 1;
    const std::size_t second = index % others;
    choice.liquid = m_strong[first];
    choice.otherLiquid = m_strong[second < first ? second : second + 1];
    choice.separator = m_dividing[index / others];
    return choice;
}

LiquidDesign Candidates::liquid(std::size_t index, double volumeM3) const {
    LiquidDesign design = m_pours[index].design;
    design.basisValue = std::min(design.basisValue, volumeM3);
    return design;
}

CellDesign Candidates::design(const Choice& choice) const {
    CellDesign design;
    design.negative = m_electrodes[choice.first];
    design.positive = m_electrodes[choice.second];
    design.liquid = liquid(choice.liquid, choice.otherLiquid ? kHalfM3 : kOneLiquidM3);
    if (choice.otherLiquid) {
        design.positiveLiquid = liquid(*choice.otherLiquid, kHalfM3);
    }
    if (choice.separator) {
        design.separator = design::SeparatorDesign{m_shelf.separators[*choice.separator].material, {}, {}};
    }
    return design;
}

CellDesign Candidates::design(std::size_t index, bool swapped) const {
    CellDesign made = design(choice(index));
    if (swapped) {
        std::swap(made.negative, made.positive);
        if (made.positiveLiquid) {
            std::swap(made.liquid, *made.positiveLiquid);
        }
    }
    return made;
}

design::Cell Candidates::cell(std::size_t index) const {
    const Choice chosen = choice(index);
    design::Cell made = m_frames[chosen.separator.value_or(m_shelf.separators.size())];
    made.electrodes = {m_solvedElectrodes[chosen.first], m_solvedElectrodes[chosen.second]};
    made.twoLiquids = chosen.otherLiquid.has_value();
    if (chosen.otherLiquid) {
        made.poured = {m_half[chosen.liquid].mixture, m_half[*chosen.otherLiquid].mixture};
        made.liquidDoubtFactor = {m_doubt[chosen.liquid], m_doubt[*chosen.otherLiquid]};
    } else {
        made.poured = {m_whole[chosen.liquid].mixture, m_whole[chosen.liquid].mixture};
        made.liquidDoubtFactor = {m_doubt[chosen.liquid], m_doubt[chosen.liquid]};
    }
    return made;
}

std::vector<liquid::Solution> Candidates::solutions(std::size_t index) const {
    const Choice chosen = choice(index);
    return chosen.otherLiquid ? std::vector{m_half[chosen.liquid], m_half[*chosen.otherLiquid]}
                              : std::vector{m_whole[chosen.liquid]};
}

std::optional<double> Candidates::price(std::size_t index) const {
    const Choice chosen = choice(index);
    const CellDesign made = design(chosen);
    std::optional<double> sum = 0.0;
    const auto add = [&](const std::optional<double>& price, double share) {
        sum = sum && price ? std::optional(*sum + *price * share) : std::nullopt;
    };
    add(m_shelf.materials[chosen.first].price, 1.0);
    add(m_shelf.materials[chosen.second].price, 1.0);
    add(m_pours[chosen.liquid].pricePerM3, made.liquid.basisValue);
    if (chosen.otherLiquid) {
        add(m_pours[*chosen.otherLiquid].pricePerM3, made.positiveLiquid->basisValue);
    }
    if (chosen.separator) {
        add(m_shelf.separators[*chosen.separator].price, 1.0);
    }
    return sum;
}

} // namespace anodex::shelf
