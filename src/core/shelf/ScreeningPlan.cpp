#include "core/shelf/ScreeningPlan.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::shelf {
namespace {

struct Promise {
    double volts = 0.0;
    std::size_t index = 0;

    bool operator<(const Promise& other) const {
        return volts != other.volts ? volts > other.volts : index < other.index;
    }
};

/// The best so far, in no more room than they take.
class Best {
public:
    explicit Best(std::size_t most) : m_most(most) {}

    void offer(const Promise& promise) {
        if (m_heap.size() < m_most) {
            m_heap.push_back(promise);
            std::push_heap(m_heap.begin(), m_heap.end());
        } else if (!m_heap.empty() && promise < m_heap.front()) {
            std::pop_heap(m_heap.begin(), m_heap.end());
            m_heap.back() = promise;
            std::push_heap(m_heap.begin(), m_heap.end());
        }
    }
    [[nodiscard]] const std::vector<Promise>& all() const { return m_heap; }

private:
    std::size_t m_most;
    std::vector<Promise> m_heap; ///< The least of them in front.
};

/// Calls `offer` with every way to fill a pair, in one separator where two liquids need one.
template <typename Offer>
void eachFilling(const CandidateNumbers& numbers, std::size_t pair, const RestPotentials& rests,
                 const Offer& offer) {
    Choice choice = numbers.choice(pair);
    const auto volts = [&](std::size_t liquid, std::size_t other) {
        return std::abs(rests.at(choice.second, other) - rests.at(choice.first, liquid));
    };
    for (choice.liquid = 0; choice.liquid < numbers.pours(); ++choice.liquid) {
        offer(Promise{volts(choice.liquid, choice.liquid), numbers.index(choice)});
    }
    for (const std::size_t liquid : numbers.strong()) {
        for (const std::size_t other : numbers.strong()) {
            if (liquid != other && !numbers.dividing().empty()) {
                choice.liquid = liquid;
                choice.otherLiquid = other;
                choice.separator = numbers.dividing().front();
                offer(Promise{volts(liquid, other), numbers.index(choice)});
            }
        }
    }
}

} // namespace

RestPotentials::RestPotentials(const CandidateNumbers& numbers)
    : m_pours(numbers.pours()),
      m_volts(numbers.electrodes() * m_pours, std::numeric_limits<double>::quiet_NaN()) {}

std::vector<std::size_t> probes(const CandidateNumbers& numbers) {
    std::vector<std::size_t> probes;
    for (std::size_t electrode = 0; electrode < numbers.electrodes(); electrode += 2) {
        const std::size_t first = std::min(electrode, numbers.electrodes() - 2);
        for (std::size_t pour = 0; pour < numbers.pours(); ++pour) {
            probes.push_back(numbers.index({first, first + 1, pour, std::nullopt, std::nullopt}));
        }
    }
    return probes;
}

std::vector<std::size_t> promising(const CandidateNumbers& numbers, const RestPotentials& rests,
                                   std::size_t most) {
    constexpr std::size_t kOfEachPair = 4;
    Best overall(most);
    std::vector<std::size_t> chosen;
    for (std::size_t pair = 0; pair < numbers.pairs(); ++pair) {
        Best own(kOfEachPair);
        eachFilling(numbers, pair, rests, [&](const Promise& promise) {
            if (!std::isnan(promise.volts)) {
                own.offer(promise);
                overall.offer(promise);
            }
        });
        for (const Promise& promise : own.all()) {
            chosen.push_back(promise.index);
        }
    }
    std::vector<Promise> rest = overall.all();
    std::sort(rest.begin(), rest.end());
    for (const Promise& promise : rest) {
        chosen.push_back(promise.index);
    }
    // Each once, those of their pair first.
    std::vector<std::size_t> once;
    std::vector<std::size_t> seen(chosen);
    std::sort(seen.begin(), seen.end());
    seen.erase(std::unique(seen.begin(), seen.end()), seen.end());
    std::vector<char> taken(seen.size(), 0);
    for (const std::size_t index : chosen) {
        const auto at =
            static_cast<std::size_t>(std::lower_bound(seen.begin(), seen.end(), index) - seen.begin());
        if (taken[at] == 0 && once.size() < most) {
            taken[at] = 1;
            once.push_back(index);
        }
    }
    return once;
}

} // namespace anodex::shelf
