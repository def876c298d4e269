// src/core/design/Cell.h - a design with its names looked up and its defaults chosen.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include "core/liquid/Mixture.h"
#include <array>
#include <cmath>
#include <optional>
#include <string>
#include <vector>

namespace anodex::design {

inline constexpr double kDefaultTemperatureKelvin = 293.15; // a room
inline constexpr double kDefaultContactOhm = 0.030;         // clips and leads (common practice, no source)
inline constexpr double kDefaultOpenGapMetres =
    0.010; // electrodes hung in a jar (common practice, no source)

/// A default that was used because the design did not say.
struct Assumption {
    std::string field;
    double value = 0.0; ///< SI; the field's name tells the quantity.
    std::string text;   ///< For defaults that are no number.
    bool operator==(const Assumption&) const = default;
};

struct ElectrodeAdditive {
    std::size_t material = 0;
    double massKg = 0.0;
};

/// A plate whose reagent is partly charged.
struct ChargedPlate {
    std::size_t full = 0; ///< Materials.
    std::size_t empty = 0;
    double share = 1.0; ///< Of the mass that is as the full one. 0 to 1.
};

struct Electrode {
    std::size_t material = 0;
    double areaM2 = 0.0;
    double massKg = 0.0;
    double thicknessMetres = 0.0;
    Air air = Air::Still;
    double openShare = 1.0;
    double filledPores = 1.0;
    std::optional<ChargedPlate> charged; ///< None: all of its mass is as its material.
    std::vector<ElectrodeAdditive> additives;
    std::optional<double> collectorOhm; ///< As stated; absent: from its material.
    std::optional<std::size_t> collector;
    std::optional<double> measuredOhm;
};

struct Barrier {
    std::size_t separator = 0;
    double thicknessMetres = 0.0; ///< All layers together, as built (pressed into the gap at most).
    bool pressed = false;         ///< The gap is narrower than the layers.
};

struct Cell {
    double temperatureKelvin = kDefaultTemperatureKelvin;
    std::array<Electrode, 2> electrodes;   ///< By Side.
    std::array<liquid::Mixture, 2> poured; ///< By Side; equal when one liquid.
    bool twoLiquids = false;
    std::optional<Barrier> barrier;
    double gapMetres = kDefaultOpenGapMetres;
    double contactOhm = kDefaultContactOhm;
    bool stirred = false;
    std::optional<std::size_t> caseMaterial;
    bool closed = false;
    double headSpaceM3 = 0.0;       ///< Of a closed case.
    std::optional<double> insideM2; ///< Of the vessel, level; none: not told.
    std::optional<ChargeDesign> charge;
    PlaceDesign place;
    StringDesign string;
    std::array<std::optional<std::size_t>, 2> ready; ///< Ready-made liquids, by Side.
    std::optional<double> measuredResistanceOhm;
    std::optional<double> measuredOpenCircuitVolts;
    std::array<double, 2> liquidDoubtFactor{1.0, 1.0}; ///< Of a ready-made liquid's strength, by Side.
    std::vector<Assumption> assumed;

    [[nodiscard]] const Electrode& electrode(Side side) const {
        return electrodes[static_cast<std::size_t>(side)];
    }
};

inline constexpr double kDefaultHeadSpaceM3 = 5e-5; // under a lid (common practice, no source)

/// Cross-section the current crosses between the electrodes, m².
[[nodiscard]] inline double currentArea(const Cell& cell) {
    return std::sqrt(cell.electrodes[0].areaM2 * cell.electrodes[1].areaM2);
}

} // namespace anodex::design
