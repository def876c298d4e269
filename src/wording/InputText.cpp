#include "wording/InputText.h"

#include "core/design/Identify.h"
#include "wording/ExplainText.h"
#include "wording/Texts.h"

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

std::string named(const char* id, const std::string& name) {
    return text({id, {{"name", name}}});
}

std::string ofReaction(const chemistry::Catalogue& catalogue, const char* what,
                       const electrode::Input& input) {
    const auto found = design::withId(catalogue.reactions, input.id);
    const std::string name =
        found ? deedText(catalogue.reactions[*found], chemistry::Branch::Anodic) : input.id;
    return text({what, {{"name", name}, {"number", std::to_string(input.which + 1)}}});
}

} // namespace

std::string inputText(const chemistry::Catalogue& catalogue, const electrode::Input& input) {
    switch (input.kind) {
    case InputKind::Roughness:
        return named("input.surface", material(catalogue, input.id));
    case InputKind::Rate:
        return ofReaction(catalogue, "input.rate", input);
    case InputKind::Onset:
        return ofReaction(catalogue, "input.onset", input);
    case InputKind::RateLimit:
        return ofReaction(catalogue, "input.limit", input);
    case InputKind::StandardPotential: {
        const auto found = design::withId(catalogue.reactions, input.id);
        return named("input.standard-potential", found ? catalogue.reactions[*found].equation : input.id);
    }
    case InputKind::Trace:
        return named("input.trace", input.id);
    case InputKind::Grade:
        return named("input.grade", material(catalogue, input.id));
    case InputKind::Plating:
        return named("input.plating", material(catalogue, input.id));
    case InputKind::Utilisation:
        return named("input.utilisation", material(catalogue, input.id));
    case InputKind::LiquidConductivity:
        return text(input.which == 0 ? "input.conductivity" : "input.conductivity-positive");
    case InputKind::Supply:
        return text(input.which == 0 ? "input.supply" : "input.supply-positive");
    case InputKind::StillOxygen:
        return text("input.oxygen");
    case InputKind::AirlessOxygen:
        return text("input.airless-oxygen");
    case InputKind::BeyondMeasured:
        return ofReaction(catalogue, "input.beyond-measured", input);
    case InputKind::AirSupply:
        return named("input.air-supply", material(catalogue, input.id));
    case InputKind::Pores:
        return named("input.pores", material(catalogue, input.id));
    case InputKind::Resistivity:
        return named("input.resistivity", material(catalogue, input.id));
    case InputKind::Film:
        return named("input.film", material(catalogue, input.id));
    case InputKind::Touch:
        return named("input.touch", material(catalogue, input.id));
    case InputKind::Insertion:
        return named("input.insertion", input.id);
    case InputKind::SeparatorPaths:
        return named("input.paths", separator(catalogue, input.id));
    case InputKind::SeparatorResistance:
        return named("input.resistance-separator", separator(catalogue, input.id));
    case InputKind::Contacts:
        return text("input.contacts");
    case InputKind::Reading:
        return text("input.reading");
    case InputKind::SurfaceState:
        return named("input.surface-state", material(catalogue, input.id));
    case InputKind::DissolvedShare:
        return text("input.dissolved-share");
    case InputKind::SolventShare:
        return text("input.water-share");
    }
    return input.id;
}

} // namespace anodex::wording
