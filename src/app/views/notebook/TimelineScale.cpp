#include "app/views/notebook/TimelineScale.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

constexpr double kFarApart = 30.0; // largest over smallest, from which an even scale hides the small ones
constexpr double kRoom = 1.08;

/// Steps of 1, 2 or 5 that give three to six lines.
double evenStep(double head) {
    const double rough = head / 4.0;
    const double decade = std::pow(10.0, std::floor(std::log10(rough)));
    for (const double factor : {1.0, 2.0, 5.0}) {
        if (rough <= factor * decade) {
            return factor * decade;
        }
    }
    return 10.0 * decade;
}

} // namespace

TimelineScale::TimelineScale(const std::vector<double>& figures) {
    double largest = 0.0;
    double smallest = 0.0;
    for (const double figure : figures) {
        largest = std::max(largest, figure);
        smallest = figure > 0.0 && (smallest == 0.0 || figure < smallest) ? figure : smallest;
    }
    m_head = std::max(largest, 1e-9) * kRoom;
    if (smallest > 0.0 && largest > kFarApart * smallest) {
        m_foot = std::pow(10.0, std::floor(std::log10(smallest)));
        m_head *= kRoom * kRoom;
    }
}

double TimelineScale::shareOf(double value) const {
    constexpr double kBelow = -0.05;
    if (!byDecades()) {
        return std::clamp(value / m_head, kBelow, 1.0);
    }
    if (value <= 0.0) {
        return kBelow;
    }
    return std::clamp(std::log(value / m_foot) / std::log(m_head / m_foot), kBelow, 1.0);
}

std::vector<double> TimelineScale::lines() const {
    std::vector<double> at;
    if (byDecades()) {
        for (double value = m_foot; value <= m_head; value *= 10.0) {
            at.push_back(value);
        }
        return at;
    }
    const double step = evenStep(m_head);
    constexpr double kRounding = 1.0001;
    for (int i = 0; step * i <= m_head * kRounding; ++i) {
        at.push_back(step * i);
    }
    return at;
}

} // namespace anodex::app
