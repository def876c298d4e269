#include "app/session/Deeds.h"

#include "app/session/Commands.h"

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
