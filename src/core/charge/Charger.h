// src/core/charge/Charger.h - one cell's curve on charge: what a supply finds at its leads.
//
// Sign       amps are positive while charging; a cell labelled the wrong way round is charged the other way.
// Law        see Charge.h.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/charge/Charging.h"

namespace anodex::charge {

inline constexpr double kLowestChargeDensity = 1e-3; ///< A/m²
inline constexpr double kHighestChargeDensity = 1e4; ///< A/m²
inline constexpr double kWorthCharging = 0.5;        ///< Stored share from which a side counts as storing.

inline constexpr double kStillGood = 0.9; ///< Of the best efficiency.

/// What a charge must not pass, beside what its own current shows.
struct ChargeCaps {
    double floorVolts = 0.0;
    std::optional<double> volts;
    std::optional<double> amps;
};

/// The same with what a charge soon makes of both faces: films on its plus side, and on its minus side fresh metal where
/// that is what plates.
[[nodiscard]] state::Contents underCharge(const cell::CompiledCell& compiled, state::Contents contents,
                                          bool reversed);

/// Whether the label is wrong; where hardly anything drives the cell, either side may be called plus.
[[nodiscard]] bool isReversed(const cell::Evaluation& evaluation);

class Charger {
public:
    /// `evaluation` of the cell as it was built, `contents` as it takes the charge.
    Charger(const cell::CompiledCell& compiled, const state::Contents& contents,
            const cell::Evaluation& evaluation);
    Charger(const Charger&) = delete;
    Charger& operator=(const Charger&) = delete;
    ~Charger() = default;

    [[nodiscard]] double area() const { return m_area; }
    [[nodiscard]] double restVolts() const { return voltsAt(0.0); }
    [[nodiscard]] double voltsAt(double amps) const { return m_sign * m_curve.voltsAt(-m_sign * amps); }
    /// 0 where that voltage does not even overcome rest.
    [[nodiscard]] double ampsAt(double volts) const;
    [[nodiscard]] double potentialAt(design::Side side, double amps) const {
        return m_curve.potentialAt(side, -m_sign * amps);
    }
    [[nodiscard]] std::vector<electrode::Partial> partialsAt(design::Side side, double amps) const {
        return m_curve.electrode(side).partialsAt(seatAt(side, amps));
    }

    [[nodiscard]] std::vector<ChargeReaction> reactionsAt(design::Side side, double amps) const {
        return reactionsAt(side, seatAt(side, amps));
    }
    /// The side that has all it needs already while the other one does not.
    [[nodiscard]] std::optional<design::Side> fullSide() const;
    /// Most of so many A/m² is stored there.
    [[nodiscard]] bool stores(design::Side side, double density) const;
    [[nodiscard]] ChargePoint pointAt(double amps) const;
    [[nodiscard]] ChargeLimit limitAt(const ChargePoint& point, double bestEfficiency,
                                      const ChargeCaps& caps) const;
    /// By rising current, until far above rest.
    [[nodiscard]] std::vector<ChargePoint> sweep() const;

private:
    [[nodiscard]] bool platesTooNoble(design::Side side, const electrode::Route& route) const;
    struct Kept {
        double share = 0.0;                ///< Stored, or back to the air.
        double stored = 0.0;               ///< Stored alone.
        double wasted = 0.0;               ///< Eaten up meanwhile, or carried to and fro.
        std::optional<double> coupleVolts; ///< Of the couple that keeps most of it, or that is full.
    };

    [[nodiscard]] chemistry::Branch branchOf(design::Side side) const;
    [[nodiscard]] electrode::Seat seatAt(design::Side side, double amps) const {
        return m_curve.seatAt(side, -m_sign * amps);
    }
    [[nodiscard]] std::vector<ChargeReaction> reactionsAt(design::Side side,
                                                          const electrode::Seat& seat) const;
    [[nodiscard]] Kept keptAt(design::Side side, double amps, const electrode::Seat& seat) const;
    [[nodiscard]] bool isFull(design::Side side) const;
    [[nodiscard]] bool holdsItsSolid(design::Side side) const;
    [[nodiscard]] double platingShare(const ChargePoint& point) const;

    const chemistry::Catalogue& m_catalogue;
    const cell::Evaluation& m_evaluation;
    state::Contents m_contents; ///< As they take the charge.
    double m_sign;              ///< -1 when the cell is labelled the wrong way round.
    cell::Polarisation m_curve;
    double m_area;
    std::array<bool, 2> m_full{}; ///< By Side: has all it needs already and can store no more.
};

} // namespace anodex::charge
