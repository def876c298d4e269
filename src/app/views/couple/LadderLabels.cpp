// Which rungs of the ladder are told in words, and where their words stand.
#include "app/views/couple/Ladder.h"

#include <algorithm>
#include <utility>

namespace anodex::app {

void Ladder::tellWhatFits(std::vector<Rung>& rungs, double room) const {
    const auto count = static_cast<double>(rungs.size());
    constexpr double kNumberAndName = 12.0; // lines of text: what both take beside each other
    const auto [from, to] = labelSpan(rungs.empty() ? design::Side::Negative : rungs.front().side);
    const bool narrow = to - from < Theme::em(kNumberAndName);
    const bool both = narrow || count * Theme::em(2.3) <= room;
    const double line = both ? Theme::em(2.3) : Theme::em(1.25);
    const auto fitting = static_cast<std::size_t>(std::max(1.0, room / line));
    // What works comes first, then what runs, most current first, then what is blocked.
    std::stable_sort(rungs.begin(), rungs.end(), [](const Rung& a, const Rung& b) {
        const auto rank = [](const Rung& rung) { return rung.working ? 0 : rung.why.isEmpty() ? 1 : 2; };
        return std::pair(rank(a), a.index) < std::pair(rank(b), b.index);
    });
    for (std::size_t i = 0; i < rungs.size(); ++i) {
        rungs[i].told = i < fitting;
        rungs[i].withSecond = both;
        rungs[i].nameBelow = narrow;
    }
}

void Ladder::spreadLabels(std::vector<Rung>& rungs) const {
    const double room = bottom() - Theme::em(1.2);
    tellWhatFits(rungs, room);
    std::sort(rungs.begin(), rungs.end(), [](const Rung& a, const Rung& b) { return a.volts > b.volts; });
    const auto told = std::count_if(rungs.begin(), rungs.end(), [](const Rung& rung) { return rung.told; });
    const double each = std::min(Theme::em(2.5), room / std::max(1.0, static_cast<double>(told)));
    double next = Theme::em(1.2);
    for (Rung& rung : rungs) {
        rung.labelY = std::max(yOf(rung.volts), next);
        next = rung.told ? rung.labelY + each : next;
    }
    double limit = bottom() - Theme::em(1.4);
    for (auto rung = rungs.rbegin(); rung != rungs.rend(); ++rung) {
        rung->labelY = std::min(rung->labelY, limit);
        limit = rung->told ? rung->labelY - each : limit;
    }
}

} // namespace anodex::app
