// src/core/cell/Doubt.h - 5-95 % ranges by evaluating many possible worlds.
//
// Method     Monte Carlo over every uncertain input with addressed random numbers (Draw.h), each input's span
//            covered evenly: the same answer for any number of threads. What matters most: the squared
//            correlation of each input with the voltage, where it is more than chance gives.
#pragma once
#include "core/base/Interval.h"
#include "core/cell/Evaluation.h"
#include <cstdint>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

namespace anodex::cell {

struct DoubtOptions {
    int samples = 200;
    std::uint64_t seed = 1;
    int threads = 2;
};

struct InfluentialInput {
    electrode::Input input;
    double share = 0.0; ///< Squared correlation with the open-circuit voltage, 0..1.
};

struct Doubt {
    base::Interval thermodynamicVolts;
    base::Interval openCircuitVolts;
    base::Interval shortCircuitAmps;
    base::Interval maximumWatts;
    base::Interval expectedCoulombs;
    base::Interval resistanceOhm;
    std::vector<InfluentialInput> matterMost; ///< At most three, largest first; none where none stands out.
};

/// Empty when `stop` was requested before the end.
[[nodiscard]] std::optional<Doubt> estimateDoubt(const chemistry::Catalogue& catalogue,
                                                 const design::Cell& cell, const Evaluation& nominal,
                                                 const DoubtOptions& options = {},
                                                 const std::stop_token& stop = {});

} // namespace anodex::cell
