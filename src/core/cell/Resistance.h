// src/core/cell/Resistance.h - what opposes the current outside the electrode surfaces.
//
// Law        R = L N / (κ A) for each layer of liquid or separator (N the MacMullin number); in the ground
//            and in large baths spreading resistance instead; plus bridge, membrane, collectors, electrode
//            bodies and the liquid in their pores, contacts. A loose or pressed layer touches its collector by
//            r / A. A measured total replaces the computed one.
// Source     MacMullin & Muccini, AIChE J. 2, 393 (1956).
// Units      ohm.
#pragma once
#include "core/cell/CompiledCell.h"
#include <vector>

namespace anodex::cell {

enum class ResistancePart {
    NegativeLiquid,
    PositiveLiquid,
    Separator,
    Bridge,
    NegativeBody,
    PositiveBody,
    NegativePores,
    PositivePores,
    NegativeCollector,
    PositiveCollector,
    NegativeTouch, ///< Between a loose or pressed layer and its collector.
    PositiveTouch,
    Contacts,
    Measured
};

struct ResistanceShare {
    ResistancePart part = ResistancePart::Contacts;
    double ohm = 0.0;
};

struct ResistanceBudget {
    std::vector<ResistanceShare> shares; ///< Only parts that exist.
    double totalOhm = 0.0;
};

[[nodiscard]] ResistanceBudget resistanceBudget(const CompiledCell& compiled,
                                                const state::Contents& contents);

} // namespace anodex::cell
