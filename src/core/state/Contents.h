// src/core/state/Contents.h - a state with its liquids brought to equilibrium: what the laws are asked about.
//
// Law        closed cells: the head space's oxygen stands over the liquids by its own pressure (ideal gas).
// Errors     as solveSolution().
#pragma once
#include "core/design/Cell.h"
#include "core/liquid/Solution.h"
#include "core/liquid/Titration.h"
#include "core/state/Layers.h"
#include "core/state/State.h"
#include <memory>

namespace anodex::state {

struct Contents {
    State state;
    std::vector<liquid::Solution> solutions;                          ///< One, or two by Side.
    std::vector<std::shared_ptr<const liquid::Titration>> titrations; ///< Of each liquid.
    std::array<std::optional<liquid::Solution>, 2> faces;
    std::optional<Layers> layers; ///< Where liquids lie one on the other.

    /// In which the electrode stands.
    [[nodiscard]] const liquid::Solution& solution(design::Side side) const {
        return solutions[state.liquidIndex(side)];
    }
    /// As it was filled in on a side.
    [[nodiscard]] const liquid::Solution& poured(design::Side side) const {
        return solutions[std::min(static_cast<std::size_t>(side), solutions.size() - 1)];
    }
    /// Of the liquid at an electrode whose face is not known from elsewhere; none otherwise.
    [[nodiscard]] const liquid::Titration* titration(design::Side side) const {
        return faces[static_cast<std::size_t>(side)] ? nullptr : titrations[state.liquidIndex(side)].get();
    }
    /// What the electrode itself meets.
    [[nodiscard]] const liquid::Solution& atFace(design::Side side) const {
        const auto& face = faces[static_cast<std::size_t>(side)];
        return face ? *face : solution(side);
    }
};

/// As built and filled, at rest.
[[nodiscard]] Contents asBuilt(const chemistry::Catalogue& catalogue, const design::Cell& cell);

/// A liquid that many cells share: solved once, and once at every acidity that a face of any of them comes to.
struct SharedLiquid {
    liquid::Solution solution;
    std::shared_ptr<const liquid::Titration> titration;
};

[[nodiscard]] SharedLiquid sharedLiquid(const chemistry::Catalogue& catalogue,
                                        const liquid::Mixture& mixture);

/// As built, with liquids that were solved before: one, or two by Side.
[[nodiscard]] Contents filledWith(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const std::vector<SharedLiquid>& liquids);

/// The same cell in another state.
[[nodiscard]] Contents changedTo(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                 const Contents& before, State state);

} // namespace anodex::state
