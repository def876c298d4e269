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
        m_whole.push_back(state::sharedLiquid(catalogue, whole->poured[0]));
        m_half.push_back(state::sharedLiquid(catalogue, half->poured[0]));
        m_doubt.push_back(whole->liquidDoubtFactor[0]);
        m_ready.push_back(whole->ready[0]);
    }
    std::vector<std::size_t> open;
    std::vector<std::size_t> dividing;
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
            (catalogue.separators[frame->barrier->separator].divides ? dividing : open).push_back(i);
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
    std::vector<std::size_t> strong;
    for (std::size_t i = 0; i < m_pours.size(); ++i) {
        if (!m_pours[i].weak) {
            strong.push_back(i);
        }
    }
    m_numbers = CandidateNumbers(m_electrodes.size(), m_pours.size(), std::move(strong), std::move(open),
                                 std::move(dividing));
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
    CellDesign made = design(m_numbers.choice(index));
    if (swapped) {
        std::swap(made.negative, made.positive);
        if (made.positiveLiquid) {
            std::swap(made.liquid, *made.positiveLiquid);
        }
    }
    return made;
}

design::Cell Candidates::cell(std::size_t index) const {
    const Choice chosen = m_numbers.choice(index);
    design::Cell made = m_frames[chosen.separator.value_or(m_shelf.separators.size())];
    made.electrodes = {m_solvedElectrodes[chosen.first], m_solvedElectrodes[chosen.second]};
    made.twoLiquids = chosen.otherLiquid.has_value();
    if (chosen.otherLiquid) {
        made.poured = {m_half[chosen.liquid].solution.mixture, m_half[*chosen.otherLiquid].solution.mixture};
        made.ready = {m_ready[chosen.liquid], m_ready[*chosen.otherLiquid]};
        made.liquidDoubtFactor = {m_doubt[chosen.liquid], m_doubt[*chosen.otherLiquid]};
    } else {
        made.poured = {m_whole[chosen.liquid].solution.mixture, m_whole[chosen.liquid].solution.mixture};
        made.ready = {m_ready[chosen.liquid], m_ready[chosen.liquid]};
        made.liquidDoubtFactor = {m_doubt[chosen.liquid], m_doubt[chosen.liquid]};
    }
    return made;
}

std::vector<state::SharedLiquid> Candidates::liquids(std::size_t index) const {
    const Choice chosen = m_numbers.choice(index);
    return chosen.otherLiquid ? std::vector{m_half[chosen.liquid], m_half[*chosen.otherLiquid]}
                              : std::vector{m_whole[chosen.liquid]};
}

std::optional<double> Candidates::price(std::size_t index) const {
    const Choice chosen = m_numbers.choice(index);
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
