// src/core/electrode/Situation.h - an electrode with what it is asked about: its parameters in one world, what
// was built and what the cell holds now.
//
// Ownership  refers to values that have to live longer.
#pragma once
#include "core/electrode/Parameters.h"
#include "core/state/Contents.h"

namespace anodex::electrode {

struct Situation {
    const chemistry::Catalogue& catalogue;
    const design::Cell& cell;
    const state::Contents& contents;
    const ElectrodeParameters& parameters;
    const liquid::Solution* face =
        nullptr; ///< What is known of the liquid at its face; none: as the contents say.

    [[nodiscard]] const design::Electrode& electrode() const { return cell.electrode(parameters.side); }
    [[nodiscard]] const chemistry::Material& material() const {
        return catalogue.materials[electrode().material];
    }
    [[nodiscard]] const state::ElectrodeState& held() const {
        return contents.state.electrode(parameters.side);
    }
    [[nodiscard]] double temperatureKelvin() const { return contents.state.temperatureKelvin; }
    /// The bulk, which supplies.
    [[nodiscard]] const liquid::Solution& solution() const { return contents.solution(parameters.side); }
    /// What the electrode itself meets.
    [[nodiscard]] const liquid::Solution& atFace() const { return face != nullptr ? *face : given(); }
    /// The same before its own work changed it.
    [[nodiscard]] const liquid::Solution& given() const { return contents.atFace(parameters.side); }
};

} // namespace anodex::electrode
