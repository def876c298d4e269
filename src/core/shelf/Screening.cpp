#include "core/shelf/Screening.h"

#include "core/base/Fault.h"
#include "core/base/Parallel.h"
#include "core/shelf/ScreeningPlan.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <mutex>
#include <numeric>

namespace anodex::shelf {
namespace {

using cell::Evaluation;
using design::Cell;
using design::Side;

constexpr std::size_t kProgressStep = 256;
constexpr std::size_t kBehind = 5;   // other liquids that are kept of a pair
constexpr double kLeastWatts = 1e-4; // of a cell that drives anything (common practice, no source)

Cell turned(Cell cell) {
    std::swap(cell.electrodes[0], cell.electrodes[1]);
    std::swap(cell.poured[0], cell.poured[1]);
    std::swap(cell.ready[0], cell.ready[1]);
    std::swap(cell.liquidDoubtFactor[0], cell.liquidDoubtFactor[1]);
    return cell;
}

Evaluation evaluated(const chemistry::Catalogue& catalogue, const Cell& cell,
                     const std::vector<state::SharedLiquid>& liquids) {
    auto contents = std::make_shared<const state::Contents>(state::filledWith(catalogue, cell, liquids));
    return cell::evaluate(cell::compile(catalogue, cell), std::move(contents), {0});
}

bool leastFirst(RankBy by) {
    return by == RankBy::Cost || by == RankBy::Safety;
}

double worst(RankBy by) {
    constexpr double kWorst = std::numeric_limits<double>::infinity();
    return leastFirst(by) ? kWorst : -kWorst;
}

/// What came of one cell; the potentials as its electrodes are numbered, not as they turned out.
struct Tried {
    Screened screened;
    std::array<double, 2> restVolts{};
};

bool isSolid(const chemistry::Catalogue& catalogue, const chemistry::SpeciesTerm& term) {
    return catalogue.species[term.species].formula.phase == chemistry::Phase::Solid;
}

/// What the positive plates is another metal than it is made of, and that metal gives way to it in the same liquid.
bool isThrownOut(const chemistry::Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation) {
    constexpr double kNobler = 0.3; // V (estimate)
    const cell::WorkingCouple& couple = evaluation.side(Side::Positive).couple;
    const chemistry::Reaction& plates = catalogue.reactions[couple.reaction];
    const auto& body = catalogue.materials[cell.electrode(Side::Positive).material].surfaces;
    const auto isBody = [&](chemistry::SpeciesIndex species) {
        return std::any_of(body.begin(), body.end(),
                           [&](const chemistry::SurfacePart& part) { return part.phase == species; });
    };
    const auto makes = [&](const chemistry::Reaction& reaction, bool ofBody) {
        return std::any_of(
            reaction.terms.begin(), reaction.terms.end(), [&](const chemistry::SpeciesTerm& term) {
                return term.count > 0.0 && isSolid(catalogue, term) && isBody(term.species) == ofBody;
            });
    };
    const bool onlyIons = std::none_of(plates.terms.begin(), plates.terms.end(), [&](const auto& term) {
        return term.count < 0.0 && isSolid(catalogue, term);
    });
    return couple.branch == chemistry::Branch::Cathodic && onlyIons && makes(plates, false) &&
           std::any_of(catalogue.reactions.begin(), catalogue.reactions.end(), [&](const auto& reaction) {
               return !reaction.fades && makes(reaction, true) && !makes(reaction, false) &&
                      reaction.standardVolts.value < plates.standardVolts.value - kNobler;
           });
}

std::optional<Tried> tryOne(const chemistry::Catalogue& catalogue, const Candidates& candidates, RankBy by,
                            std::size_t index) {
    Cell cell = candidates.cell(index);
    std::vector<state::SharedLiquid> liquids = candidates.liquids(index);
    Evaluation evaluation = evaluated(catalogue, cell, liquids);
    Tried tried{{index, false, 0.0, 0.0, 0.0},
                {evaluation.side(Side::Negative).restVolts, evaluation.side(Side::Positive).restVolts}};
    Screened& screened = tried.screened;
    if (evaluation.openCircuitVolts < 0.0) {
        screened.swapped = true;
        cell = turned(std::move(cell));
        std::reverse(liquids.begin(), liquids.end());
        evaluation = evaluated(catalogue, cell, liquids);
    }
    if (isThrownOut(catalogue, cell, evaluation)) {
        return std::nullopt;
    }
    screened.openCircuitVolts = evaluation.openCircuitVolts;
    screened.maximumWatts = evaluation.first.maximumPower.watts;
    const std::optional<double> price = by == RankBy::Cost ? candidates.price(index) : std::nullopt;
    const bool counts = !leastFirst(by) || screened.maximumWatts >= kLeastWatts;
    screened.figure = counts ? figureOf(catalogue, cell, evaluation, by, price) : worst(by);
    return tried;
}

bool better(RankBy by, const Screened& one, const Screened& other) {
    if (one.figure != other.figure) {
        return leastFirst(by) ? one.figure < other.figure : one.figure > other.figure;
    }
    if (one.maximumWatts != other.maximumWatts) {
        return one.maximumWatts > other.maximumWatts;
    }
    return one.openCircuitVolts != other.openCircuitVolts ? one.openCircuitVolts > other.openCircuitVolts
                                                          : one.index < other.index;
}

class Run {
public:
    Run(const chemistry::Catalogue& catalogue, const Candidates& candidates, const ScreeningOptions& options,
        const std::stop_token& stop)
        : m_catalogue(catalogue), m_candidates(candidates), m_options(options), m_stop(stop),
          m_rests(candidates.numbers()), m_rows(candidates.numbers().pairs()) {}

