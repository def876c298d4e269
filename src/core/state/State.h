// src/core/state/State.h - what a cell holds now, as amounts, apart from what was built.
//
// Units      SI: mol, kg, K, V against SHE. Amounts below zero mean that more was taken than was there; they
//            are kept, so that every balance closes, and shortfalls() tells them.
#pragma once
#include "core/design/Design.h"
#include "core/liquid/Composition.h"
#include <algorithm>
#include <array>
#include <optional>
#include <vector>

namespace anodex::state {

/// In which part of an electrode a solid sits.
enum class Place { Body, Plating, Powder, Deposit };

struct Solid {
    chemistry::SpeciesIndex species = 0;
    Place place = Place::Body;
    double moles = 0.0;
    bool operator==(const Solid&) const = default;
};

struct ElectrodeState {
    std::vector<Solid> solids;
    double filmCoverage = 0.0;  ///< Share of its face under a film of its own product. 0 to 1.
    double freshCoverage = 0.0; ///< Share of its face that its own metal has newly plated. 0 to 1.
    std::optional<liquid::Composition> face; ///< Liquid at it; absent: as the bulk.
    std::optional<double> doubleLayerVolts;  ///< Absent: at rest.
    bool operator==(const ElectrodeState&) const = default;
};

struct State {
    std::vector<liquid::Composition> liquids;      ///< One, or two by Side.
    std::array<ElectrodeState, 2> electrodes;      ///< By Side.
    std::vector<chemistry::SpeciesTerm> headSpace; ///< Moles of gas under a closed lid; empty where open.
    std::array<std::size_t, 2> liquidOf{0, 1};     ///< By Side: in which of them the electrode stands.
    double temperatureKelvin = 293.15;
    bool operator==(const State&) const = default;

    [[nodiscard]] std::size_t liquidIndex(design::Side side) const {
        return std::min(liquidOf[static_cast<std::size_t>(side)], liquids.size() - 1);
    }
    [[nodiscard]] const ElectrodeState& electrode(design::Side side) const {
        return electrodes[static_cast<std::size_t>(side)];
    }
};

/// Of a solid in all places together.
[[nodiscard]] double molesOf(const ElectrodeState& electrode, chemistry::SpeciesIndex solid);

/// Puts a solid down as a deposit, or takes it (below 0) from every place by its share; what no place holds is
/// owed by the deposit.
void addSolid(ElectrodeState& electrode, chemistry::SpeciesIndex solid, double moles);

void addGas(State& state, chemistry::SpeciesIndex gas, double moles);

/// Something of which more was taken than was there.
struct Shortfall {
    chemistry::SpeciesIndex species = 0;
    double moles = 0.0; ///< Missing, > 0.
    bool operator==(const Shortfall&) const = default;
};

[[nodiscard]] std::vector<Shortfall> shortfalls(const chemistry::Catalogue& catalogue, const State& state);

} // namespace anodex::state
