#include "app/session/Contents.h"

#include "core/record/MeasuredValue.h"

#include <algorithm>

namespace anodex::app {
namespace {

constexpr std::int64_t kMostSamplesAnalysedAtOnce = 2'000'000;

BuildSummary summaryOf(const notebook::Notebook& notebook, const record::Build& build,
                       std::map<record::Id, bench::RunAnalysis>& cache) {
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
        if (!cache.contains(run.id) && run.samples <= kMostSamplesAnalysedAtOnce) {
            const auto samples = notebook.samples(run.id);
            const auto analysis = samples ? bench::analyseRun(*samples) : bench::analyseRun({});
            if (analysis) {
                cache[run.id] = *analysis;
            }
        }
        if (cache.contains(run.id)) {
            summary.analyses[run.id] = cache[run.id];
        }
    }
    return summary;
}

} // namespace

std::optional<double> BuildSummary::deliveredCoulombs() const {
    double most = 0.0;
    for (const auto& [id, analysis] : analyses) {
        most = std::max(most, analysis.dischargeCoulombs);
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
    builds.clear();
    for (const record::Build& one : plain) {
        builds.push_back(summaryOf(notebook, one, analysisCache));
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
        const std::string name = stem + " " + std::to_string(number);
        const bool taken = std::any_of(revisions.begin(), revisions.end(),
                                       [&](const record::Revision& r) { return r.name == name; });
        if (!taken) {
            return name;
        }
    }
}

} // namespace anodex::app
