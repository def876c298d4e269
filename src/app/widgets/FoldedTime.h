// src/app/widgets/FoldedTime.h - a time axis on which long silences between what was recorded take little room.
#pragma once
#include "core/base/Interval.h"
#include <vector>

namespace anodex::app {

class FoldedTime {
public:
    /// A silence that was folded, in the axis' own places.
    struct Fold {
        double from = 0.0;
        double to = 0.0;
        double silent = 0.0; ///< That lies in it, as time was given.
    };
    /// A stretch that was not: place and time run alike in it.
    struct Stretch {
        double place = 0.0;
        double from = 0.0;
        double to = 0.0; ///< Time.
    };

    FoldedTime() = default;
    /// When something was recorded; a moment is a span of no length. Only what is long beside all runs together folds.
    explicit FoldedTime(std::vector<base::Interval> busy);

    /// The place of a time on the axis, and back.
    [[nodiscard]] double at(double time) const;
    [[nodiscard]] double timeAt(double place) const;
    [[nodiscard]] const std::vector<Fold>& folds() const { return m_folds; }
    [[nodiscard]] const std::vector<Stretch>& stretches() const { return m_stretches; }

private:
    std::vector<Stretch> m_stretches; ///< By rising time; empty: time is its own place.
    std::vector<Fold> m_folds;        ///< Between them.
};

/// Times to mark: about `count` round ones over the part of the axis, at least one in each stretch with room for it.
[[nodiscard]] std::vector<double> marksOf(const FoldedTime& time, const base::Interval& places, int count);

} // namespace anodex::app
