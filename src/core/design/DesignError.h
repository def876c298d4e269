// src/core/design/DesignError.h - the first field of a design that cannot be used, and what would be right.
#pragma once
#include <string>

namespace anodex::design {

struct DesignError {
    enum class Code {
        UnknownMaterial,
        UnknownSubstance,
        UnknownLiquid,
        UnknownSeparator,
        UnknownCase,
        UnknownFamily,
        NotPositive,
        NotAShare,
        NeverCharged, ///< `written` has no charged and discharged state.
        TemperatureOutOfRange,
        Frozen, ///< `most` is where ice begins to form, K.
        PercentTooHigh,
        NoRoomForSolvent,
        StrongerThanNeat, ///< `most` is the strongest possible, mol/m³.
        Refused           ///< `suggestion` says why.
    };
    Code code;
    std::string field;      ///< Dotted path in the cell file.
    std::string written;    ///< What stood there.
    std::string suggestion; ///< Nearest known name, or empty.
    double most = 0.0;
};

} // namespace anodex::design
