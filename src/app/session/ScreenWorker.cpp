#include "app/session/ScreenWorker.h"

#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"
#include "wording/ScreenText.h"

#include <chrono>
#include <thread>

namespace anodex::app {
namespace {

constexpr int kPauseMilliseconds = 200;
constexpr std::size_t kShown = 30;
constexpr auto kBetweenAnswers = std::chrono::milliseconds(250);

ScreenedCell plainCell(const shelf::Candidates& candidates, const shelf::Screened& screened) {
    return {candidates.design(screened.index, screened.swapped),
            screened.figure,
            screened.openCircuitVolts,
            screened.maximumWatts,
            std::nullopt,
            {},
            {}};
}

ScreenedCell toldCell(const chemistry::Catalogue& catalogue, const shelf::Candidates& candidates,
                      const shelf::Screened& screened, shelf::RankBy by) {
    ScreenedCell told = plainCell(candidates, screened);
    if (const auto cell = design::resolve(catalogue, told.design)) {
        const cell::Evaluation evaluation = cell::evaluate(catalogue, *cell, {0});
        const auto findings = findings::findingsFor(catalogue, *cell, evaluation);
        if (!findings.empty()) {
            told.worst = findings.front();
        }
        told.why = QString::fromStdString(wording::screenReason(catalogue, *cell, evaluation, findings, by));
    }
    return told;
}

/// Two electrodes with what stands behind them.
template <typename Make> ScreenedCell withOthers(const shelf::ScreenedPair& pair, const Make& make) {
    ScreenedCell cell = make(pair.best);
    for (const shelf::Screened& other : pair.others) {
        cell.others.push_back(make(other));
    }
    return cell;
}

void screenAside(const chemistry::Catalogue& catalogue, const shelf::Shelf& shelf, shelf::RankBy by,
                 const std::stop_token& stop, const std::function<void(ScreenState)>& show) {
    const auto candidates = shelf::Candidates::create(catalogue, shelf);
    if (!candidates) {
        const std::string problem = wording::errorText(formats::toFileError(candidates.error()));
        show({{}, 0, 0, 0, true, QString::fromStdString(problem)});
        return;
    }
    shelf::ScreeningOptions options;
    options.by = by;
    options.top = kShown;
    // One core stays with the window.
    options.threads = static_cast<int>(std::max(2U, std::thread::hardware_concurrency()) - 1);
    auto last = std::chrono::steady_clock::now();
    options.progress = [&](std::size_t tried, const std::vector<shelf::ScreenedPair>& best) {
        const auto now = std::chrono::steady_clock::now();
        if (now - last < kBetweenAnswers || stop.stop_requested()) {
            return;
        }
        last = now;
        ScreenState state{{},
                          tried,
                          candidates->size() <= options.whole ? candidates->size() : options.sampled,
                          candidates->size(),
                          false,
                          {}};
        for (const shelf::ScreenedPair& pair : best) {
            state.best.push_back(
                withOthers(pair, [&](const shelf::Screened& one) { return plainCell(*candidates, one); }));
        }
        show(std::move(state));
    };
    const auto result = shelf::screen(catalogue, *candidates, options, stop);
    if (!result) {
        return;
    }
    ScreenState state{{}, result->tried, result->tried, result->possible, true, {}};
    for (const shelf::ScreenedPair& pair : result->best) {
        state.best.push_back(withOthers(
            pair, [&](const shelf::Screened& one) { return toldCell(catalogue, *candidates, one, by); }));
    }
    show(std::move(state));
}

} // namespace

ScreenWorker::ScreenWorker(QObject* parent) : QObject(parent), m_work(kPauseMilliseconds) {}

void ScreenWorker::request(CatalogueHandle catalogue, const shelf::Shelf& shelf, shelf::RankBy by) {
    m_work.request(
        [this, from = std::move(catalogue), shelf, by](const std::stop_token& stop, const Aside::Tell& tell) {
            const auto show = [&](ScreenState state) {
                tell([this, told = std::move(state)] { emit stateChanged(told); });
            };
            try {
                screenAside(*from, shelf, by, stop, show);
            } catch (const base::Fault& fault) {
                show({{}, 0, 0, 0, true, QString::fromStdString(wording::errorText(fault))});
            }
        });
}

} // namespace anodex::app
