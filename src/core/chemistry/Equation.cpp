#include "core/chemistry/Equation.h"

#include <algorithm>

namespace anodex::chemistry {
namespace {

/// Hydroxide that one of a species carries into an equation.
double hydroxideOf(const Catalogue& catalogue, SpeciesIndex species) {
    if (species == catalogue.key.hydrogenIon) {
        return -1.0;
    }
    return species == catalogue.key.hydroxide ? 1.0 : -catalogue.species[species].acidicProtons;
}

double hydroxidePerAmpOf(const Catalogue& catalogue, const Reaction& reaction) {
    double made = 0.0; // by each reduction
    for (const SpeciesTerm& term : reaction.terms) {
        made += term.count * hydroxideOf(catalogue, term.species);
    }
    return -made / reaction.electrons;
}

int gasSignOf(const Catalogue& catalogue, const Reaction& reaction) {
    const auto gas = std::find_if(reaction.terms.begin(), reaction.terms.end(), [&](const SpeciesTerm& term) {
        return catalogue.species[term.species].formula.phase == Phase::Gas;
    });
    if (gas == reaction.terms.end()) {
        return 0;
    }
    return gas->count > 0.0 ? -1 : 1;
}

} // namespace

void deriveFromEquation(const Catalogue& catalogue, Reaction& reaction) {
    const auto hasTerm = [&](const auto& wanted) {
        return std::any_of(reaction.terms.begin(), reaction.terms.end(), wanted);
    };
    reaction.hydroxidePerAmp = hydroxidePerAmpOf(catalogue, reaction);
    reaction.gasSign = gasSignOf(catalogue, reaction);
    reaction.needsAcid = !hasTerm([&](const SpeciesTerm& term) {
        return term.species != catalogue.key.hydrogenIon && term.species != catalogue.key.hydrogenGas;
    });
    reaction.bindsHydroxide = hasTerm([&](const SpeciesTerm& term) {
                                  return term.count > 0.0 && term.species == catalogue.key.hydroxide;
                              }) &&
                              hasTerm([&](const SpeciesTerm& term) {
                                  return term.count < 0.0 && catalogue.species[term.species].isDissolved();
                              });
}

} // namespace anodex::chemistry
