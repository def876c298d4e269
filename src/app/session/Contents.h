// src/app/session/Contents.h - what a notebook holds, loaded for the window, with what was measured on each
// build.
#pragma once
#include "core/bench/RunDigest.h"
#include "core/record/Record.h"
#include "notebook/Notebook.h"
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace anodex::app {

using RunDigestPointer = std::shared_ptr<const bench::RunDigest>;

/// A build with what was measured on it.
struct BuildSummary {
    record::Build build;
    std::optional<record::Reading> openCircuit;
    std::optional<record::Reading> shortCircuit;
    std::vector<record::RunHeader> runs;            ///< Not set aside.
    std::map<record::Id, RunDigestPointer> digests; ///< By run; long runs arrive later.
    bool readingRuns = false;                       ///< A long run is still being read.

    /// The run that delivered most, which stands for the build; null when there is none.
    [[nodiscard]] const bench::RunAnalysis* mainRun() const;
    /// What it delivered so far; a lower bound of what it holds until it ran down.
    [[nodiscard]] std::optional<double> deliveredCoulombs() const;
    [[nodiscard]] bool ranDown() const;
    /// The most power a run happened to draw: a lower bound of the best power.
    [[nodiscard]] std::optional<double> deliveredWatts() const;
};

/// Reads a run's samples and keeps the essence; null when they cannot be used.
[[nodiscard]] RunDigestPointer readDigest(const notebook::Notebook& notebook, const record::Id& run);

struct Contents {
    std::vector<record::Project> projects;
    std::vector<record::Revision> revisions;
    std::vector<BuildSummary> builds;
    std::map<record::Id, RunDigestPointer> digests; ///< Runs never change, so each is read once.
    std::vector<record::Document> documents;        ///< Set aside or not.
    std::vector<record::Id> longRuns;               ///< Not read yet: too long to wait for.

    /// Reads everything anew; the first problem, if any. What could be read is there all the same.
    std::optional<notebook::NotebookError> load(const notebook::Notebook& notebook);
    [[nodiscard]] const record::Revision* revision(const record::Id& id) const;
    [[nodiscard]] const BuildSummary* build(const record::Id& id) const;
    /// Builds of a revision that are not set aside, oldest first.
    [[nodiscard]] std::vector<const BuildSummary*> buildsOf(const record::Id& revision) const;
    /// "Jar 3" when "Jar 2" is the last of its name.
    [[nodiscard]] std::string freshName(std::string stem) const;
};

} // namespace anodex::app
