// src/app/session/Contents.h - what a notebook holds, loaded for the window, with what was measured on each
// build.
#pragma once
#include "core/bench/RunAnalysis.h"
#include "core/record/Record.h"
#include "notebook/Notebook.h"
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace anodex::app {

/// A build with what was measured on it.
struct BuildSummary {
    record::Build build;
    std::optional<record::Reading> openCircuit;
    std::optional<record::Reading> shortCircuit;
    std::vector<record::RunHeader> runs;               ///< Not set aside.
    std::map<record::Id, bench::RunAnalysis> analyses; ///< By run.
    [[nodiscard]] std::optional<double> deliveredCoulombs() const;
};

struct Contents {
    std::vector<record::Project> projects;
    std::vector<record::Revision> revisions;
    std::vector<BuildSummary> builds;
    std::map<record::Id, bench::RunAnalysis> analysisCache; ///< Runs never change, so each is analysed once.

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
