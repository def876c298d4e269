// bench/Bench.cpp - how long things take on this machine: evaluations, ranges, and from an edit to the
// painted result.
//
// The edit figure drives the real window: from the moment a key, wheel or drag event is sent to the end of
// the paint that shows the new value, over every starter cell and the demo's designs.
#include "app/frame/MainWindow.h"
#include "bench/Edits.h"
#include "bench/Measure.h"
#include "core/base/FreedMemory.h"
#include "core/cell/Doubt.h"
#include "core/charge/Charge.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "core/shelf/Screening.h"
#include "formats/CellFile.h"
#include "formats/ShelfFile.h"
#include "formats/catalogue/CatalogueReader.h"
#include "tests/app/Importing.h"
#include "tests/fuzz/RandomDesign.h"

#include <QApplication>
#include <QTemporaryDir>
#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <filesystem>
#include <fstream>

namespace {

using namespace anodex;
using namespace anodex::bench;

/// The homemade cells of the reference tests and two hundred random designs.
std::vector<design::CellDesign> modelCells(const chemistry::Catalogue& catalogue) {
    std::vector<design::CellDesign> designs;
    for (const auto& entry :
         std::filesystem::directory_iterator(ANODEX_SOURCE_DIR "/tests/data/cells/homemade")) {
        std::ifstream file(entry.path());
        const std::string text{std::istreambuf_iterator<char>(file), {}};
        if (const auto design = formats::readCellFile(text)) {
            designs.push_back(*design);
        }
    }
    fuzz::Coverage coverage;
    for (std::uint64_t number = 0; number < 200; ++number) {
        designs.push_back(
            *formats::readCellFile(fuzz::RandomDesign(catalogue, 1, number).cell(coverage).dump()));
    }
    return designs;
}

void benchModel(const chemistry::Catalogue& catalogue) {
    std::vector<double> evaluations;
    std::vector<double> charges;
    std::vector<double> doubts;
    for (const design::CellDesign& design : modelCells(catalogue)) {
        for (int i = 0; i < 3; ++i) {
            const auto start = Clock::now();
            const design::Cell cell = *design::resolve(catalogue, design);
            const cell::Evaluation evaluation = cell::evaluate(catalogue, cell);
            evaluations.push_back(millisecondsSince(start));
            const auto charge = Clock::now();
            (void)charge::chargingOf(catalogue, cell, evaluation);
            charges.push_back(millisecondsSince(charge));
            if (i == 0) {
                const auto begin = Clock::now();
                (void)cell::estimateDoubt(catalogue, cell, evaluation, {1000, 1, 2});
                doubts.push_back(millisecondsSince(begin));
            }
        }
    }
    report("evaluate, 200 points", evaluations, 3.0);
    report("charge, window and gas", charges, 5.0);
    report("ranges, 1,000 samples", doubts, 350.0);
}

/// What a simulation repeats: over every starter the mean of many, judged by the median.
void reportSteps(const char* what, std::vector<double> microseconds, double target) {
    std::sort(microseconds.begin(), microseconds.end());
    const double median = microseconds[microseconds.size() / 2];
    anythingMissed() = anythingMissed() || median > target;
    std::printf("%-40s n %4zu   median %7.2f us   worst %7.2f us   target %6.1f us %s\n", what,
                microseconds.size(), median, microseconds.back(), target,
                median <= target ? "met" : "MISSED");
}

template <typename Step> double meanMicroseconds(const Step& step) {
    constexpr std::size_t kTimes = 500;
    step(0);
    const auto start = Clock::now();
    for (std::size_t i = 1; i <= kTimes; ++i) {
        step(i);
    }
    return 1000.0 * millisecondsSince(start) / kTimes;
}

double liquidMicroseconds(const chemistry::Catalogue& catalogue, const design::Cell& cell) {
    liquid::LiquidSolver solver(catalogue);
    const liquid::Composition start = solver.pour(cell.poured[0]).composition;
    liquid::Composition now = start;
    return meanMicroseconds([&](std::size_t step) {
        now.hydrogenMoles = start.hydrogenMoles;
        for (std::size_t i = 0; i < start.masters.size(); ++i) {
            const double more = 1e-3 * static_cast<double>((step + i) % 5) * start.masters[i].count;
            now.masters[i].count = start.masters[i].count + more;
            now.hydrogenMoles -= more * catalogue.species[start.masters[i].species].formula.charge;
        }
        solver.change(now, {cell.temperatureKelvin, cell.poured[0].oxygenPressureBar});
    });
}

double routesMicroseconds(const chemistry::Catalogue& catalogue, const design::Cell& cell) {
    const state::Contents contents = state::asBuilt(catalogue, cell);
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    std::array<electrode::ElectrodeModel, 2> models;
    double sum = 0.0;
    const double mean = meanMicroseconds([&](std::size_t step) {
        for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
            electrode::ElectrodeModel& model = models[static_cast<std::size_t>(side)];
            model.bind(compiled.at(side, contents), electrode::kFirstMomentSeconds);
            for (const electrode::Route& route : model.routes()) {
                const base::Sloped current = route.at(0.01 * static_cast<double>(step % 10));
                sum += current.value * current.slope;
            }
        }
    });
    if (!std::isfinite(sum)) {
        std::puts("a route is not finite");
    }
    return mean;
}

