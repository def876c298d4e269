// The commands a user can give; Workbench.cpp holds what is open, what is at hand, and drafts.
#include "app/session/Workbench.h"

#include "core/base/Fault.h"
#include "core/design/Identify.h"
#include "core/record/Expect.h"
#include "formats/CellFile.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString text(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

} // namespace

void Workbench::startDesign(const design::CellDesign& design) {
    if (!ensureNotebook()) {
        return;
    }
    std::vector<notebook::Change> changes;
    record::Revision fresh;
    fresh.id = notebook::newId();
    fresh.created = m_services.now();
    fresh.name = design.name.empty() ? tr("First try").toStdString() : design.name;
    fresh.design = design;
    design::identify(catalogue(), fresh.design);
    if (m_contents.projects.empty()) {
        changes.push_back(record::Project{notebook::newId(), tr("My cells").toStdString(), m_services.now()});
        fresh.project = std::get<record::Project>(changes.front()).id;
    } else {
        fresh.project = revision() != nullptr ? revision()->project : m_contents.projects.front().id;
    }
    changes.push_back(fresh);
    commit(tr("New design %1").arg(text(fresh.name)), changes, {fresh.id, {}});
}

void Workbench::branchDesign() {
    settle();
    const record::Revision* at = revision();
    if (at == nullptr) {
        return;
    }
    record::Revision fresh = *at;
    fresh.id = notebook::newId();
    fresh.parent = at->id;
    fresh.created = m_services.now();
    fresh.name = m_contents.freshName(at->name);
    const QString sentence = tr("New line %1 from %2").arg(text(fresh.name), text(at->name));
    if (commit(sentence, {fresh}, {fresh.id, {}})) {
        emit said(sentence);
    }
}

void Workbench::renameRevision(const QString& name) {
    settle();
    const record::Revision* at = revision();
    if (at == nullptr || name.trimmed().isEmpty() || text(at->name) == name.trimmed()) {
        return;
    }
    record::Revision next = *at;
    next.name = name.trimmed().toStdString();
    const QString sentence = tr("Renamed %1 to %2").arg(text(at->name), name.trimmed());
    if (commit(sentence, {next})) {
        emit said(sentence);
    }
}

std::optional<record::Expectation> Workbench::expectationOf(const Outcome& outcome) {
    try {
        // Written down for good: with the curve, and with the ranges awaited here rather than guessed.
        const chemistry::Catalogue& from = *outcome.catalogue;
        const cell::Evaluation evaluation = cell::evaluate(from, *outcome.cell);
        const cell::Doubt doubt =
            outcome.doubt ? *outcome.doubt : cell::estimateDoubt(from, *outcome.cell, evaluation).value();
        return record::expectationOf(from.version, evaluation, doubt);
    } catch (const base::Fault& fault) {
        reportFault(QString::fromLatin1(fault.law()));
        return std::nullopt;
    }
}

void Workbench::writeDownBuild() {
    settle();
    const record::Revision* at = revision();
    if (at == nullptr || !m_outcome.usable()) {
        emit refused(tr("There is no design to build yet: choose two electrodes and a liquid first"));
        return;
    }
    record::Build build;
    build.id = notebook::newId();
    build.revision = at->id;
    build.name = tr("build %1").arg(buildsOf(at->id).size() + 1).toStdString();
    build.built = m_services.now();
    build.asBuilt = at->design;
    const auto expectation = expectationOf(m_outcome);
    if (!expectation) {
        return;
    }
    build.expectation = *expectation;
    const QString sentence = tr("Wrote down %1 of %2").arg(text(build.name), text(at->name));
    if (commit(sentence, {build}, {at->id, build.id})) {
        emit said(sentence);
    }
}

QString Workbench::changeAsBuilt(const design::CellDesign& built) {
    settle();
    if (build() == nullptr || build()->build.asBuilt == built) {
        return {};
    }
    const Outcome outcome = outcomeOf(catalogueHandle(), built);
    if (!outcome.usable()) {
        return text(outcome.problem);
    }
    const auto expectation = expectationOf(outcome);
    if (!expectation) {
        return tr("What to expect of it could not be worked out");
    }
    record::Build next = build()->build;
    const QString sentence = tr("As built: %1").arg(text(wording::changeLine(next.asBuilt, built)));
    next.asBuilt = outcome.design; // with the ids of its names
    next.expectation = *expectation;
    if (commit(sentence, {next})) {
        emit said(sentence);
    }
    return {};
}

