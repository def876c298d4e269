#include "app/session/Commands.h"

#include "notebook/Notebook.h"
#include "wording/ChangeText.h"
#include "wording/PartText.h"
#include "wording/Texts.h"

namespace anodex::app::commands {
namespace {

using base::Said;

Said asideSaid(const char* kind, bool aside, const std::string& name) {
    return {std::string("command.") + kind + (aside ? ".set-aside" : ".brought-back"), {{"name", name}}};
}

} // namespace

Command begin(const Contents& contents, const record::Id& project, const design::CellDesign& design,
              record::Millis now) {
    Command command;
    record::Revision fresh;
    fresh.id = notebook::newId();
    fresh.created = now;
    fresh.name = design.name.empty() ? wording::text("name.first-try") : design.name;
    const bool taken = std::any_of(contents.revisions.begin(), contents.revisions.end(),
                                   [&](const record::Revision& other) { return other.name == fresh.name; });
    fresh.name = taken ? contents.freshName(fresh.name) : fresh.name;
    fresh.design = design;
    if (contents.projects.empty()) {
        const record::Project first{notebook::newId(), wording::text("name.project"), now};
        fresh.project = first.id;
        command.changes.emplace_back(first);
    } else {
        fresh.project = contents.project(project) != nullptr ? project : contents.projects.front().id;
    }
    command.said = Said("command.begin", {{"name", fresh.name}});
    command.after = Place{fresh.id, {}};
    command.changes.emplace_back(std::move(fresh));
    return command;
}

Command beginProject(const std::string& name, record::Millis now) {
    return {Said("command.new-project", {{"name", name}}),
            {record::Project{notebook::newId(), name, now}},
            {},
            {}};
}

Command rename(const record::Project& project, const std::string& name) {
    record::Project next = project;
    next.name = name;
    return {Said("command.rename", {{"from", project.name}, {"to", name}}), {next}, {}, {}};
}

Command moveLine(const Contents& contents, const record::Revision& revision, const record::Project& project) {
    Command command;
    command.said = Said("command.move", {{"name", revision.name}, {"project", project.name}});
    for (const record::Revision* one : contents.lineOf(revision.id)) {
        record::Revision next = *one;
        next.project = project.id;
        command.changes.emplace_back(std::move(next));
    }
    return command;
}

Command branch(const Contents& contents, const record::Revision& from, record::Millis now) {
    record::Revision fresh = from;
    fresh.id = notebook::newId();
    fresh.parent = from.id;
    fresh.created = now;
    fresh.name = contents.freshName(from.name);
    return {Said("command.branch", {{"name", fresh.name}, {"from", from.name}}),
            {fresh},
            Place{fresh.id, {}},
            {}};
}

Command rename(const record::Revision& revision, const std::string& name) {
    record::Revision next = revision;
    next.name = name;
    return {Said("command.rename", {{"from", revision.name}, {"to", name}}), {next}, {}, {}};
}

Command change(const Contents& contents, const record::Revision& revision, const design::CellDesign& design,
               record::Millis now) {
    const Said what = wording::changeSaid(revision.design, design);
    record::Revision next = revision;
    next.design = design;
    if (contents.buildsOf(revision.id).empty()) {
        return {what, {next}, {}, {}};
    }
    next.id = notebook::newId();
    next.parent = revision.id;
    next.created = now;
    next.name = contents.freshName(revision.name);
    return {what,
            {next},
            Place{next.id, {}},
            Said("command.child-begins", {{"name", next.name}, {"change", std::vector<Said>{what}}})};
}

Command writeDown(const Contents& contents, const record::Revision& revision,
                  const record::Expectation& expectation, record::Millis now) {
    record::Build build;
    build.id = notebook::newId();
    build.revision = revision.id;
    const auto number = static_cast<std::int64_t>(contents.buildsOf(revision.id).size() + 1);
    build.name = wording::text(Said("name.build", {{"number", number}}));
    build.built = now;
    build.asBuilt = revision.design;
    build.expectation = expectation;
    return {Said("command.write-down", {{"build", build.name}, {"design", revision.name}}),
            {build},
            Place{revision.id, build.id},
            {}};
}

Command changeAsBuilt(const record::Build& build, const design::CellDesign& built,
                      const record::Expectation& expectation) {
    record::Build next = build;
    next.asBuilt = built;
    next.expectation = expectation;
    const std::vector<Said> change{wording::changeSaid(build.asBuilt, built)};
    return {Said("command.as-built", {{"change", change}}), {next}, {}, {}};
}

Command setAside(const record::Revision& revision, bool aside, const Place& at) {
    record::Revision next = revision;
    next.setAside = aside;
    return {asideSaid("design", aside, next.name),
            {next},
            aside && at.revision == revision.id ? Place{} : at,
            {}};
}

Command setAside(const record::Build& build, bool aside, const Place& at) {
    record::Build next = build;
    next.setAside = aside;
    return {asideSaid("build", aside, next.name),
            {next},
            aside && at.build == build.id ? Place{at.revision, {}} : at,
            {}};
}

Command setAside(const record::RunHeader& run, bool aside) {
    record::RunHeader next = run;
    next.setAside = aside;
    return {asideSaid("run", aside, next.name), {next}, {}, {}};
}

Command note(const record::Id& build, std::vector<record::Reading> readings) {
    Command command;
    std::vector<Said> words;
    for (record::Reading& reading : readings) {
        reading.id = notebook::newId();
        reading.build = build;
        words.push_back(wording::readingSaid(reading));
        command.changes.emplace_back(std::move(reading));
    }
    command.said = Said("command.noted", {{"what", words}});
    return command;
}

Command note(const record::Id& build, record::Event event) {
    event.id = notebook::newId();
    event.build = build;
    return {Said("command.noted-event", {{"text", event.text}}), {event}, {}, {}};
}

Command correct(const record::Reading& from, const record::Reading& to) {
    return {Said("command.corrected", {{"from", std::vector<Said>{wording::readingSaid(from)}},
                                       {"to", std::vector<Said>{wording::readingSaid(to)}}}),
            {to},
            {},
            {}};
}

Command strikeOut(const record::Reading& reading, bool out) {
    record::Reading next = reading;
    next.struckOut = out;
    return {Said(out ? "command.struck-out" : "command.struck-back",
                 {{"what", std::vector<Said>{wording::readingSaid(reading)}}}),
            {next},
            {},
            {}};
}

Said importSaid(const record::RunHeader& run) {
    return {"command.import", {{"name", run.name}}};
}

Command put(record::Document document, Said said) {
    if (document.id.empty()) {
        document.id = notebook::newId();
    }
    return {std::move(said), {std::move(document)}, {}, {}};
}

} // namespace anodex::app::commands
