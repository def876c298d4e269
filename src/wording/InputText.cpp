#include "wording/InputText.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using electrode::InputKind;

template <typename Entry> const Entry* withId(const std::vector<Entry>& entries, const std::string& id) {
    const auto found =
        std::find_if(entries.begin(), entries.end(), [&](const Entry& entry) { return entry.id == id; });
    return found == entries.end() ? nullptr : &*found;
}

std::string material(const chemistry::Catalogue& catalogue, const std::string& id) {
    const chemistry::Material* found = withId(catalogue.materials, id);
    return found != nullptr ? found->name : id;
}

std::string separator(const chemistry::Catalogue& catalogue, const std::string& id) {
    const chemistry::SeparatorMaterial* found = withId(catalogue.separators, id);
    return found != nullptr ? found->name : id;
}

std::string ofReaction(const chemistry::Catalogue& catalogue, const char* what,
                       const electrode::Input& input) {
    const chemistry::Reaction* found = withId(catalogue.reactions, input.id);
    const std::string name = found != nullptr ? found->anodicName : input.id;
    return std::string(what) + " of " + name + " #" + std::to_string(input.which + 1);
}

} // namespace

std::string inputText(const chemistry::Catalogue& catalogue, const electrode::Input& input) {
    switch (input.kind) {
    case InputKind::Roughness:
        return "surface of " + material(catalogue, input.id);
    case InputKind::Rate:
        return ofReaction(catalogue, "rate", input);
    case InputKind::Onset:
        return ofReaction(catalogue, "onset", input);
    case InputKind::RateLimit:
        return ofReaction(catalogue, "limit", input);
    case InputKind::StandardPotential: {
        const chemistry::Reaction* found = withId(catalogue.reactions, input.id);
        return "standard potential of " + (found != nullptr ? found->equation : input.id);
    }
    case InputKind::Trace:
        return "trace of " + input.id;
    case InputKind::Grade:
        return "grade of " + material(catalogue, input.id);
    case InputKind::Plating:
        return "plating of " + material(catalogue, input.id);
    case InputKind::Utilisation:
        return "utilisation of " + material(catalogue, input.id);
    case InputKind::LiquidConductivity:
        return input.which == 0 ? "conductivity of the liquid" : "conductivity of the positive liquid";
    case InputKind::Supply:
        return input.which == 0 ? "supply at the negative electrode" : "supply at the positive electrode";
    case InputKind::StillOxygen:
        return "oxygen supply in still liquid";
    case InputKind::AirSupply:
        return "air supply of " + material(catalogue, input.id);
    case InputKind::Pores:
        return "pores of " + material(catalogue, input.id);
    case InputKind::Resistivity:
        return "resistivity of " + material(catalogue, input.id);
    case InputKind::Film:
        return "film of " + material(catalogue, input.id);
    case InputKind::SeparatorPaths:
        return "paths through " + separator(catalogue, input.id);
    case InputKind::SeparatorResistance:
        return "resistance of " + separator(catalogue, input.id);
    case InputKind::Contacts:
        return "contacts and leads";
    case InputKind::Reading:
        return "reading and junction";
    case InputKind::SurfaceState:
        return "state of the " + material(catalogue, input.id) + " surface";
    case InputKind::DissolvedShare:
        return "share of dissolved reagent used";
    case InputKind::SolventShare:
        return "share of water used";
    }
    return input.id;
}

} // namespace anodex::wording