void Workbench::setRevisionAside(const record::Id& id, bool aside) {
    settle();
    const auto found = std::find_if(m_contents.revisions.begin(), m_contents.revisions.end(),
                                    [&](const record::Revision& r) { return r.id == id; });
    if (found == m_contents.revisions.end()) {
        return;
    }
    record::Revision next = *found;
    next.setAside = aside;
    const QString sentence =
        aside ? tr("Set aside %1").arg(text(next.name)) : tr("Brought back %1").arg(text(next.name));
    if (commit(sentence, {next}, aside && m_at.revision == id ? Selection{} : m_at)) {
        emit said(sentence);
    }
}

void Workbench::setBuildAside(const record::Id& id, bool aside) {
    settle();
    const auto found = std::find_if(m_contents.builds.begin(), m_contents.builds.end(),
                                    [&](const BuildSummary& b) { return b.build.id == id; });
    if (found == m_contents.builds.end()) {
        return;
    }
    record::Build next = found->build;
    next.setAside = aside;
    const QString sentence =
        aside ? tr("Set aside %1").arg(text(next.name)) : tr("Brought back %1").arg(text(next.name));
    if (commit(sentence, {next}, aside && m_at.build == id ? Selection{m_at.revision, {}} : m_at)) {
        emit said(sentence);
    }
}

void Workbench::setRunAside(const record::RunHeader& run, bool aside) {
    record::RunHeader next = run;
    next.setAside = aside;
    const QString sentence = aside ? tr("Set aside the run %1").arg(text(next.name))
                                   : tr("Brought back the run %1").arg(text(next.name));
    if (commit(sentence, {next})) {
        emit said(sentence);
    }
}

void Workbench::addReading(record::Reading reading) {
    addReadings({std::move(reading)});
}

void Workbench::addReadings(std::vector<record::Reading> readings) {
    if (build() == nullptr || readings.empty()) {
        return;
    }
    std::vector<notebook::Change> changes;
    QStringList words;
    for (record::Reading& reading : readings) {
        reading.id = notebook::newId();
        reading.build = m_at.build;
        words << text(wording::readingSentence(reading));
        changes.emplace_back(reading);
    }
    const QString sentence = tr("Noted %1").arg(words.join(QStringLiteral(" · ")));
    if (commit(sentence, changes)) {
        emit said(sentence);
    }
}

void Workbench::changeReading(const record::Reading& reading, const QString& sentence) {
    if (commit(sentence, {reading})) {
        emit said(sentence);
    }
}

void Workbench::addEvent(record::Event event) {
    if (build() == nullptr) {
        return;
    }
    event.id = notebook::newId();
    event.build = m_at.build;
    const QString sentence = tr("Noted \"%1\"").arg(text(event.text));
    if (commit(sentence, {event})) {
        emit said(sentence);
    }
}

bool Workbench::importRun(const QString& name, record::Millis started, const record::RunSamples& samples,
                          const std::function<void(double)>& progress, const std::stop_token& stop) {
    settle();
    if (build() == nullptr) {
        return false;
    }
    record::RunHeader run;
    run.id = notebook::newId();
    run.build = m_at.build;
    run.name = name.toStdString();
    run.started = started;
    const QString sentence = tr("Added the run %1").arg(name);
    m_services.log->command("import");
    const auto done =
        m_notebook->importRun(sentence.toStdString(), m_services.now(), run, samples, progress, stop);
    m_idle.start();
    if (!done) {
        report("import", done.error());
        return false;
    }
    m_contents.digests[run.id] = digestOf(run::sourceOf(samples)); // in hand: it need not be read again
    reload();
    emit said(sentence);
    return true;
}

void Workbench::undo() {
    settle();
    if (!m_notebook) {
        return;
    }
    m_services.log->command("undo");
    const auto done = m_notebook->undo();
    m_idle.start();
    if (!done) {
        report("undo", done.error());
        return;
    }
    m_before.reset();
    reload();
    emit said(done->empty() ? tr("Nothing left to undo") : tr("Undone: %1").arg(text(*done)));
}

void Workbench::redo() {
    settle();
    if (!m_notebook) {
        return;
    }
    m_services.log->command("redo");
    const auto done = m_notebook->redo();
    m_idle.start();
    if (!done) {
        report("redo", done.error());
        return;
    }
    m_before.reset();
    reload();
    emit said(done->empty() ? tr("Nothing left to redo") : tr("Redone: %1").arg(text(*done)));
}

bool Workbench::putDocument(record::Document document, const QString& sentence) {
    if (document.id.empty()) {
        document.id = notebook::newId();
    }
    return commit(sentence, {document});
}

} // namespace anodex::app
