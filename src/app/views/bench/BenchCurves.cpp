// What the bench draws of a build: its runs and open readings over time, long silences folded, events as flags.
#include "app/views/bench/BenchView.h"
#include "app/widgets/CurvePlot.h"
#include "wording/ErrorText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <iterator>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

/// When something was recorded, in hours.
std::vector<base::Interval> busyTimes(const std::vector<PlotCurve>& curves) {
    std::vector<base::Interval> busy;
    for (const PlotCurve& curve : curves) {
        if (!curve.dotted && !curve.points.empty()) {
            busy.push_back({curve.points.front().x, curve.points.back().x});
            continue;
        }
        for (const run::CurveSample& point : curve.points) {
            busy.push_back({point.x, point.x});
        }
    }
    return busy;
}

} // namespace

double BenchView::hoursOf(record::Millis when) const {
    return static_cast<double>(when - m_first) / 3.6e6; // ms in an hour
}

void BenchView::refreshCurve() {
    const BuildSummary& build = *m_bench.selection().build();
    std::vector<PlotCurve> curves;
    record::Millis first = build.build.built;
    const auto readings = m_bench.selection().readings();
    for (const record::RunHeader& run : build.runs) {
        first = std::min(first, run.started);
    }
    for (const record::Reading& reading : readings) {
        first = std::min(first, reading.when);
    }
    m_first = first;
    const auto hours = [this](record::Millis when) { return hoursOf(when); };
    // Runs are told apart by colour and stroke.
    const Colours& c = m_theme.colours();
    const QColor colours[] = {c.ink, c.note, c.warning, c.faint};
    for (std::size_t i = 0; i < build.runs.size(); ++i) {
        const record::RunHeader& run = build.runs[i];
        constexpr std::size_t kPixels = 500;
        auto curve = m_bench.voltageCurve(run.id, kPixels);
        std::vector<run::CurveSample> points = curve ? std::move(*curve) : noCurve(curve.error());
        for (run::CurveSample& point : points) {
            point.x = hours(run.started) + point.x / 3600.0;
        }
        curves.push_back({q(run.name), std::move(points), colours[i % std::size(colours)], i % 2 == 1});
    }
    PlotCurve dots{tr("open circuit readings"), {}, m_theme.colours().focus, true, true};
    for (const record::Reading& reading : readings) {
        if (reading.quantity == record::ReadingQuantity::OpenCircuitVoltage && !reading.struckOut) {
            dots.points.push_back({hours(reading.when), reading.value});
        }
    }
    if (!dots.points.empty()) {
        curves.push_back(std::move(dots));
    }
    std::vector<PlotFlag> flags;
    for (const record::Event& event : m_bench.selection().events()) {
        flags.push_back({hours(event.when), q(event.text).left(24)});
    }
    const std::vector<base::Interval> busy = busyTimes(curves);
    constexpr double kHoursOfADay = 24.0;
    constexpr double kByDays = 96.0; // hours from which days are counted
    const bool byDays =
        std::any_of(busy.begin(), busy.end(), [](const base::Interval& span) { return span.high > kByDays; });
    m_plot->setAxes(byDays ? tr("days") : tr("hours"), tr("voltage, V"));
    m_plot->foldTime(FoldedTime(busy), byDays ? kHoursOfADay : 1.0, [](double silent) {
        constexpr double kSeconds = 3600.0;
        return tr("%1 silent").arg(q(wording::durationText(silent * kSeconds)));
    });
    const base::Interval& range = build.build.expectation.openCircuitVolts.range;
    m_plot->show(curves, flags, PlotBand{range.low, range.high, tr("expected open circuit")});
}

/// A run that cannot be used leaves the others as they are.
std::vector<run::CurveSample> BenchView::noCurve(const notebook::NotebookError& error) {
    emit refused(q(wording::errorText(error)));
    return {};
}

} // namespace anodex::app
