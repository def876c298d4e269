// src/core/liquid/Titration.h - one liquid at other acidities: what stands at a face that makes or takes
// hydroxide.
//
// Law        totals as in the liquid, hydrogen ions as the acidity asks; the charge is made up by ions that take no part.
//            Hydroxide leaves a face free, as the base of a weak acid, and as protons that do not come; the flux over a
//            layer is the difference of Σ ν D c, ν the hydroxide a species carries over its masters.
// Units      pH; mol/(m s).
// Threads    may be asked from several at once; an acidity is solved when it is first asked for.
#pragma once
#include "core/liquid/Solution.h"
#include <map>
#include <memory>
#include <mutex>

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
    ~Titration();
    Titration(const Titration&) = delete;
    Titration& operator=(const Titration&) = delete;

    /// Where no activities are found that far, the last that were found, with an endless drive.
    /// `step` 0 is the liquid itself, above it is more alkaline. Between lowest() and highest().
    [[nodiscard]] const Point& at(int step) const;
    [[nodiscard]] int lowest() const { return m_lowest; }
    [[nodiscard]] int highest() const { return m_highest; }

private:
    [[nodiscard]] const Point& found(int step) const;
    [[nodiscard]] double driveOf(const Solution& solution) const;

    const chemistry::Catalogue& m_catalogue;
    int m_lowest = 0;
    int m_highest = 0;
    double m_bulkDrive = 0.0;
    mutable std::mutex m_mutex;
    mutable std::map<int, Point> m_points;
    mutable std::unique_ptr<LiquidSolver> m_solver;
};

} // namespace anodex::liquid
