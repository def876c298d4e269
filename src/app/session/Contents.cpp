#include "app/session/Contents.h"

#include "core/record/MeasuredValue.h"

#include <algorithm>
#include <type_traits>
#include <variant>

namespace anodex::app {
namespace {

/// Moves what could be read; otherwise keeps the problem.
template <typename T>
void take(notebook::Answer<T> answer, T& into, std::vector<notebook::NotebookError>& problems) {
    if (answer) {
        into = std::move(*answer);
    } else {
        problems.push_back(answer.error());
    }
}

/// In the place of the row with the same id, or new; in order of time, where it has one.
template <typename Row, typename Time> void put(std::vector<Row>& rows, const Row& row, Time time) {
    const auto same =
        std::find_if(rows.begin(), rows.end(), [&](const Row& other) { return other.id == row.id; });
    if (same != rows.end()) {
        *same = row;
    } else {
        rows.push_back(row);
    }
    if constexpr (!std::is_same_v<Time, std::nullptr_t>) {
        std::stable_sort(rows.begin(), rows.end(),
                         [&](const Row& a, const Row& b) { return a.*time < b.*time; });
    }
}

} // namespace

RunDigestPointer digestOf(const run::RunSource& source) {
    auto digest = run::digestRun(source);
    return digest ? std::make_shared<const run::RunDigest>(std::move(*digest)) : nullptr;
}

const run::RunAnalysis* BuildSummary::mainRun() const {
    const run::RunAnalysis* most = nullptr;
    for (const auto& [id, digest] : digests) {
        if (most == nullptr || digest->analysis.dischargeCoulombs > most->dischargeCoulombs) {
            most = &digest->analysis;
        }
    }
    return most;
}

std::optional<double> BuildSummary::deliveredCoulombs() const {
    const run::RunAnalysis* run = mainRun();
    return run != nullptr && run->dischargeCoulombs > 0.0 ? std::optional(run->dischargeCoulombs)
                                                          : std::nullopt;
}

bool BuildSummary::ranDown() const {
    const run::RunAnalysis* run = mainRun();
    return run != nullptr && run->ranDown;
}

std::optional<double> BuildSummary::deliveredWatts() const {
    double most = 0.0;
    for (const auto& [id, digest] : digests) {
        most = std::max(most, digest->analysis.maximumWatts);
    }
    return most > 0.0 ? std::optional(most) : std::nullopt;
}

std::vector<notebook::NotebookError> Contents::load(const notebook::Notebook& notebook) {
    std::vector<notebook::NotebookError> problems;
    std::vector<record::Build> plain;
    app::take(notebook.projects(), projects, problems);
    app::take(notebook.revisions(), revisions, problems);
    app::take(notebook.builds(), plain, problems);
    app::take(notebook.documents(), documents, problems);
    builds.clear();
    unreadRuns.clear();
    for (const record::Build& one : plain) {
        BuildSummary summary;
        summary.build = one;
        app::take(notebook.readings(one.id), summary.readings, problems);
        app::take(notebook.events(one.id), summary.events, problems);
        app::take(notebook.runs(one.id), summary.allRuns, problems);
        findMeasured(summary);
        addRuns(summary);
        builds.push_back(std::move(summary));
    }
    return problems;
}

void Contents::findMeasured(BuildSummary& summary) {
    using record::ReadingQuantity;
    summary.openCircuit =
        record::measuredValue(summary.readings, summary.events, ReadingQuantity::OpenCircuitVoltage);
    summary.shortCircuit =
        record::measuredValue(summary.readings, summary.events, ReadingQuantity::ShortCircuitCurrent);
    summary.loaded = record::measuredOnLoad(summary.readings, summary.events);
}

void Contents::apply(const std::vector<notebook::Change>& changes) {
    for (const notebook::Change& change : changes) {
        std::visit([this](const auto& row) { apply(row); }, change);
    }
}

void Contents::apply(const record::Project& project) {
    put(projects, project, &record::Project::created);
}
void Contents::apply(const record::Revision& revision) {
    put(revisions, revision, &record::Revision::created);
}
void Contents::apply(const record::Document& document) {
    put(documents, document, nullptr);
}

void Contents::apply(const record::Build& build) {
    if (BuildSummary* known = summaryOf(build.id)) {
        known->build = build;
    } else {
        BuildSummary summary;
        summary.build = build;
        builds.push_back(std::move(summary));
    }
    std::stable_sort(builds.begin(), builds.end(), [](const BuildSummary& a, const BuildSummary& b) {
        return a.build.built < b.build.built;
    });
}

void Contents::apply(const record::Reading& reading) {
    if (BuildSummary* summary = summaryOf(reading.build)) {
        put(summary->readings, reading, &record::Reading::when);
        findMeasured(*summary);
    }
}

void Contents::apply(const record::Event& event) {
    if (BuildSummary* summary = summaryOf(event.build)) {
        put(summary->events, event, &record::Event::when);
        findMeasured(*summary);
    }
}

void Contents::apply(const record::RunHeader& run) {
    if (BuildSummary* summary = summaryOf(run.build)) {
        put(summary->allRuns, run, &record::RunHeader::started);
        takeRuns(*summary);
    }
}

/// What of its runs is in use, anew.
void Contents::takeRuns(BuildSummary& summary) {
    summary.runs.clear();
    summary.digests.clear();
    summary.readingRuns = false;
    for (const record::RunHeader& one : summary.allRuns) {
        std::erase(unreadRuns, one.id);
    }
    addRuns(summary);
}

Parts Contents::remove(const std::vector<record::Id>& gone) {
    Parts parts;
    const auto from = [&gone](auto& rows) {
        return std::erase_if(rows, [&](const auto& row) {
                   return std::find(gone.begin(), gone.end(), row.id) != gone.end();
               }) > 0;
    };
    const auto note = [&parts](bool removed, Part part) { parts |= removed ? Parts(part) : Parts(); };
    for (const record::Id& id : gone) {
        std::erase(unreadRuns, id);
    }
    note(from(projects), Part::Revisions);
    note(from(revisions), Part::Revisions);
    note(from(documents), Part::Documents);
    note(std::erase_if(builds,
                       [&](const BuildSummary& summary) {
                           return std::find(gone.begin(), gone.end(), summary.build.id) != gone.end();
                       }) > 0,
         Part::Builds);
    for (BuildSummary& summary : builds) {
        const bool readings = from(summary.readings);
        const bool events = from(summary.events);
        if (readings || events) {
            findMeasured(summary);
            parts |= Part::Notes;
        }
        if (from(summary.allRuns)) {
            takeRuns(summary);
            parts |= Part::Runs;
        }
    }
    return parts;
}

BuildSummary* Contents::summaryOf(const record::Id& build) {
    const auto found = std::find_if(builds.begin(), builds.end(),
                                    [&](const BuildSummary& summary) { return summary.build.id == build; });
    return found == builds.end() ? nullptr : &*found;
}

void Contents::addRuns(BuildSummary& summary) {
    for (const record::RunHeader& run : summary.allRuns) {
        if (run.setAside) {
            continue;
        }
        summary.runs.push_back(run);
        const auto known = digests.find(run.id);
        if (known == digests.end() || outgrown.count(run.id) > 0) {
            unreadRuns.push_back(run.id);
        }
        if (known == digests.end()) {
            summary.readingRuns = true;
        } else if (known->second) {
            summary.digests[run.id] = known->second;
        }
    }
}

void Contents::readAgain(const record::Id& run) {
    if (digests.count(run) > 0 && outgrown.insert(run).second) {
        unreadRuns.push_back(run);
    }
}

void Contents::take(const record::Id& run, const RunDigestPointer& digest) {
    digests[run] = digest;
    outgrown.erase(run);
    std::erase(unreadRuns, run);
    for (BuildSummary& summary : builds) {
        if (digest && std::any_of(summary.runs.begin(), summary.runs.end(),
                                  [&](const record::RunHeader& header) { return header.id == run; })) {
            summary.digests[run] = digest;
        }
        summary.readingRuns =
            std::any_of(summary.runs.begin(), summary.runs.end(),
                        [&](const record::RunHeader& header) { return digests.count(header.id) == 0; });
    }
}

const record::Project* Contents::project(const record::Id& id) const {
    const auto found = std::find_if(projects.begin(), projects.end(),
                                    [&](const record::Project& one) { return one.id == id; });
    return found == projects.end() ? nullptr : &*found;
}

std::vector<const record::Revision*> Contents::lineOf(const record::Id& id) const {
    const auto firstOf = [this](const record::Revision* one) {
        // No longer than there are revisions: a file may hold a circle of parents.
        for (std::size_t i = 0; i < revisions.size() && revision(one->parent) != nullptr; ++i) {
            one = revision(one->parent);
        }
        return one;
    };
    const record::Revision* at = revision(id);
    std::vector<const record::Revision*> line;
    for (const record::Revision& one : revisions) {
        if (at != nullptr && firstOf(&one) == firstOf(at)) {
            line.push_back(&one);
        }
    }
    return line;
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

std::vector<record::RunHeader> Contents::runsOf(const record::Id& id) const {
    const BuildSummary* summary = build(id);
    return summary != nullptr ? summary->allRuns : std::vector<record::RunHeader>();
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
