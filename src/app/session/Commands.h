// src/app/session/Commands.h - every command a builder can give, made from what is there; none does anything.
//
// To add one: a function here, its sentence in data/texts, and who calls Workbench::run() with it.
#pragma once
#include "app/session/Command.h"
#include "app/session/Contents.h"

namespace anodex::app::commands {

/// A design of its own, in that project; the first one of a notebook brings a project with it.
[[nodiscard]] Command begin(const Contents& contents, const record::Id& project,
                            const design::CellDesign& design, record::Millis now);
/// A project with nothing in it yet; its id is in the change.
[[nodiscard]] Command beginProject(const std::string& name, record::Millis now);
[[nodiscard]] Command rename(const record::Project& project, const std::string& name);
/// The whole line of a revision, with what was built of it.
[[nodiscard]] Command moveLine(const Contents& contents, const record::Revision& revision,
                               const record::Project& project);
/// A child revision of the same design.
[[nodiscard]] Command branch(const Contents& contents, const record::Revision& from, record::Millis now);
[[nodiscard]] Command rename(const record::Revision& revision, const std::string& name);
/// The design of a revision changed. What was built stays as it was: then a child begins.
[[nodiscard]] Command change(const Contents& contents, const record::Revision& revision,
                             const design::CellDesign& design, record::Millis now);
[[nodiscard]] Command writeDown(const Contents& contents, const record::Revision& revision,
                                const record::Expectation& expectation, record::Millis now);
/// What differed as it was built.
[[nodiscard]] Command changeAsBuilt(const record::Build& build, const design::CellDesign& built,
                                    const record::Expectation& expectation);
[[nodiscard]] Command setAside(const record::Revision& revision, bool aside, const Place& at);
[[nodiscard]] Command setAside(const record::Build& build, bool aside, const Place& at);
[[nodiscard]] Command setAside(const record::RunHeader& run, bool aside);
/// Read at once on one build. Their ids are given here.
[[nodiscard]] Command note(const record::Id& build, std::vector<record::Reading> readings);
[[nodiscard]] Command note(const record::Id& build, record::Event event);
[[nodiscard]] Command correct(const record::Reading& from, const record::Reading& to);
[[nodiscard]] Command strikeOut(const record::Reading& reading, bool out);
/// What the import of a run is called.
[[nodiscard]] base::Said importSaid(const record::RunHeader& run);
/// New when its id is empty.
[[nodiscard]] Command put(record::Document document, base::Said said);

} // namespace anodex::app::commands
