// src/core/shelf/Screening.h - what a shelf allows, evaluated and ranked: a row for each pair of electrodes.
//
// Ranked by  voltage: open circuit. power: best power. life: how long the cell gives 1 mA, where that leaves 0.3 V at
//            least; self-discharge, crossover and drying count. cost: price over the energy at half the open circuit,
//            least first. safety: dangers, then warnings, then notes, least first; neither counts what gives less than
//            0.1 mW. Power, then voltage between equals.
// Left out   a positive whose reagent throws itself out on it, as a noble metal does on a base one.
// Sampled    a shelf of more than `whole` cells is not tried whole: each electrode rests once in each liquid, and what
//            promises the most voltage by that is tried, for each pair and then over all.
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

/// Two electrodes in the liquid that suits them best.
struct ScreenedPair {
    Screened best;
    std::vector<Screened> others; ///< In other liquids, best first; a few.
};

struct ScreeningOptions {
    RankBy by = RankBy::Voltage;
    std::size_t top = 20;
    int threads = 1;
    std::size_t whole = 16'000;  ///< Cells up to which all are tried …
    std::size_t sampled = 8'000; ///< … and how many of a larger shelf.
    /// Called now and then, from any thread, one at a time: how many have been tried, and the best of them.
    std::function<void(std::size_t, const std::vector<ScreenedPair>&)> progress;
};

struct ScreeningResult {
    std::vector<ScreenedPair> best; ///< Best first; `top` at most.
    std::size_t tried = 0;
    std::size_t possible = 0; ///< More than were tried: the shelf was sampled.
};

[[nodiscard]] std::optional<ScreeningResult> screen(const chemistry::Catalogue& catalogue,
                                                    const Candidates& candidates,
                                                    const ScreeningOptions& options,
                                                    const std::stop_token& stop = {});

} // namespace anodex::shelf
