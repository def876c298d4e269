// src/core/run/Thinning.h - a long column as few points that still show every peak.
#pragma once
#include "core/record/Record.h"
#include <span>
#include <vector>

namespace anodex::run {

/// A point of a curve to draw; x rises along it.
struct CurveSample {
    double x = 0.0;
    double y = 0.0;
};

/// A column of known length as it comes, sample after sample.
class Thinner {
public:
    Thinner(std::size_t count, std::size_t buckets) : m_count(count), m_buckets(buckets) {}
    void add(double x, double y);
    /// Lowest and highest of each of the equal stretches, in order of time; a short column comes back whole.
    [[nodiscard]] std::vector<CurveSample> curve() const;

private:
    struct At {
        std::size_t number = 0;
        CurveSample sample;
    };
    void close();

    std::size_t m_count;
    std::size_t m_buckets;
    std::size_t m_next = 0;   ///< Number of the next sample.
    std::size_t m_bucket = 0; ///< It belongs to.
    At m_low;
    At m_high;
    bool m_open = false;
    std::vector<CurveSample> m_curve;
};

/// Lowest and highest of each of `buckets` equal stretches, in order of time; short columns come back whole.
[[nodiscard]] std::vector<CurveSample> thinned(std::span<const double> xs, std::span<const double> ys,
                                               std::size_t buckets);

} // namespace anodex::run
