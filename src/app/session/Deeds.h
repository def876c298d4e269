// src/app/session/Deeds.h - what a builder does to what is at hand: each finds its record and runs a command.
//
// Where there is nothing of that id, nothing is done.
#pragma once
#include "app/session/Workbench.h"

namespace anodex::app {

void branchDesign(Workbench& bench);
/// Blanks around the name go; an empty or equal one changes nothing.
void renameRevision(Workbench& bench, const QString& name);
/// A project of that name, to which the notebook is narrowed then.
void beginProject(Workbench& bench, const QString& name);
void renameProject(Workbench& bench, const record::Id& project, const QString& name);
/// The whole line of the design at hand.
void moveToProject(Workbench& bench, const record::Id& project);
/// From a look at an earlier state: the design at hand begins a line in the notebook as it is now.
void takeAlong(Workbench& bench);
void setRevisionAside(Workbench& bench, const record::Id& revision, bool aside);
void setBuildAside(Workbench& bench, const record::Id& build, bool aside);
void setRunAside(Workbench& bench, const record::RunHeader& run, bool aside);
/// On the build at hand.
void note(Workbench& bench, std::vector<record::Reading> readings);
void note(Workbench& bench, const record::Event& event);

} // namespace anodex::app
