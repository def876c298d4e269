// tests/fuzz/Damage.cpp - damaged notebooks through reading, check, command line and window.
//
// usage: anodex-damage [COUNT [SEED]]. Each worker is a process of its own: a crash is counted, not suffered.
// Exits 1 when anything crashed, when over one in a hundred differences was not found or placed, or when a
// sound notebook was accused.
#include "app/frame/MainWindow.h"
#include "cli/Program.h"
#include "tests/fuzz/DamagedNotebook.h"
#include "tests/support/Samples.h"

#include <QApplication>
#include <algorithm>
#include <array>
#include <cstdio>
#include <cstdlib>
#include <sstream>
#include <string>
#include <sys/wait.h>
#include <unistd.h>
#include <vector>

namespace {

using namespace anodex;
namespace fs = std::filesystem;

struct Job {
    fs::path folder;
    std::uint64_t seed = 1;
    std::uint64_t count = 0;
    std::uint64_t first = 0;
    std::uint64_t stride = 1;
    int report = -1;
};

void tell(int pipe, const std::string& line) {
    const std::string whole = line + "\n";
    [[maybe_unused]] const ssize_t written = write(pipe, whole.data(), whole.size());
}

void throughCommandLine(const fs::path& path) {
    for (const char* verb : {"info", "check"}) {
        std::ostringstream output;
        std::ostringstream errors;
        (void)cli::run({"notebook", path.string(), verb, "--json"}, output, errors);
    }
}

void throughWindow(app::Workbench& bench, app::MainWindow& window, const fs::path& path) {
    if (!bench.files().open(QString::fromStdString(path.string()), false)) {
        return;
    }
    std::vector<app::BuildSummary> builds = bench.contents().builds;
    builds.resize(std::min<std::size_t>(builds.size(), 2));
    for (const app::BuildSummary& summary : builds) {
        bench.selectBuild(summary.build.id);
        for (const char* station : {"notebook", "bench", "judge"}) {
            window.showStation(QString::fromLatin1(station));
        }
        QCoreApplication::processEvents();
    }
    bench.undo();
    QCoreApplication::processEvents();
}

/// Names each case before it is tried, so that the last name is the one it died of.
void work(const Job& job) {
    int argc = 1;
    std::array<char, 14> name{"anodex-damage"};
    std::array<char*, 2> argv{name.data(), nullptr};
    const QApplication application(argc, argv.data());
    app::Services services;
    services.now = [] { return record::Millis{1'790'000'000'000}; };
    app::Theme theme;
    app::Workbench bench(test::catalogue(), services);
    app::MainWindow window(bench, theme);
    window.show();
    const fuzz::Seen sound = fuzz::seenIn(job.folder / "sound.anodex");
    for (std::uint64_t number = job.first; number < job.count; number += job.stride) {
        const fs::path path = job.folder / ("case-" + std::to_string(number) + ".anodex");
        const fuzz::Damage damage = fuzz::writeDamaged(job.folder / "sound.anodex", path, job.seed, number);
        tell(job.report, "at " + std::to_string(number) + " " + damage.what);
        const std::string verdict = fuzz::verdictOn(path, damage, sound);
        throughCommandLine(path);
        throughWindow(bench, window, path);
        tell(job.report,
             verdict.empty() ? "good" : "bad " + std::to_string(number) + " " + damage.what + ": " + verdict);
    }
    tell(job.report, "end");
}

struct Tally {
    std::uint64_t good = 0;
    std::uint64_t bad = 0;
    std::uint64_t crashed = 0;
};

void collect(FILE* from, Tally& tally) {
    std::array<char, 4096> line{};
    std::string at;
    bool ended = false;
    while (fgets(line.data(), line.size(), from) != nullptr) {
        const std::string text = line.data();
        if (text.starts_with("at ")) {
            at = text;
        } else if (text.starts_with("good")) {
            ++tally.good;
        } else if (text.starts_with("bad ")) {
            ++tally.bad;
            std::fputs(text.c_str(), stdout);
        } else if (text.starts_with("end")) {
            ended = true;
        }
    }
    if (!ended) {
        ++tally.crashed;
        std::printf("crashed %s", at.c_str());
    }
}

/// Sound notebooks of many lives; how many were accused.
int accused(const fs::path& folder, std::uint64_t seed, int count) {
    int wrongly = 0;
    for (int i = 0; i < count; ++i) {
        const fs::path path = folder / ("sound-" + std::to_string(i) + ".anodex");
        fuzz::writeSoundNotebook(path, seed + static_cast<std::uint64_t>(i));
        const std::string found = fuzz::foundIn(path);
        if (!found.empty()) {
            ++wrongly;
            std::printf("a sound notebook accused: %s\n", found.c_str());
        }
    }
    return wrongly;
}

} // namespace

int main(int argc, char** argv) {
    const std::uint64_t count = argc > 1 ? std::strtoull(argv[1], nullptr, 10) : 100;
    const std::uint64_t seed = argc > 2 ? std::strtoull(argv[2], nullptr, 10) : 1;
    setenv("QT_QPA_PLATFORM", "offscreen", 1);
    const test::TemporaryFolder folder;
    fuzz::writeSoundNotebook(folder.path("sound.anodex"), seed);
    constexpr std::uint64_t kWorkers = 2;
    std::vector<FILE*> reports;
    for (std::uint64_t worker = 0; worker < kWorkers; ++worker) {
        std::array<int, 2> ends{};
        if (pipe(ends.data()) != 0) {
            return 3;
        }
        if (fork() == 0) {
            close(ends[0]);
            work({folder.path(), seed, count, worker, kWorkers, ends[1]});
            _exit(0);
        }
        close(ends[1]);
        reports.push_back(fdopen(ends[0], "r"));
    }
    Tally tally;
    for (FILE* report : reports) {
        collect(report, tally);
        fclose(report);
    }
    while (wait(nullptr) > 0) {
    }
    const int wrongly =
        accused(folder.path(), seed, static_cast<int>(std::clamp<std::uint64_t>(count / 10, 5, 60)));
    std::printf("%llu damaged notebooks, seed %llu: %llu found or no different, %llu not, %llu workers "
                "crashed; %d sound "
                "ones accused\n",
                static_cast<unsigned long long>(count), static_cast<unsigned long long>(seed),
                static_cast<unsigned long long>(tally.good), static_cast<unsigned long long>(tally.bad),
                static_cast<unsigned long long>(tally.crashed), wrongly);
    return tally.crashed == 0 && tally.bad * 100 <= count && wrongly == 0 ? 0 : 1;
}
