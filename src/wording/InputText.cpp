#include "wording/InputText.h"

#include "core/design/Identify.h"

namespace anodex::wording {
namespace {

using electrode::InputKind;

template <typename Entry> std::string nameOf(const std::vector<Entry>& entries, const std::string& id) {
    const auto found = design::withId(entries, id);
    return found ? entries[*found].name : id;
}

std::string material(const chemistry::Catalogue& catalogue, const std::string& id) {
    return nameOf(catalogue.materials, id);
}

std::string separator(const chemistry::Catalogue& catalogue, const std::string& id) {
    return nameOf(catalogue.separators, id);
}

std::string ofReaction(const chemistry::Catalogue& catalogue, const char* what,
                       const electrode::Input& input) {
    const auto found = design::withId(catalogue.reactions, input.id);
    const std::string name = found ? catalogue.reactions[*found].anodicName : input.id;
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
        const auto found = design::withId(catalogue.reactions, input.id);
        return "standard potential of " + (found ? catalogue.reactions[*found].equation : input.id);
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