    std::optional<ScreeningResult> result() {
        if (m_candidates.size() <= m_options.whole) {
            std::vector<std::size_t> all(m_candidates.size());
            std::iota(all.begin(), all.end(), std::size_t{0});
            tryAll(all);
        } else {
            const std::vector<std::size_t> first = probes(m_candidates.numbers());
            tryAll(first);
            const std::size_t left = m_options.sampled - std::min(m_options.sampled, first.size());
            std::vector<std::size_t> more = promising(m_candidates.numbers(), m_rests, left);
            std::erase_if(more, [&](std::size_t index) {
                return std::find(first.begin(), first.end(), index) != first.end();
            });
            tryAll(more);
        }
        if (m_stop.stop_requested()) {
            return std::nullopt;
        }
        return ScreeningResult{ranked(m_options.top), m_tried, m_candidates.size()};
    }

private:
    void tryAll(const std::vector<std::size_t>& indices) {
        base::forEachIndex(indices.size(), m_options.threads, m_stop, [&](std::size_t i) {
            std::optional<Tried> tried;
            try {
                tried = tryOne(m_catalogue, m_candidates, m_options.by, indices[i]);
            } catch (const base::Fault&) {
                // What the model cannot work out is no candidate.
            }
            const std::lock_guard lock(m_mutex);
            if (tried) {
                take(*tried);
            }
            if (++m_tried % kProgressStep == 0 && m_options.progress) {
                m_options.progress(m_tried, ranked(m_options.top));
            }
        });
    }

    void take(const Tried& tried) {
        const CandidateNumbers& numbers = m_candidates.numbers();
        const Screened& screened = tried.screened;
        const Choice choice = numbers.choice(screened.index);
        m_rests.set(choice.first, choice.liquid, tried.restVolts[0]);
        m_rests.set(choice.second, choice.otherLiquid.value_or(choice.liquid), tried.restVolts[1]);
        std::vector<Screened>& rows = m_rows[numbers.pairOf(screened.index)];
        const auto same = std::find_if(rows.begin(), rows.end(), [&](const Screened& row) {
            return numbers.liquidOf(row.index) == numbers.liquidOf(screened.index);
        });
        if (same != rows.end()) {
            if (!isBetter(screened, *same)) {
                return;
            }
            rows.erase(same);
        }
        rows.insert(std::upper_bound(rows.begin(), rows.end(), screened,
                                     [this](const auto& a, const auto& b) { return isBetter(a, b); }),
                    screened);
        rows.resize(std::min(rows.size(), 1 + kBehind));
    }

    [[nodiscard]] bool isBetter(const Screened& one, const Screened& other) const {
        return better(m_options.by, one, other);
    }

    [[nodiscard]] std::vector<ScreenedPair> ranked(std::size_t top) const {
        std::vector<const std::vector<Screened>*> pairs;
        for (const std::vector<Screened>& rows : m_rows) {
            if (!rows.empty()) {
                pairs.push_back(&rows);
            }
        }
        const std::size_t kept = std::min(top, pairs.size());
        std::partial_sort(pairs.begin(), pairs.begin() + static_cast<std::ptrdiff_t>(kept), pairs.end(),
                          [this](const auto* a, const auto* b) { return isBetter(a->front(), b->front()); });
        std::vector<ScreenedPair> ranked;
        for (std::size_t i = 0; i < kept; ++i) {
            ranked.push_back({pairs[i]->front(), {pairs[i]->begin() + 1, pairs[i]->end()}});
        }
        return ranked;
    }

    const chemistry::Catalogue& m_catalogue;
    const Candidates& m_candidates;
    const ScreeningOptions& m_options;
    const std::stop_token& m_stop;
    std::mutex m_mutex;
    std::size_t m_tried = 0;
    RestPotentials m_rests;
    std::vector<std::vector<Screened>> m_rows; ///< By pair, best first, each in a liquid of its own.
};

} // namespace

std::optional<ScreeningResult> screen(const chemistry::Catalogue& catalogue, const Candidates& candidates,
                                      const ScreeningOptions& options, const std::stop_token& stop) {
    return Run(catalogue, candidates, options, stop).result();
}

} // namespace anodex::shelf
