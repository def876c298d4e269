#include "app/session/Contents.h"

#include "core/record/MeasuredValue.h"

#include <algorithm>

namespace anodex::app {
namespace {

constexpr std::int64_t kMostSamplesReadAtOnce = 100'000;

BuildSummary summaryOf(const notebook::Notebook& notebook, const record::Build& build,
                       std::map<record::Id, RunDigestPointer>& digests, std::vector<record::Id>& longRuns) {
    BuildSummary summary;
    summary.build = build;
    const auto readings = notebook.readings(build.id).value_or(std::vector<record::Reading>());
    const auto events = notebook.events(build.id).value_or(std::vector<record::Event>());
    summary.openCircuit =
        record::measuredValue(readings, events, record::ReadingQuantity::OpenCircuitVoltage);
    summary.shortCircuit =
        record::measuredValue(readings, events, record::ReadingQuantity::ShortCircuitCurrent);
    for (const record::RunHeader& run : notebook.runs(build.id).value_or(std::vector<record::RunHeader>())) {
        if (run.setAside) {
            continue;
        }
        summary.runs.push_back(run);
        if (!digests.contains(run.id)) {
            if (run.samples > kMostSamplesReadAtOnce) {
                longRuns.push_back(run.id);
                summary.readingRuns = true;
                continue;
            }
            digests[run.id] = readDigest(notebook, run.id);
        }
        if (digests[run.id]) {
            summary.digests[run.id] = digests[run.id];
        }
    }
    return summary;
}

} // namespace

RunDigestPointer readDigest(const notebook::Notebook& notebook, const record::Id& run) {
    const auto samples = notebook.samples(run);
    auto digest = bench::digestRun(samples ? *samples : record::RunSamples());
    return digest ? std::make_shared<const bench::RunDigest>(std::move(*digest)) : nullptr;
}

const bench::RunAnalysis* BuildSummary::mainRun() const {
    const bench::RunAnalysis* most = nullptr;
    for (const auto& [id, digest] : digests) {
        if (most == nullptr || digest->analysis.dischargeCoulombs > most->dischargeCoulombs) {
            most = &digest->analysis;
        }
    }
    return most;
}

std::optional<double> BuildSummary::deliveredCoulombs() const {
    const bench::RunAnalysis* run = mainRun();
    return run != nullptr && run->dischargeCoulombs > 0.0 ? std::optional(run->dischargeCoulombs)
                                                          : std::nullopt;
}

bool BuildSummary::ranDown() const {
    const bench::RunAnalysis* run = mainRun();
    return run != nullptr && run->ranDown;
}

std::optional<double> BuildSummary::deliveredWatts() const {
    double most = 0.0;
    for (const auto& [id, digest] : digests) {
        most = std::max(most, digest->analysis.maximumWatts);
    }
    return most > 0.0 ? std::optional(most) : std::nullopt;
}

std::optional<notebook::NotebookError> Contents::load(const notebook::Notebook& notebook) {
    std::optional<notebook::NotebookError> problem;
    const auto take = [&](auto answer, auto& into) {
        if (answer) {
            into = std::move(*answer);
        } else if (!problem) {
            problem = answer.error();
        }
    };
    std::vector<record::Build> plain;
    take(notebook.projects(), projects);
    take(notebook.revisions(), revisions);
    take(notebook.builds(), plain);
    take(notebook.documents(), documents);
    builds.clear();
    longRuns.clear();
    for (const record::Build& one : plain) {
        builds.push_back(summaryOf(notebook, one, digests, longRuns));
    }
    return problem;
}

const record::Revision* Contents::revision(const record::Id& id) const {
    const auto found = std::find_if(revisions.begin(), revisions.end(),
                                    [&](const record::Revision& r) { return r.id == id; });
    return found == revisions.end() ? nullptr : &*found;
}

const BuildSummary* Contents::build(const record::Id& id) const {
    const auto found =
        std::find_if(builds.begin(), builds.end(), [&](const BuildSummary& b) { return b.build.id == id; });
    return found == builds.end() ? nullptr : &*found;
}

std::vector<const BuildSummary*> Contents::buildsOf(const record::Id& revision) const {
    std::vector<const BuildSummary*> list;
    for (const BuildSummary& summary : builds) {
        if (summary.build.revision == revision && !summary.build.setAside) {
            list.push_back(&summary);
        }
    }
    return list;
}

std::string Contents::freshName(std::string stem) const {
    while (!stem.empty() && ((stem.back() >= '0' && stem.back() <= '9') || stem.back() == ' ')) {
        stem.pop_back();
    }
    for (int number = 2;; ++number) {
        std::string name = stem + " " + std::to_string(number);
        const bool taken = std::any_of(revisions.begin(), revisions.end(),
                                       [&](const record::Revision& r) { return r.name == name; });
        if (!taken) {
            return name;
        }
    }
}

} // namespace anodex::app
