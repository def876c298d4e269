// bench/BigNotebook.cpp - a notebook as it is after years: how soon it opens, how edits feel in it, and what a
// recorder costs.
//
// Arguments  samples in each of 100 runs (1,000,000), simulated days of recording (1).
#include "bench/Edits.h"
#include "bench/Measure.h"
#include "core/base/FreedMemory.h"
#include "core/design/Identify.h"
#include "formats/catalogue/CatalogueReader.h"
#include "notebook/Notebook.h"
#include "notebook/RunWriter.h"

#include <QApplication>
#include <QTemporaryDir>
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <fstream>
#include <string>
#include <sys/resource.h>

namespace {

using namespace anodex;
using namespace anodex::bench;

constexpr int kBuilds = 40;
constexpr int kRuns = 100;

void require(bool fine, const char* what) {
    if (!fine) {
        std::fprintf(stderr, "bench: %s\n", what);
        std::exit(3);
    }
}

void fill(const std::string& path, std::size_t samplesPerRun) {
    auto book = notebook::Notebook::open(path, notebook::OpenMode::Create, "bench");
    require(book.has_value(), "no notebook");
    std::vector<design::CellDesign> designs = starters();
    require(book->commit("project", 1, {record::Project{"p", "Shed", 1}}).has_value(), "no project");
    for (int i = 0; i < kBuilds; ++i) {
        const design::CellDesign& design = designs[static_cast<std::size_t>(i) % designs.size()];
        record::Revision revision{
            "r" + std::to_string(i), "p", {}, "design " + std::to_string(i), design, i, false};
        record::Build build;
        build.id = "b" + std::to_string(i);
        build.revision = revision.id;
        build.name = "build";
        build.built = i;
        build.asBuilt = design;
        require(book->commit("build", i, {revision, build}).has_value(), "no build");
    }
    record::RunSamples samples;
    for (std::size_t i = 0; i < samplesPerRun; ++i) {
        samples.seconds.push_back(static_cast<double>(i));
        samples.volts.push_back(1.1 - 4e-8 * static_cast<double>(i));
        samples.amps.push_back(i % 7200 < 3600 ? 0.02 : 0.0);
    }
    for (int i = 0; i < kRuns; ++i) {
        record::RunHeader run;
        run.id = "n" + std::to_string(i);
        run.build = "b" + std::to_string(i % kBuilds);
        run.name = "run " + std::to_string(i);
        require(book->importRun("run", i, run, samples).has_value(), "no run");
    }
}

void benchOpening(const chemistry::Catalogue& catalogue, const QTemporaryDir& folder,
                  const std::string& path) {
    const app::Services services = servicesIn(folder);
    app::Theme theme;
    theme.apply(*qApp, app::ThemeChoice::Light);
    const auto opening = Clock::now();
    app::Workbench bench(catalogue, services);
    app::MainWindow window(bench, theme);
    showBench(bench, window, path);
    report("40 builds, 100 runs, opened and painted", {millisecondsSince(opening)}, 500.0);
    benchEdits(bench, window, starters(), 12.0);
}

double cpuSeconds() {
    rusage usage{};
    getrusage(RUSAGE_SELF, &usage);
    const auto seconds = [](const timeval& time) {
        return static_cast<double>(time.tv_sec) + 1e-6 * static_cast<double>(time.tv_usec);
    };
    return seconds(usage.ru_utime) + seconds(usage.ru_stime);
}

/// MiB that the process holds now.
double residentMebibytes() {
    std::ifstream status("/proc/self/status");
    for (std::string line; std::getline(status, line);) {
        if (line.starts_with("VmRSS:")) {
            return std::stod(line.substr(6)) / 1024.0;
        }
    }
    return 0.0;
}

/// 10 Hz on eight channels, appended each second of the simulated time.
void benchRecorder(const std::string& path, double days) {
    std::vector<record::Channel> channels{{"voltage", "V", 1.0}, {"current", "A", 1.0}};
    for (int i = 1; i <= 6; ++i) {
        channels.push_back({"thermometer " + std::to_string(i), "K", 1.0});
    }
    record::RunHeader run;
    run.id = "recorded";
    run.build = "b0";
    run.name = "recorded";
    auto writer = notebook::RunWriter::begin(path, run, channels, "bench");
    require(writer.has_value(), "no recorder");
    const auto seconds = static_cast<std::int64_t>(86400.0 * days);
    const double before = cpuSeconds();
    std::vector<double> time(10);
    std::vector<std::vector<double>> values(channels.size(), std::vector<double>(10));
    double atStart = 0.0;
    for (std::int64_t second = 0; second < seconds; ++second) {
        for (std::size_t i = 0; i < time.size(); ++i) {
            time[i] = static_cast<double>(second) + 0.1 * static_cast<double>(i);
            for (std::size_t channel = 0; channel < values.size(); ++channel) {
                values[channel][i] = static_cast<double>(channel) + std::sin(1e-3 * time[i]);
            }
        }
        require(writer->append(time, notebook::Columns(values.begin(), values.end())).has_value(),
                "not appended");
        if (second == std::min<std::int64_t>(3600, seconds / 2)) {
            atStart = residentMebibytes();
        }
        constexpr std::int64_t kDay = 86400;
        if ((second + 1) % (5 * kDay) == 0) {
            std::printf("  day %lld: %.1f MiB\n", static_cast<long long>((second + 1) / kDay),
                        residentMebibytes());
        }
    }
    const double share = (cpuSeconds() - before) / static_cast<double>(seconds);
    const double grown = residentMebibytes() - atStart;
    constexpr double kShare = 0.02; // of a core
    constexpr double kGrown = 8.0;  // MiB
    const bool met = share < kShare && grown < kGrown;
    anythingMissed() = anythingMissed() || !met;
    std::printf(
        "%.2g days at 10 Hz on eight channels: %.2f %% of a core, %.1f MiB once it runs, %+.1f MiB at the "
        "end %s\n",
        days, 100.0 * share, atStart, grown, met ? "met" : "MISSED");
}

} // namespace

int main(int argc, char** argv) {
    base::keepFreedMemory(); // as the programs do
    const QApplication application(argc, argv);
    const auto catalogue = formats::readCatalogue(formats::builtInCatalogueFiles());
    require(catalogue.has_value(), "the catalogue does not load");
    const std::size_t samples = argc > 1 ? std::stoul(argv[1]) : 1'000'000;
    const double days = argc > 2 ? std::stod(argv[2]) : 1.0;
    const QTemporaryDir folder;
    const std::string path = folder.filePath(QStringLiteral("years.anodex")).toStdString();
    const auto filling = Clock::now();
    fill(path, samples);
    std::printf("%d runs of %zu samples stored in %.1f s\n", kRuns, samples,
                1e-3 * millisecondsSince(filling));
    benchOpening(*catalogue, folder, path);
    benchRecorder(path, days);
    return anythingMissed() ? 1 : 0;
}
