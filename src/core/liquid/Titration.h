// src/core/liquid/Titration.h - one liquid at other acidities: what stands at a face that makes or takes
// hydroxide.
//
// Law        totals as in the liquid, hydrogen ions as the acidity asks; the charge is made up by ions that take no part.
//            Hydroxide leaves a face free, as the base of a weak acid, and as protons that do not come; the flux over a
//            layer is the difference of Σ ν D c, ν the hydroxide a species carries over its masters.
// Units      pH; mol/(m s).
// Threads    may be asked from several at once, which then solve different acidities; each is solved when it is first
//            asked for.
#pragma once
#include "core/liquid/Solution.h"
#include <map>
#include <memory>
#include <mutex>
#include <optional>

namespace anodex::liquid {

class LiquidSolver;

class Titration {
public:
    static constexpr double kStep = 0.25; ///< pH from one point to the next.

    struct Point {
        Solution solution;
        double drive = 0.0; ///< Of hydroxide, Σ ν D c at 25 °C over that of the liquid itself.
    };

    Titration(const chemistry::Catalogue& catalogue, const Solution& bulk);
    /// Of the liquid that this one has just solved.
    Titration(const chemistry::Catalogue& catalogue, std::unique_ptr<LiquidSolver> solver);
    ~Titration();
    Titration(const Titration&) = delete;
    Titration& operator=(const Titration&) = delete;

    /// Where no activities are found that far, the last that were found, with an endless drive.
    /// `step` 0 is the liquid itself, above it is more alkaline. Between lowest() and highest().
    [[nodiscard]] const Point& at(int step) const;
    [[nodiscard]] int lowest() const { return m_lowest; }
    [[nodiscard]] int highest() const { return m_highest; }

private:
    struct Place {
        std::once_flag solved;
        std::optional<Point> point;
    };

    [[nodiscard]] Place& placeOf(int step) const;
    [[nodiscard]] std::optional<Point> solved(int step) const;
    [[nodiscard]] Point last(int step) const;
    [[nodiscard]] std::unique_ptr<LiquidSolver> takeSolver() const;
    void giveBack(std::unique_ptr<LiquidSolver> solver) const;
    [[nodiscard]] double driveOf(const Solution& solution) const;

    const chemistry::Catalogue& m_catalogue;
    int m_lowest = 0;
    int m_highest = 0;
    const Point m_bulk;
    double m_bulkDrive = 0.0;
    mutable std::mutex m_mutex; ///< Of the two that follow, but not of what stands in a place.
    mutable std::map<int, Place> m_places;
    mutable std::vector<std::unique_ptr<LiquidSolver>> m_idle;
};

} // namespace anodex::liquid
