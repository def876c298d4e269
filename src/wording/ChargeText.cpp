#include "wording/ChargeText.h"

#include "wording/Texts.h"

namespace anodex::wording {

std::string chargeStateText(charge::ChargeState state) {
    return text(state == charge::ChargeState::AsBuilt ? "charge.as-built" : "charge.half-used");
}

std::string chargeLimitText(charge::ChargeLimit limit) {
    switch (limit) {
    case charge::ChargeLimit::None:
        return text("charge.limit-none");
    case charge::ChargeLimit::SideReactions:
        return text("charge.limit-side-reactions");
    case charge::ChargeLimit::Gassing:
        return text("charge.limit-gassing");
    case charge::ChargeLimit::Missing:
        return text("charge.limit-missing");
    case charge::ChargeLimit::Plating:
        return text("charge.limit-plating");
    case charge::ChargeLimit::Resistance:
        return text("charge.limit-resistance");
    }
    return {};
}

std::string fateText(charge::Fate fate) {
    switch (fate) {
    case charge::Fate::Lost:
        return text("charge.lost");
    case charge::Fate::ToAir:
        return text("charge.to-air");
    case charge::Fate::Stored:
        return text("charge.stored");
    }
    return {};
}

std::string spaceText(cell::Space space) {
    switch (space) {
    case cell::Space::HeadSpace:
        return text("space.head-space");
    case cell::Space::Box:
        return text("space.box");
    case cell::Space::Room:
        return text("space.room");
    case cell::Space::Outdoors:
        return text("space.outdoors");
    }
    return {};
}

} // namespace anodex::wording
