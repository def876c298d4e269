// bench/Bench.cpp - how long things take on this machine: evaluations, ranges, and from an edit to the
// painted result.
//
// The edit figure drives the real window: from the moment a key, wheel or drag event is sent to the end of
// the paint that shows the new value, over every starter cell and the demo's designs.
#include "app/frame/MainWindow.h"
#include "app/widgets/picture/Picture.h"
#include "core/cell/Doubt.h"
#include "core/charge/Charge.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "core/shelf/Screening.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "formats/ShelfFile.h"
#include "formats/catalogue/CatalogueReader.h"
#include "tests/fuzz/RandomDesign.h"

#include <QApplication>
#include <QKeyEvent>
#include <QTemporaryDir>
#include <QWheelEvent>
#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <cstdio>
#include <filesystem>
#include <fstream>

namespace {

using namespace anodex;
using Clock = std::chrono::steady_clock;

double millisecondsSince(Clock::time_point start) {
    return std::chrono::duration<double, std::milli>(Clock::now() - start).count();
}

/// True once a figure missed its target: then the program ends with 1.
bool& anythingMissed() {
    static bool missed = false;
    return missed;
}

void report(const char* what, std::vector<double> times, double target) {
    std::sort(times.begin(), times.end());
    const auto at = [&](double share) {
        return times[static_cast<std::size_t>(share * static_cast<double>(times.size() - 1))];
    };
    anythingMissed() = anythingMissed() || at(0.95) > target;
    std::printf("%-40s n %4zu   median %7.2f ms   p95 %7.2f ms   worst %7.2f ms   target %6.1f ms %s\n", what,
                times.size(), at(0.5), at(0.95), times.back(), target, at(0.95) <= target ? "met" : "MISSED");
}

std::vector<design::CellDesign> starters() {
    std::vector<design::CellDesign> designs;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            designs.push_back(*formats::readCellFile(file.content));
        }
    }
    return designs;
}

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

