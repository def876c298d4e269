// src/app/session/Contents.h - what a notebook holds, loaded for the window, with what was measured on each
// build.
#pragma once
#include "app/session/Part.h"
#include "core/record/Record.h"
#include "core/run/RunDigest.h"
#include "notebook/Notebook.h"
#include <map>
#include <memory>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace anodex::app {

using RunDigestPointer = std::shared_ptr<const run::RunDigest>;

/// A build with what was measured on it.
struct BuildSummary {
    record::Build build;
    std::optional<record::Reading> openCircuit;
    std::optional<record::Reading> shortCircuit;
    std::optional<record::Reading> loaded;          ///< The last voltage that names what it was read on.
    std::vector<record::Reading> readings;          ///< Struck out or not, in order of time.
    std::vector<record::Event> events;              ///< In order of time.
    std::vector<record::RunHeader> allRuns;         ///< Set aside or not.
    std::vector<record::RunHeader> runs;            ///< Not set aside.
    std::map<record::Id, RunDigestPointer> digests; ///< By run; they arrive when read.
    bool readingRuns = false;                       ///< A run is being read for the first time, aside.

    /// The run that delivered most, which stands for the build; null when there is none.
    [[nodiscard]] const run::RunAnalysis* mainRun() const;
    /// What it delivered so far; a lower bound of what it holds until it ran down.
    [[nodiscard]] std::optional<double> deliveredCoulombs() const;
    [[nodiscard]] bool ranDown() const;
    /// The most power a run happened to draw: a lower bound of the best power.
    [[nodiscard]] std::optional<double> deliveredWatts() const;
};

/// The essence of a run; null when its samples cannot be used.
[[nodiscard]] RunDigestPointer digestOf(const run::RunSource& source);

struct Contents {
    std::vector<record::Project> projects;
    std::vector<record::Revision> revisions;
    std::vector<BuildSummary> builds;
    std::map<record::Id, RunDigestPointer> digests; ///< Kept: a run is read once, unless it grows.
    std::vector<record::Document> documents;        ///< Set aside or not.
    std::vector<record::Id> unreadRuns;             ///< To be read aside.
    std::set<record::Id> outgrown;                  ///< Those of them that were read when they were shorter.

    /// Reads everything but samples anew. The problems, if any; what could be read is there all the same.
    [[nodiscard]] std::vector<notebook::NotebookError> load(const notebook::Notebook& notebook);
    /// What a command changed, without reading anything again.
    void apply(const std::vector<notebook::Change>& changes);
    /// Records that are gone, by id; the parts they were of.
    Parts remove(const std::vector<record::Id>& gone);
    /// The run is longer than when it was read; what was found in it then is shown until it is read again.
    void readAgain(const record::Id& run);
    /// A run was read; builds that have it know its essence now.
    void take(const record::Id& run, const RunDigestPointer& digest);
    [[nodiscard]] const record::Project* project(const record::Id& id) const;
    [[nodiscard]] const record::Revision* revision(const record::Id& id) const;
    /// Every revision that grew, by whatever way, from the one that it began with; set aside or not.
    [[nodiscard]] std::vector<const record::Revision*> lineOf(const record::Id& revision) const;
    [[nodiscard]] const BuildSummary* build(const record::Id& id) const;
    /// Builds of a revision that are not set aside, oldest first.
    [[nodiscard]] std::vector<const BuildSummary*> buildsOf(const record::Id& revision) const;
    /// Set aside or not.
    [[nodiscard]] std::vector<record::RunHeader> runsOf(const record::Id& build) const;
    /// "Jar 3" when "Jar 2" is the last of its name.
    [[nodiscard]] std::string freshName(std::string stem) const;

private:
    void apply(const record::Project& project);
    void apply(const record::Revision& revision);
    void apply(const record::Build& build);
    void apply(const record::Reading& reading);
    void apply(const record::Event& event);
    void apply(const record::RunHeader& run);
    void apply(const record::Document& document);
    [[nodiscard]] BuildSummary* summaryOf(const record::Id& build);
    static void findMeasured(BuildSummary& summary);
    void takeRuns(BuildSummary& summary);
    void addRuns(BuildSummary& summary);
};

} // namespace anodex::app
