#include "wording/ChargeText.h"

namespace anodex::wording {

const char* chargeStateText(charge::ChargeState state) {
    return state == charge::ChargeState::AsBuilt ? "as built" : "half used";
}

const char* chargeLimitText(charge::ChargeLimit limit) {
    switch (limit) {
    case charge::ChargeLimit::None:
        return "nothing here";
    case charge::ChargeLimit::SideReactions:
        return "side reactions";
    case charge::ChargeLimit::Gassing:
        return "gas once it is full";
    case charge::ChargeLimit::Missing:
        return "an hour for what is missing";
    case charge::ChargeLimit::Plating:
        return "metal growing loose";
    case charge::ChargeLimit::Resistance:
        return "heat";
    }
    return "";
}

const char* fateText(charge::Fate fate) {
    switch (fate) {
    case charge::Fate::Lost:
        return "lost";
    case charge::Fate::ToAir:
        return "back to the air";
    case charge::Fate::Stored:
        return "stored";
    }
    return "";
}

const char* spaceText(cell::Space space) {
    switch (space) {
    case cell::Space::HeadSpace:
        return "head space";
    case cell::Space::Box:
        return "box";
    case cell::Space::Room:
        return "room";
    case cell::Space::Outdoors:
        return "air around it";
    }
    return "";
}

} // namespace anodex::wording
