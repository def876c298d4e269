#include "core/state/State.h"

namespace anodex::state {

double molesOf(const ElectrodeState& electrode, chemistry::SpeciesIndex solid) {
    double moles = 0.0;
    for (const Solid& part : electrode.solids) {
        moles += part.species == solid ? part.moles : 0.0;
    }
    return moles;
}

void addSolid(ElectrodeState& electrode, chemistry::SpeciesIndex solid, double moles) {
    const double held = molesOf(electrode, solid);
    if (moles < 0.0 && held > 0.0) {
        for (Solid& part : electrode.solids) {
            part.moles += part.species == solid ? moles * part.moles / held : 0.0;
        }
        return;
    }
    const auto deposit =
        std::find_if(electrode.solids.begin(), electrode.solids.end(), [&](const Solid& part) {
            return part.species == solid && part.place == Place::Deposit;
        });
    if (deposit == electrode.solids.end()) {
        electrode.solids.push_back({solid, Place::Deposit, moles});
    } else {
        deposit->moles += moles;
    }
}

void addGas(State& state, chemistry::SpeciesIndex gas, double moles) {
    const auto found = std::find_if(state.headSpace.begin(), state.headSpace.end(),
                                    [&](const chemistry::SpeciesTerm& term) { return term.species == gas; });
    if (found == state.headSpace.end()) {
        state.headSpace.push_back({gas, moles});
    } else {
        found->count += moles;
    }
}

std::vector<Shortfall> shortfalls(const chemistry::Catalogue& catalogue, const State& state) {
    std::vector<Shortfall> missing;
    for (const liquid::Composition& composition : state.liquids) {
        for (const chemistry::SpeciesTerm& term : liquid::shortfalls(catalogue, composition)) {
            missing.push_back({term.species, term.count});
        }
    }
    for (const ElectrodeState& electrode : state.electrodes) {
        for (const Solid& part : electrode.solids) {
            if (part.moles < 0.0) {
                missing.push_back({part.species, -part.moles});
            }
        }
    }
    for (const chemistry::SpeciesTerm& gas : state.headSpace) {
        if (gas.count < 0.0) {
            missing.push_back({gas.species, -gas.count});
        }
    }
    return missing;
}

} // namespace anodex::state