/// A shared machine gives the same work half the speed for seconds at a time, so each starter has its least of rounds
/// that lie apart.
void benchSteps(const chemistry::Catalogue& catalogue) {
    constexpr int kRounds = 15;
    std::vector<double> liquids;
    std::vector<double> routes;
    for (int round = 0; round < kRounds; ++round) {
        std::size_t at = 0;
        for (const design::CellDesign& design : starters()) {
            const design::Cell cell = *design::resolve(catalogue, design);
            const double liquid = liquidMicroseconds(catalogue, cell);
            const double route = routesMicroseconds(catalogue, cell);
            if (round == 0) {
                liquids.push_back(liquid);
                routes.push_back(route);
            }
            liquids[at] = std::min(liquids[at], liquid);
            routes[at] = std::min(routes[at], route);
            ++at;
        }
    }
    reportSteps("a liquid from a near state", liquids, 50.0);
    reportSteps("route currents at a new state", routes, 5.0);
}

/// Twelve electrodes, ten substances, four liquids, two separators, on two threads.
void benchScreening(const chemistry::Catalogue& catalogue) {
    std::ifstream file(ANODEX_SOURCE_DIR "/tests/data/shelves/twelve-metals.shelf.json");
    const std::string text{std::istreambuf_iterator<char>(file), {}};
    const auto start = Clock::now();
    const auto candidates = shelf::Candidates::create(catalogue, *formats::readShelfFile(text));
    shelf::ScreeningOptions options;
    options.threads = 2;
    const auto result = shelf::screen(catalogue, *candidates, options);
    const double took = millisecondsSince(start);
    std::printf("%zu cells tried, ", result->tried);
    report("a shelf screened", {took}, 10'000.0);
}

void benchWindow(const chemistry::Catalogue& catalogue) {
    const QTemporaryDir folder;
    const app::Services services = servicesIn(folder);
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    window.show();
    window.openDemo();
    std::vector<design::CellDesign> designs = starters();
    for (const record::Revision& revision : bench.contents().revisions) {
        designs.push_back(revision.design);
    }
    benchEdits(bench, window, designs, 16.0);
}

/// Ten million samples: stored, opened again, and on the screen.
void benchLongRun(const chemistry::Catalogue& catalogue) {
    const QTemporaryDir folder;
    const std::string path = folder.filePath(QStringLiteral("long.anodex")).toStdString();
    constexpr std::size_t kSamples = 10'000'000;
    record::RunSamples samples;
    for (std::size_t i = 0; i < kSamples; ++i) {
        samples.seconds.push_back(static_cast<double>(i));
        samples.volts.push_back(1.1 - 4e-8 * static_cast<double>(i));
        samples.amps.push_back(i % 7200 < 3600 ? 0.02 : 0.0);
    }
    const app::Services services = servicesIn(folder);
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    const auto importing = Clock::now();
    {
        app::Workbench bench(catalogue, services);
        bench.files().open(QString::fromStdString(path), true);
        bench.startDesign(starters().front());
        bench.writeDownBuild();
        app::importRun(bench, QStringLiteral("weeks"), 0, samples);
    }
    report("ten million samples, stored", {millisecondsSince(importing)}, 20'000.0);
    const auto opening = Clock::now();
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    showBench(bench, window, path);
    report("ten million samples, curve on the screen", {millisecondsSince(opening)}, 1000.0);
    while (bench.selection().build()->readingRuns) {
        QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
    }
    report("ten million samples, analysed aside", {millisecondsSince(opening)}, 10'000.0);
}

} // namespace

int main(int argc, char** argv) {
    base::keepFreedMemory(); // as the programs do
    const QApplication application(argc, argv);
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::fputs("bench: the catalogue does not load\n", stderr);
        return 3;
    }
    using Part = void (*)(const chemistry::Catalogue&);
    const std::pair<std::string_view, Part> parts[] = {{"model", benchModel},
                                                       {"steps", benchSteps},
                                                       {"shelf", benchScreening},
                                                       {"window", benchWindow},
                                                       {"run", benchLongRun}};
    const std::string_view wanted = argc > 1 ? argv[1] : "";
    for (const auto& [name, part] : parts) {
        if (wanted.empty() || wanted == name) {
            part(*catalogue);
        }
    }
    return anythingMissed() ? 1 : 0;
}
