#include "core/shelf/Screening.h"

#include "core/base/Fault.h"
#include "core/base/Parallel.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <mutex>

namespace anodex::shelf {
namespace {

using cell::Evaluation;
using design::Cell;

constexpr std::size_t kProgressStep = 256;

Cell turned(Cell cell) {
    std::swap(cell.electrodes[0], cell.electrodes[1]);
    std::swap(cell.poured[0], cell.poured[1]);
    std::swap(cell.liquidDoubtFactor[0], cell.liquidDoubtFactor[1]);
    return cell;
}

Evaluation evaluated(const chemistry::Catalogue& catalogue, const Cell& cell,
                     std::vector<liquid::Solution> solutions) {
    auto contents =
        std::make_shared<const state::Contents>(state::filledWith(catalogue, cell, std::move(solutions)));
    return cell::evaluate(cell::compile(catalogue, cell), std::move(contents), {0});
}

Screened screenOne(const chemistry::Catalogue& catalogue, const Candidates& candidates, RankBy by,
                   std::size_t index) {
    Cell cell = candidates.cell(index);
    std::vector<liquid::Solution> solutions = candidates.solutions(index);
    Evaluation evaluation = evaluated(catalogue, cell, solutions);
    Screened screened;
    screened.index = index;
    if (evaluation.openCircuitVolts < 0.0) {
        screened.swapped = true;
        cell = turned(std::move(cell));
        std::reverse(solutions.begin(), solutions.end());
        evaluation = evaluated(catalogue, cell, std::move(solutions));
    }
    screened.openCircuitVolts = evaluation.openCircuitVolts;
    screened.maximumWatts = evaluation.first.maximumPower.watts;
    const std::optional<double> price = by == RankBy::Cost ? candidates.price(index) : std::nullopt;
    screened.figure = figureOf(catalogue, cell, evaluation, by, price);
    return screened;
}

/// A cell the model cannot work out comes last, whatever is asked for.
Screened unknown(RankBy by, std::size_t index) {
    constexpr double kWorst = std::numeric_limits<double>::infinity();
    Screened screened;
    screened.index = index;
    screened.figure = by == RankBy::Cost || by == RankBy::Safety ? kWorst : -kWorst;
    screened.openCircuitVolts = -kWorst;
    return screened;
}

bool better(RankBy by, const Screened& one, const Screened& other) {
    const bool leastFirst = by == RankBy::Cost || by == RankBy::Safety;
    if (one.figure != other.figure) {
        return leastFirst ? one.figure < other.figure : one.figure > other.figure;
    }
    return one.openCircuitVolts != other.openCircuitVolts ? one.openCircuitVolts > other.openCircuitVolts
                                                          : one.index < other.index;
}

} // namespace

std::optional<ScreeningResult> screen(const chemistry::Catalogue& catalogue, const Candidates& candidates,
                                      const ScreeningOptions& options, const std::stop_token& stop) {
    const auto first = [&](const Screened& one, const Screened& other) {
        return better(options.by, one, other);
    };
    std::vector<Screened> all(candidates.size());
    std::vector<Screened> soFar;
    std::size_t done = 0;
    std::mutex telling;
    base::forEachIndex(all.size(), options.threads, stop, [&](std::size_t i) {
        try {
            all[i] = screenOne(catalogue, candidates, options.by, i);
        } catch (const base::Fault&) {
            all[i] = unknown(options.by, i);
        }
        if (!options.progress) {
            return;
        }
        const std::lock_guard lock(telling);
        soFar.insert(std::upper_bound(soFar.begin(), soFar.end(), all[i], first), all[i]);
        soFar.resize(std::min(soFar.size(), options.top));
        if (++done % kProgressStep == 0) {
            options.progress(done, soFar);
        }
    });
    if (stop.stop_requested()) {
        return std::nullopt;
    }
    ScreeningResult result;
    result.tried = all.size();
    std::erase_if(all, [](const Screened& one) { return std::isinf(one.openCircuitVolts); });
    const std::size_t kept = std::min(options.top, all.size());
    std::partial_sort(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(kept), all.end(), first);
    all.resize(kept);
    result.best = std::move(all);
    return result;
}

} // namespace anodex::shelf
