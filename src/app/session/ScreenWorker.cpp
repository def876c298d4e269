#include "app/session/ScreenWorker.h"

#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"
#include "wording/ScreenText.h"

#include <QMetaObject>
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

} // namespace

ScreenWorker::ScreenWorker(QObject* parent) : QObject(parent), m_work(kPauseMilliseconds) {}

void ScreenWorker::request(CatalogueHandle catalogue, const shelf::Shelf& shelf, shelf::RankBy by) {
    m_work.request([this, from = std::move(catalogue), shelf, by](const std::stop_token& stop) {
        try {
            run(*from, shelf, by, stop);
        } catch (const base::Fault& fault) {
            tell({{}, 0, 0, true, QString::fromStdString(wording::errorText(fault))});
        }
    });
}

void ScreenWorker::tell(ScreenState state) {
    QMetaObject::invokeMethod(
        this, [this, told = std::move(state)] { emit stateChanged(told); }, Qt::QueuedConnection);
}

void ScreenWorker::run(const chemistry::Catalogue& catalogue, const shelf::Shelf& shelf, shelf::RankBy by,
                       const std::stop_token& stop) {
    const auto candidates = shelf::Candidates::create(catalogue, shelf);
    if (!candidates) {
        tell({{},
              0,
              0,
              true,
              QString::fromStdString(wording::errorText(formats::toFileError(candidates.error())))});
        return;
    }
    shelf::ScreeningOptions options;
    options.by = by;
    options.top = kShown;
    // One core stays with the window.
    options.threads = static_cast<int>(std::max(2U, std::thread::hardware_concurrency()) - 1);
    auto last = std::chrono::steady_clock::now();
    options.progress = [&](std::size_t tried, const std::vector<shelf::Screened>& best) {
        const auto now = std::chrono::steady_clock::now();
        if (now - last < kBetweenAnswers || stop.stop_requested()) {
            return;
        }
        last = now;
        ScreenState state{{}, tried, candidates->size(), false, {}};
        for (const shelf::Screened& screened : best) {
            state.best.push_back(plainCell(*candidates, screened));
        }
        tell(std::move(state));
    };
    const auto result = shelf::screen(catalogue, *candidates, options, stop);
    if (!result) {
        return;
    }
    ScreenState state{{}, result->tried, result->tried, true, {}};
    for (const shelf::Screened& screened : result->best) {
        state.best.push_back(toldCell(catalogue, *candidates, screened, by));
    }
    tell(std::move(state));
}

} // namespace anodex::app
