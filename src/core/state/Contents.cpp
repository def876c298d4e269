#include "core/state/Contents.h"

#include "core/base/Constants.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>

namespace anodex::state {
namespace {

using chemistry::Catalogue;
using chemistry::Material;
using chemistry::SpeciesIndex;
using design::Side;

constexpr double kPascalPerBar = 1e5; // by definition

double molarMass(const Catalogue& catalogue, SpeciesIndex species) {
    return catalogue.species[species].molarMassKg;
}

void addParts(const Catalogue& catalogue, const Material& material, double kilograms, Place place,
              ElectrodeState& electrode) {
    for (const chemistry::CompositionPart& part : material.composition) {
        const double moles = part.massFraction * kilograms / molarMass(catalogue, part.species);
        const auto same =
            std::find_if(electrode.solids.begin(), electrode.solids.end(), [&](const Solid& solid) {
                return solid.species == part.species && solid.place == place;
            });
        if (same == electrode.solids.end()) {
            electrode.solids.push_back({part.species, place, moles});
        } else {
            same->moles += moles;
        }
    }
}

void addBody(const Catalogue& catalogue, const design::Electrode& built, ElectrodeState& electrode) {
    if (!built.charged) {
        addParts(catalogue, catalogue.materials[built.material], built.massKg, Place::Body, electrode);
        return;
    }
    const auto& [full, empty, share] = *built.charged;
    addParts(catalogue, catalogue.materials[full], share * built.massKg, Place::Body, electrode);
    addParts(catalogue, catalogue.materials[empty], (1.0 - share) * built.massKg, Place::Body, electrode);
}

ElectrodeState electrodeAsBuilt(const Catalogue& catalogue, const design::Electrode& built) {
    ElectrodeState electrode;
    const Material& body = catalogue.materials[built.material];
    addBody(catalogue, built, electrode);
    if (body.plating) {
        electrode.solids.push_back(
            {body.plating->species, Place::Plating,
             built.areaM2 * body.plating->thicknessMetres.value * body.plating->densityKgPerM3 /
                 molarMass(catalogue, body.plating->species)});
    }
    for (const design::ElectrodeAdditive& additive : built.additives) {
        addParts(catalogue, catalogue.materials[additive.material], additive.massKg, Place::Powder,
                 electrode);
    }
    return electrode;
}

double molesPerBar(const design::Cell& cell, double temperatureKelvin) {
    return kPascalPerBar * cell.headSpaceM3 / (base::kGasConstant * temperatureKelvin);
}

/// Over a liquid that air reaches at all.
double oxygenBar(const Catalogue& catalogue, const design::Cell& cell, const State& state) {
    if (!cell.closed) {
        return base::kOxygenShareOfAir;
    }
    double moles = 0.0;
    for (const chemistry::SpeciesTerm& gas : state.headSpace) {
        moles += gas.species == catalogue.key.oxygenGas ? gas.count : 0.0;
    }
    return std::max(moles, 0.0) / molesPerBar(cell, state.temperatureKelvin);
}

} // namespace

SharedLiquid sharedLiquid(const Catalogue& catalogue, const liquid::Mixture& mixture) {
    auto solver = std::make_unique<liquid::LiquidSolver>(catalogue);
    const liquid::Solution& solution = solver->pour(mixture);
    return {solution, std::make_shared<const liquid::Titration>(catalogue, std::move(solver))};
}

Contents filledWith(const Catalogue& catalogue, const design::Cell& cell,
                    const std::vector<SharedLiquid>& liquids) {
    Contents contents;
    State& state = contents.state;
    for (const SharedLiquid& liquid : liquids) {
        state.liquids.push_back(liquid.solution.composition);
        contents.solutions.push_back(liquid.solution);
        contents.titrations.push_back(liquid.titration);
    }
    contents.layers = layersOf(catalogue, cell, contents.solutions);
    for (const Side side : {Side::Negative, Side::Positive}) {
        const auto index = static_cast<std::size_t>(side);
        state.electrodes[index] = electrodeAsBuilt(catalogue, cell.electrode(side));
        if (contents.layers && contents.layers->strayed[index]) {
            state.liquidOf[index] = static_cast<std::size_t>(design::otherSide(side));
        }
    }
    state.temperatureKelvin = cell.temperatureKelvin;
    if (cell.closed) {
        state.headSpace = {
            {catalogue.key.oxygenGas, base::kOxygenShareOfAir * molesPerBar(cell, cell.temperatureKelvin)}};
    }
    return contents;
}

Contents asBuilt(const Catalogue& catalogue, const design::Cell& cell) {
    std::vector<SharedLiquid> liquids{sharedLiquid(catalogue, cell.poured[0])};
    if (cell.twoLiquids) {
        liquids.push_back(sharedLiquid(catalogue, cell.poured[1]));
    }
    return filledWith(catalogue, cell, liquids);
}

Contents changedTo(const Catalogue& catalogue, const design::Cell& cell, const Contents& before,
                   State state) {
    Contents contents;
    const double oxygen = oxygenBar(catalogue, cell, state);
    const auto solved = [&](std::size_t index, const liquid::Composition& composition) {
        const bool airless = cell.poured[index].oxygenPressureBar <= liquid::kAirlessOxygenBar;
        return liquid::solveChanged(catalogue, before.solutions[index], composition,
                                    {state.temperatureKelvin, airless ? liquid::kAirlessOxygenBar : oxygen});
    };
    for (std::size_t i = 0; i < state.liquids.size(); ++i) {
        contents.solutions.push_back(solved(i, state.liquids[i]));
    }
    for (const Side side : {Side::Negative, Side::Positive}) {
        if (const auto& face = state.electrode(side).face) {
            contents.faces[static_cast<std::size_t>(side)] = solved(state.liquidIndex(side), *face);
        }
    }
    for (const liquid::Solution& solution : contents.solutions) {
        contents.titrations.push_back(std::make_shared<const liquid::Titration>(catalogue, solution));
    }
    contents.layers = before.layers;
    contents.state = std::move(state);
    return contents;
}

} // namespace anodex::state
