#include "wording/ChargeText.h"

namespace anodex::wording {

const char* chargeStateText(cell::ChargeState state) {
    return state == cell::ChargeState::AsBuilt ? "as built" : "half used";
}

const char* chargeLimitText(cell::ChargeLimit limit) {
    switch (limit) {
    case cell::ChargeLimit::None:
        return "nothing here";
    case cell::ChargeLimit::SideReactions:
        return "side reactions";
    case cell::ChargeLimit::Gassing:
        return "gas once it is full";
    case cell::ChargeLimit::Missing:
        return "an hour for what is missing";
    case cell::ChargeLimit::Plating:
        return "metal growing loose";
    case cell::ChargeLimit::Resistance:
        return "heat";
    }
    return "";
}

const char* fateText(cell::Fate fate) {
    switch (fate) {
    case cell::Fate::Lost:
        return "lost";
    case cell::Fate::ToAir:
        return "back to the air";
    case cell::Fate::Stored:
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