void benchSteps(const chemistry::Catalogue& catalogue) {
    std::vector<double> liquids;
    std::vector<double> routes;
    for (const design::CellDesign& design : starters()) {
        const design::Cell cell = *design::resolve(catalogue, design);
        liquid::LiquidSolver solver(catalogue);
        const liquid::Composition start = solver.pour(cell.poured[0]).composition;
        liquid::Composition now = start;
        liquids.push_back(meanMicroseconds([&](std::size_t step) {
            now.hydrogenMoles = start.hydrogenMoles;
            for (std::size_t i = 0; i < start.masters.size(); ++i) {
                const double more = 1e-3 * static_cast<double>((step + i) % 5) * start.masters[i].count;
                now.masters[i].count = start.masters[i].count + more;
                now.hydrogenMoles -= more * catalogue.species[start.masters[i].species].formula.charge;
            }
            solver.change(now, {cell.temperatureKelvin, cell.poured[0].oxygenPressureBar});
        }));
        const state::Contents contents = state::asBuilt(catalogue, cell);
        const cell::CompiledCell compiled = cell::compile(catalogue, cell);
        std::array<electrode::ElectrodeModel, 2> models;
        double sum = 0.0;
        routes.push_back(meanMicroseconds([&](std::size_t step) {
            for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
                electrode::ElectrodeModel& model = models[static_cast<std::size_t>(side)];
                model.bind(compiled.at(side, contents), electrode::kFirstMomentSeconds);
                for (const electrode::Route& route : model.routes()) {
                    const base::Sloped current = route.at(0.01 * static_cast<double>(step % 10));
                    sum += current.value * current.slope;
                }
            }
        }));
        if (!std::isfinite(sum)) {
            std::puts("a route is not finite");
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

enum class Gesture { Key, Wheel, Drag };

void sendMouse(QWidget& target, QEvent::Type type, const QPointF& at) {
    const bool moving = type == QEvent::MouseMove;
    QMouseEvent mouse(type, at, target.mapToGlobal(at), moving ? Qt::NoButton : Qt::LeftButton,
                      type == QEvent::MouseButtonRelease ? Qt::NoButton : Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&target, &mouse);
}

/// One edit: an event goes to the section, then everything pending is handled and painted. Of a drag the move
/// is timed, as the hand sees it; pressing changes nothing, and releasing writes to the disk.
double editOnce(app::MainWindow& window, app::Picture& section, const QString& id, Gesture gesture,
                int turn) {
    const app::PictureItem* item = section.item(id);
    if (item == nullptr) {
        return 0.0;
    }
    const QPointF at = item->area.center();
    const QPointF away = at + (turn % 2 == 0 ? QPointF(9, -9) : QPointF(-9, 9));
    if (gesture == Gesture::Drag) {
        sendMouse(section, QEvent::MouseButtonPress, at);
    }
    const auto start = Clock::now();
    if (gesture == Gesture::Key) {
        section.focusItem(id);
        QKeyEvent key(QEvent::KeyPress, Qt::Key_Plus, Qt::NoModifier, QStringLiteral("+"));
        QApplication::sendEvent(&section, &key);
    } else if (gesture == Gesture::Wheel) {
        QWheelEvent wheel(at, section.mapToGlobal(at), {}, QPoint(0, -120), Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QApplication::sendEvent(&section, &wheel);
    } else {
        sendMouse(section, QEvent::MouseMove, away);
    }
    // Laying out and painting is what these two posted events do; nothing else waits.
    QCoreApplication::sendPostedEvents(nullptr, QEvent::LayoutRequest);
    QCoreApplication::sendPostedEvents(&window, QEvent::UpdateRequest);
    const double took = millisecondsSince(start);
    if (gesture == Gesture::Drag) {
        sendMouse(section, QEvent::MouseButtonRelease, away);
    }
    return took;
}

void benchWindow(const chemistry::Catalogue& catalogue) {
    const QTemporaryDir folder;
    app::Services services = app::desktopServices();
    services.documentsFolder = folder.path();
    services.settingsFile.clear();
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    window.show();
    window.openDemo();
    std::vector<design::CellDesign> designs = starters();
    for (const record::Revision& revision : bench.revisions()) {
        designs.push_back(revision.design);
    }
    const QStringList handles = {QStringLiteral("gap"), QStringLiteral("negative.area"),
                                 QStringLiteral("positive.thickness"), QStringLiteral("positive.area")};
    constexpr int kEdits = 504;
    std::vector<double> edits[3];
    std::vector<double> all;
    for (const design::CellDesign& design : designs) {
        bench.startDesign(design);
        window.showStation(QStringLiteral("cell"));
        QCoreApplication::processEvents();
        auto* section = window.findChild<app::Picture*>(QStringLiteral("section"));
        for (int i = 0; i < kEdits / static_cast<int>(designs.size()); ++i) {
            const int gesture = i % 3;
            const double took =
                editOnce(window, *section, handles[i / 3 % 4], static_cast<Gesture>(gesture), i / 12);
            edits[gesture].push_back(took);
            all.push_back(took);
        }
    }
    report("edit to painted value, keys", edits[0], 16.0);
    report("edit to painted value, wheel", edits[1], 16.0);
    report("edit to painted value, drag", edits[2], 16.0);
    report("edit to painted value, all", all, 16.0);
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
    app::Services services = app::desktopServices();
    services.documentsFolder = folder.path();
    services.settingsFile.clear();
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    const auto importing = Clock::now();
    {
        app::Workbench bench(catalogue, services);
        bench.openNotebook(QString::fromStdString(path), true);
        bench.startDesign(starters().front());
        bench.writeDownBuild();
        bench.importRun(QStringLiteral("weeks"), 0, samples, {}, {});
    }
    report("ten million samples, stored", {millisecondsSince(importing)}, 20'000.0);
    const auto opening = Clock::now();
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    window.show();
    bench.openNotebook(QString::fromStdString(path), false);
    window.showStation(QStringLiteral("bench"));
    QCoreApplication::processEvents();
    report("ten million samples, curve on the screen", {millisecondsSince(opening)}, 1000.0);
    while (bench.build()->readingRuns) {
        QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
    }
    report("ten million samples, analysed aside", {millisecondsSince(opening)}, 10'000.0);
}

} // namespace

int main(int argc, char** argv) {
    const QApplication application(argc, argv);
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    if (!catalogue) {
        std::fputs("bench: the catalogue does not load\n", stderr);
        return 3;
    }
    benchModel(*catalogue);
    benchSteps(*catalogue);
    benchScreening(*catalogue);
    benchWindow(*catalogue);
    benchLongRun(*catalogue);
    return anythingMissed() ? 1 : 0;
}
