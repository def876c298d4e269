// src/app/views/notebook/TimelineScale.h - where a figure stands on the height of the timeline.
//
// Even from zero up while the figures are of one size; by decades where they lie further apart, so that a small cell is
// still told from another beside a large one.
#pragma once
#include <vector>

namespace anodex::app {

class TimelineScale {
public:
    /// Of figures that shall all be seen; those that are not above zero count as the smallest.
    explicit TimelineScale(const std::vector<double>& figures = {});

    /// 0 at the foot, 1 at the head; a little below 0 for what lies below the foot.
    [[nodiscard]] double shareOf(double value) const;
    /// Where lines are drawn, rising.
    [[nodiscard]] std::vector<double> lines() const;
    [[nodiscard]] bool byDecades() const { return m_foot > 0.0; }

private:
    double m_foot = 0.0; ///< 0: even.
    double m_head = 1.0;
};

} // namespace anodex::app
