// src/core/shelf/ScreeningPlan.h - which cells of a large shelf are worth trying.
//
// Law        a cell shows about the difference of what its electrodes rest at, each in its own liquid; what lies between
//            moves that little.
#pragma once
#include "core/shelf/CandidateNumbers.h"
#include <vector>

namespace anodex::shelf {

/// V against SHE by electrode and pour; not a number where nobody knows.
class RestPotentials {
public:
    explicit RestPotentials(const CandidateNumbers& numbers);

    void set(std::size_t electrode, std::size_t pour, double volts) {
        m_volts[electrode * m_pours + pour] = volts;
    }
    [[nodiscard]] double at(std::size_t electrode, std::size_t pour) const {
        return m_volts[electrode * m_pours + pour];
    }

private:
    std::size_t m_pours;
    std::vector<double> m_volts;
};

/// Cells in which each electrode stands in each liquid once.
[[nodiscard]] std::vector<std::size_t> probes(const CandidateNumbers& numbers);

/// The `most` that promise the highest voltage; each pair has its best few among them.
[[nodiscard]] std::vector<std::size_t> promising(const CandidateNumbers& numbers, const RestPotentials& rests,
                                                 std::size_t most);

} // namespace anodex::shelf
