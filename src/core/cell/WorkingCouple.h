// src/core/cell/WorkingCouple.h - which reaction of an electrode answers a load.
//
// Law        that whose own current grows most from rest to load, as far as it carries it there: at rest a mixed
//            electrode already passes currents that cancel, and one that only slows down is no answer. Where all
//            that run are at their limit already (a film), it is the one that carries most at load.
#pragma once
#include "core/electrode/FacedElectrode.h"

namespace anodex::cell {

struct WorkingCouple {
    std::size_t reaction = 0;
    chemistry::Branch branch = chemistry::Branch::Anodic;
    double takenShare = 0.0;  ///< Of its current, by another reaction on the spot: the leads get the rest.
    std::size_t taker = 0;    ///< That reaction, which runs the other way.
    bool hasOtherWay = false; ///< Its solid goes on dissolving when the hydroxide that it binds is used up.
};

/// Always one of the model's open routes; `branch` says which way the load drives the electrode.
[[nodiscard]] WorkingCouple workingCouple(const chemistry::Catalogue& catalogue,
                                          const electrode::FacedElectrode& model, const electrode::Seat& rest,
                                          const electrode::Seat& load, chemistry::Branch branch);

} // namespace anodex::cell
