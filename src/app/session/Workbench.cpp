// Length: every command a user can give stands here once, each a few lines; splitting them would scatter the
// rules for drafts and children over two files.
#include "app/session/Workbench.h"

#include "formats/CellFile.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"

#include <QDir>
#include <algorithm>
#include <array>
#include <unistd.h>

namespace anodex::app {
namespace {

constexpr int kQuietMilliseconds = 800;
constexpr const char* kModelVersion = "1";

QString text(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

std::string owner() {
    std::array<char, 128> host{};
    (void)gethostname(host.data(), host.size() - 1);
    return "process " + std::to_string(getpid()) + " on " + host.data();
}

template <typename T> T orEmpty(notebook::Answer<T> answer) {
    return answer ? std::move(*answer) : T{};
}

} // namespace

Workbench::Workbench(const chemistry::Catalogue& catalogue, Services services, QObject* parent)
    : QObject(parent), m_catalogue(catalogue), m_services(std::move(services)), m_doubt(catalogue) {
    m_quiet.setSingleShot(true);
    m_quiet.setInterval(kQuietMilliseconds);
    connect(&m_quiet, &QTimer::timeout, this, &Workbench::settle);
    connect(&m_doubt, &DoubtWorker::finished, this, [this](int ticket, const cell::Doubt& doubt) {
        if (ticket == m_ticket) {
            m_outcome.doubt = doubt;
            emit doubtChanged();
        }
    });
}

Workbench::~Workbench() {
    settle();
    if (m_notebook) {
        remember(QStringLiteral("revision"), text(m_revision));
        remember(QStringLiteral("build"), text(m_build));
    }
}

bool Workbench::openNotebook(const QString& path, bool create) {
    settle();
    auto opened = notebook::Notebook::open(
        path.toStdString(), create ? notebook::OpenMode::Create : notebook::OpenMode::Write, owner());
    if (!opened && opened.error().code == notebook::NotebookError::Code::ReadOnly) {
        opened = notebook::Notebook::open(path.toStdString(), notebook::OpenMode::Read);
    }
    if (!opened) {
        emit refused(path + QStringLiteral(": ") + text(wording::errorText(opened.error())));
        return false;
    }
    if (m_notebook) {
        remember(QStringLiteral("revision"), text(m_revision));
        remember(QStringLiteral("build"), text(m_build));
    }
    m_notebook.emplace(std::move(*opened));
    m_demo = false;
    m_before.reset();
    m_pin.reset();
    m_contents = {};
    m_revision = remembered(QStringLiteral("revision")).toStdString();
    m_build = remembered(QStringLiteral("build")).toStdString();
    reload();
    return true;
}

QString Workbench::notebookPath() const {
    return m_notebook ? text(m_notebook->path()) : QString();
}

void Workbench::reload() {
    if (const auto problem = m_contents.load(*m_notebook)) {
        report(*problem);
    }
    loadSelection();
    emit contentChanged();
}

void Workbench::loadSelection() {
    if (build() == nullptr) {
        m_build.clear();
    }
    if (build() != nullptr) {
        m_revision = build()->build.revision;
    }
    const bool unknown = revision() == nullptr;
    if (unknown) {
        const auto last = std::find_if(m_contents.revisions.rbegin(), m_contents.revisions.rend(),
                                       [](const record::Revision& r) { return !r.setAside; });
        m_revision = last == m_contents.revisions.rend() ? record::Id() : last->id;
        if (const auto builds = buildsOf(m_revision); !builds.empty()) {
            m_build = builds.back()->build.id;
        }
    }
    m_draft.reset();
    if (const record::Revision* at = revision();
        at != nullptr && !(at->design == m_outcome.design && m_outcome.usable())) {
        reevaluate(at->design);
    }
}

std::vector<record::Reading> Workbench::readings() const {
    return m_notebook && !m_build.empty() ? orEmpty(m_notebook->readings(m_build))
                                          : std::vector<record::Reading>();
}
std::vector<record::Event> Workbench::events() const {
    return m_notebook && !m_build.empty() ? orEmpty(m_notebook->events(m_build))
                                          : std::vector<record::Event>();
}
std::vector<record::RunHeader> Workbench::allRuns(const record::Id& build) const {
    return m_notebook ? orEmpty(m_notebook->runs(build)) : std::vector<record::RunHeader>();
}
record::RunSamples Workbench::samples(const record::Id& run) const {
    return m_notebook ? orEmpty(m_notebook->samples(run)) : record::RunSamples();
}
std::vector<bench::CurveSample> Workbench::outline(const record::Id& run, notebook::RunColumn column) const {
    return m_notebook ? orEmpty(m_notebook->outline(run, column)) : std::vector<bench::CurveSample>();
}

void Workbench::selectRevision(const record::Id& id) {
    settle();
    m_revision = id;
    m_build.clear();
    const auto builds = buildsOf(id);
    if (!builds.empty()) {
        m_build = builds.back()->build.id;
    }
    m_before.reset();
    loadSelection();
    emit contentChanged();
}

void Workbench::selectBuild(const record::Id& id) {
    settle();
    m_build = id;
    m_before.reset();
    loadSelection();
    emit contentChanged();
}

void Workbench::reevaluate(const cell::CellDesign& design) {
    m_outcome = outcomeOf(m_catalogue, design);
    m_doubt.request(m_outcome, ++m_ticket);
    emit designChanged();
}

void Workbench::toggleHold() {
    if (m_pin) {
        m_pin.reset();
    } else {
        m_pin = m_outcome;
    }
    emit said(m_pin ? tr("Held: every picture now compares with this state") : tr("Let go"));
    emit designChanged();
}

void Workbench::draft(const cell::CellDesign& design) {
    if (!m_draft) {
        m_before = m_outcome;
    }
    m_draft = design;
    reevaluate(design);
    m_quiet.start();
}

void Workbench::dropDraft() {
    m_quiet.stop();
    if (m_draft) {
        m_draft.reset();
        const record::Revision* at = revision();
        reevaluate(at != nullptr ? at->design : m_before->design);
        m_before.reset();
    }
}

void Workbench::edit(const cell::CellDesign& design) {
    draft(design);
    settle();
}

void Workbench::settle() {
    m_quiet.stop();
    if (!m_draft) {
        return;
    }
    const cell::CellDesign design = *m_draft;
    m_draft.reset();
    if (m_outcome.error) {
        emit refused(text(wording::errorText(formats::toFileError(*m_outcome.error))));
        const record::Revision* at = revision();
        if (at != nullptr) {
            reevaluate(at->design);
        }
        return;
    }
    const record::Revision* at = revision();
    if (at == nullptr) {
        startDesign(design);
        return;
    }
    if (at->design == design) {
        return;
    }
    record::Revision next = *at;
    next.design = design;
    const QString change = text(wording::changeLine(at->design, design));
    if (buildsOf(at->id).empty()) {
        if (commit(change, {next})) {
            emit said(change);
        }
        return;
    }
    // What was built stays as it was: a child begins.
    next.id = notebook::newId();
    next.parent = at->id;
    next.created = m_services.now();
    next.name = m_contents.freshName(at->name);
    m_revision = next.id;
    m_build.clear();
    if (commit(change, {next})) {
        emit said(tr("The last revision was built, so %1 begins: %2").arg(text(next.name), change));
    }
}

bool Workbench::ensureNotebook() {
    if (m_notebook) {
        return true;
    }
    QDir().mkpath(m_services.documentsFolder);
    QString path = m_services.documentsFolder + QStringLiteral("/cells.anodex");
    for (int number = 2; QFile::exists(path); ++number) {
        path = m_services.documentsFolder + QStringLiteral("/cells-%1.anodex").arg(number);
    }
    const Outcome kept = m_outcome;
    if (!openNotebook(path, true)) {
        return false;
    }
    m_outcome = kept;
    emit said(tr("Your notebook is kept in %1").arg(path));
    return true;
}

bool Workbench::commit(const QString& sentence, const std::vector<notebook::Change>& changes) {
    if (!ensureNotebook()) {
        return false;
    }
    const auto done = m_notebook->commit(sentence.toStdString(), m_services.now(), changes);
    if (!done) {
        report(done.error());
    }
    reload();
    return done.has_value();
}

void Workbench::report(const notebook::NotebookError& error) {
    emit refused(text(wording::errorText(error)));
}

void Workbench::startDesign(const cell::CellDesign& design) {
    if (!ensureNotebook()) {
        return;
    }
    std::vector<notebook::Change> changes;
    record::Revision fresh;
    fresh.id = notebook::newId();
    fresh.created = m_services.now();
    fresh.name = design.name.empty() ? tr("First try").toStdString() : design.name;
    fresh.design = design;
    if (m_contents.projects.empty()) {
        changes.push_back(record::Project{notebook::newId(), tr("My cells").toStdString(), m_services.now()});
        fresh.project = std::get<record::Project>(changes.front()).id;
    } else {
        fresh.project = revision() != nullptr ? revision()->project : m_contents.projects.front().id;
    }
    changes.push_back(fresh);
    m_revision = fresh.id;
    m_build.clear();
    commit(tr("New design %1").arg(text(fresh.name)), changes);
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
    m_revision = fresh.id;
    m_build.clear();
    if (commit(sentence, {fresh})) {
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

record::Expectation Workbench::expectationNow() const {
    record::Expectation expectation;
    expectation.modelVersion = kModelVersion;
    expectation.catalogueVersion = m_catalogue.version;
    const cell::Evaluation& evaluation = *m_outcome.evaluation;
    // Written down for good, so the ranges are awaited here rather than guessed.
    const cell::Doubt doubt = m_outcome.doubt
                                  ? *m_outcome.doubt
                                  : cell::estimateDoubt(m_catalogue, *m_outcome.cell, evaluation).value();
    expectation.openCircuitVolts = {evaluation.openCircuitVolts, doubt.openCircuitVolts};
    expectation.shortCircuitAmps = {evaluation.first.shortCircuitAmps, doubt.shortCircuitAmps};
    expectation.maximumWatts = {evaluation.first.maximumPower.watts, doubt.maximumWatts};
    expectation.capacityCoulombs = {evaluation.capacity.expectedCoulombs, doubt.expectedCoulombs};
    expectation.resistanceOhm = evaluation.resistance.totalOhm;
    return expectation;
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
    build.expectation = expectationNow();
    m_build = build.id;
    const QString sentence = tr("Wrote down %1 of %2").arg(text(build.name), text(at->name));
    if (commit(sentence, {build})) {
        emit said(sentence);
    }
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
    if (aside && m_revision == id) {
        m_revision.clear();
        m_build.clear();
    }
    if (commit(sentence, {next})) {
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
    if (aside && m_build == id) {
        m_build.clear();
    }
    if (commit(sentence, {next})) {
        emit said(sentence);
    }
}

void Workbench::addReading(record::Reading reading) {
    if (build() == nullptr) {
        return;
    }
    reading.id = notebook::newId();
    reading.build = m_build;
    const QString sentence = tr("Noted %1").arg(text(wording::readingSentence(reading)));
    if (commit(sentence, {reading})) {
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
    event.build = m_build;
    const QString sentence = tr("Noted \"%1\"").arg(text(event.text));
    if (commit(sentence, {event})) {
        emit said(sentence);
    }
}

bool Workbench::importRun(const QString& name, record::Millis started, const record::RunSamples& samples,
                          const std::function<void(double)>& progress, const std::stop_token& stop) {
    if (build() == nullptr) {
        return false;
    }
    record::RunHeader run;
    run.id = notebook::newId();
    run.build = m_build;
    run.name = name.toStdString();
    run.started = started;
    const QString sentence = tr("Added the run %1").arg(name);
    const auto done =
        m_notebook->importRun(sentence.toStdString(), m_services.now(), run, samples, progress, stop);
    if (!done) {
        report(done.error());
        return false;
    }
    reload();
    emit said(sentence);
    return true;
}

void Workbench::undo() {
    settle();
    if (!m_notebook) {
        return;
    }
    const auto done = m_notebook->undo();
    if (!done) {
        report(done.error());
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
    const auto done = m_notebook->redo();
    if (!done) {
        report(done.error());
        return;
    }
    m_before.reset();
    reload();
    emit said(done->empty() ? tr("Nothing left to redo") : tr("Redone: %1").arg(text(*done)));
}

std::vector<notebook::HistoryEntry> Workbench::history() const {
    return m_notebook ? orEmpty(m_notebook->history()) : std::vector<notebook::HistoryEntry>();
}

void Workbench::remember(const QString& key, const QString& value) {
    if (m_notebook) {
        (void)m_notebook->remember(key.toStdString(), value.toStdString());
    }
}
QString Workbench::remembered(const QString& key) const {
    return m_notebook ? text(orEmpty(m_notebook->remembered(key.toStdString()))) : QString();
}
void Workbench::rememberMapping(const std::string& signature, const std::string& mapping) {
    if (m_notebook) {
        (void)m_notebook->rememberMapping(signature, mapping);
    }
}
std::string Workbench::rememberedMapping(const std::string& signature) const {
    return m_notebook ? orEmpty(m_notebook->rememberedMapping(signature)) : std::string();
}

} // namespace anodex::app
