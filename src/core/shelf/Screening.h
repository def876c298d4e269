// src/core/shelf/Screening.h - every candidate of a shelf evaluated, the best first.
//
// Ranked by  voltage: open circuit. power: best power. life: how long the expected charge lasts under 1 mA
//            beside self-discharge, where 1 mA leaves 0.3 V at least. cost: price over the energy at half
//            the open circuit, least first. safety: dangers, then warnings, then notes, least first; the
//            voltage between equals.
// Threads    the result does not depend on their number. A stop gives nothing.
#pragma once
#include "core/findings/Findings.h"
#include "core/shelf/Candidates.h"
#include "core/shelf/Figure.h"
#include <functional>
#include <stop_token>

namespace anodex::shelf {

struct Screened {
    std::size_t index = 0;
    bool swapped = false; ///< The second electrode is the negative.
    double figure = 0.0;  ///< V, W, s, price per J, or 10000 · dangers + 100 · warnings + notes.
    double openCircuitVolts = 0.0;
    double maximumWatts = 0.0;
};

struct ScreeningOptions {
    RankBy by = RankBy::Voltage;
    std::size_t top = 20;
    int threads = 1;
    /// Called now and then, from any thread, one at a time: how many have been tried, and the best of them.
    std::function<void(std::size_t, const std::vector<Screened>&)> progress;
};

struct ScreeningResult {
    std::vector<Screened> best; ///< Best first; `top` at most.
    std::size_t tried = 0;
};

[[nodiscard]] std::optional<ScreeningResult> screen(const chemistry::Catalogue& catalogue,
                                                    const Candidates& candidates,
                                                    const ScreeningOptions& options,
                                                    const std::stop_token& stop = {});

} // namespace anodex::shelf
