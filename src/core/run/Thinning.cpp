#include "core/run/Thinning.h"

#include <algorithm>

namespace anodex::run {

void Thinner::add(double x, double y) {
    const At here{m_next++, {x, y}};
    if (m_count <= 2 * m_buckets || m_buckets == 0) {
        m_curve.push_back(here.sample);
        return;
    }
    while (here.number >= (m_bucket + 1) * m_count / m_buckets) {
        close();
    }
    if (!m_open) {
        m_low = m_high = here;
        m_open = true;
    }
    if (y < m_low.sample.y) {
        m_low = here;
    }
    if (y >= m_high.sample.y) {
        m_high = here;
    }
}

void Thinner::close() {
    if (m_open) {
        const bool lowFirst = m_low.number <= m_high.number;
        m_curve.push_back((lowFirst ? m_low : m_high).sample);
        m_curve.push_back((lowFirst ? m_high : m_low).sample);
    }
    m_open = false;
    ++m_bucket;
}

std::vector<CurveSample> Thinner::curve() const {
    Thinner finished = *this;
    finished.close();
    return std::move(finished.m_curve);
}

std::vector<CurveSample> thinned(std::span<const double> xs, std::span<const double> ys,
                                 std::size_t buckets) {
    const std::size_t count = std::min(xs.size(), ys.size());
    Thinner thinner(count, buckets);
    for (std::size_t i = 0; i < count; ++i) {
        thinner.add(xs[i], ys[i]);
    }
    return thinner.curve();
}

} // namespace anodex::run
