#include "app/session/Deeds.h"

#include "app/session/Commands.h"

#include <algorithm>

namespace anodex::app {

void branchDesign(Workbench& bench) {
    bench.settle();
    if (const record::Revision* at = bench.selection().revision()) {
        bench.run(commands::branch(bench.contents(), *at, bench.services().now()));
    }
}

void renameRevision(Workbench& bench, const QString& name) {
    bench.settle();
    const record::Revision* at = bench.selection().revision();
    const std::string wanted = name.trimmed().toStdString();
    if (at != nullptr && !wanted.empty() && at->name != wanted) {
        bench.run(commands::rename(*at, wanted));
    }
}

void beginProject(Workbench& bench, const QString& name) {
    const std::string wanted = name.trimmed().toStdString();
    const auto& projects = bench.contents().projects;
    const auto known = std::find_if(projects.begin(), projects.end(),
                                    [&](const record::Project& one) { return one.name == wanted; });
    if (known != projects.end()) {
        bench.selectProject(known->id);
    } else if (!wanted.empty()) {
        const Command command = commands::beginProject(wanted, bench.services().now());
        if (bench.run(command)) {
            bench.selectProject(std::get<record::Project>(command.changes.front()).id);
        }
    }
}

void renameProject(Workbench& bench, const record::Id& id, const QString& name) {
    const record::Project* project = bench.contents().project(id);
    const std::string wanted = name.trimmed().toStdString();
    if (project != nullptr && !wanted.empty() && project->name != wanted) {
        bench.run(commands::rename(*project, wanted));
    }
}

void moveToProject(Workbench& bench, const record::Id& id) {
    bench.settle();
    const record::Project* project = bench.contents().project(id);
    const record::Revision* at = bench.selection().revision();
    if (project != nullptr && at != nullptr && at->project != id) {
        bench.run(commands::moveLine(bench.contents(), *at, *project));
    }
}

void takeAlong(Workbench& bench) {
    const record::Revision* at = bench.selection().revision();
    if (at == nullptr || !bench.files().look()) {
        return;
    }
    design::CellDesign design = at->design;
    design.name = at->name;
    if (bench.files().back()) {
        bench.startDesign(design);
    }
}

void setRevisionAside(Workbench& bench, const record::Id& id, bool aside) {
    bench.settle();
    if (const record::Revision* revision = bench.contents().revision(id)) {
        bench.run(commands::setAside(*revision, aside, bench.selection().place()));
    }
}

void setBuildAside(Workbench& bench, const record::Id& id, bool aside) {
    bench.settle();
    if (const BuildSummary* summary = bench.contents().build(id)) {
        bench.run(commands::setAside(summary->build, aside, bench.selection().place()));
    }
}

void setRunAside(Workbench& bench, const record::RunHeader& run, bool aside) {
    bench.run(commands::setAside(run, aside));
}

void note(Workbench& bench, std::vector<record::Reading> readings) {
    if (bench.selection().build() != nullptr && !readings.empty()) {
        bench.run(commands::note(bench.selection().place().build, std::move(readings)));
    }
}

void note(Workbench& bench, const record::Event& event) {
    if (bench.selection().build() != nullptr) {
        bench.run(commands::note(bench.selection().place().build, event));
    }
}

} // namespace anodex::app
