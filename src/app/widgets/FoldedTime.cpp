#include "app/widgets/FoldedTime.h"

#include "app/widgets/RoundStep.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

constexpr double kLongSilence = 0.5; // of all runs together, from which a silence folds
constexpr double kFolded = 0.06;     // of them, that it keeps

std::vector<base::Interval> merged(std::vector<base::Interval> spans) {
    std::sort(spans.begin(), spans.end(),
              [](const base::Interval& a, const base::Interval& b) { return a.low < b.low; });
    std::vector<base::Interval> whole;
    for (const base::Interval& span : spans) {
        if (!whole.empty() && span.low <= whole.back().high) {
            whole.back().high = std::max(whole.back().high, span.high);
        } else {
            whole.push_back(span);
        }
    }
    return whole;
}

} // namespace

FoldedTime::FoldedTime(std::vector<base::Interval> busy) {
    const std::vector<base::Interval> spans = merged(std::move(busy));
    double together = 0.0;
    for (const base::Interval& span : spans) {
        together += span.high - span.low;
    }
    if (together <= 0.0) {
        return; // moments alone have no measure of what is long
    }
    for (const base::Interval& span : spans) {
        if (m_stretches.empty()) {
            m_stretches.push_back({span.low, span.low, span.high});
            continue;
        }
        Stretch& last = m_stretches.back();
        const double silent = span.low - last.to;
        if (silent <= kLongSilence * together) {
            last.to = span.high;
            continue;
        }
        const double end = last.place + last.to - last.from;
        const double place = end + kFolded * together;
        m_folds.push_back({end, place, silent});
        m_stretches.push_back({place, span.low, span.high});
    }
}

double FoldedTime::at(double time) const {
    for (std::size_t i = m_stretches.size(); i-- > 0;) {
        const Stretch& stretch = m_stretches[i];
        if (time < stretch.from && i > 0) {
            continue;
        }
        const double end = stretch.place + stretch.to - stretch.from;
        if (time <= stretch.to || i + 1 == m_stretches.size()) {
            return stretch.place + time - stretch.from;
        }
        const Fold& fold = m_folds[i];
        return end + (fold.to - fold.from) * (time - stretch.to) / fold.silent;
    }
    return time;
}

double FoldedTime::timeAt(double place) const {
    for (std::size_t i = m_stretches.size(); i-- > 0;) {
        const Stretch& stretch = m_stretches[i];
        if (place < stretch.place && i > 0) {
            continue;
        }
        const double time = stretch.from + place - stretch.place;
        if (time <= stretch.to || i + 1 == m_stretches.size()) {
            return time;
        }
        const Fold& fold = m_folds[i];
        return stretch.to + fold.silent * (place - fold.from) / (fold.to - fold.from);
    }
    return place;
}

std::vector<double> marksOf(const FoldedTime& time, const base::Interval& places, int count) {
    std::vector<double> marks;
    const double wide = places.high - places.low;
    if (wide <= 0.0 || count < 1) {
        return marks;
    }
    const double step = roundStep(wide / count);
    double free = places.low; // place from which the next mark has room
    const auto mark = [&](double moment) {
        const double place = time.at(moment);
        if (place >= free && place <= places.high) {
            marks.push_back(moment);
            free = place + wide / (2.0 * count);
        }
    };
    if (time.stretches().empty()) {
        for (double at = std::ceil(places.low / step) * step; at <= places.high; at += step) {
            mark(at);
        }
        return marks;
    }
    for (const FoldedTime::Stretch& stretch : time.stretches()) {
        const bool isFirst = &stretch == &time.stretches().front();
        const bool isLast = &stretch == &time.stretches().back();
        const double from = isFirst ? std::min(stretch.from, time.timeAt(places.low)) : stretch.from;
        const double to = isLast ? std::max(stretch.to, time.timeAt(places.high)) : stretch.to;
        if (std::ceil(from / step) * step > to) {
            mark(from); // too short for a round one
        }
        for (double at = std::ceil(from / step) * step; at <= to; at += step) {
            mark(at);
        }
    }
    return marks;
}

} // namespace anodex::app
