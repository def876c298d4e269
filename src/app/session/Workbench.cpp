#include "app/session/Workbench.h"

#include "formats/CellFile.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"

#include <QDir>
#include <algorithm>
#include <array>
#include <unistd.h>

namespace anodex::app {
namespace {

constexpr int kQuietMilliseconds = 800;

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
    : QObject(parent), m_catalogue(catalogue), m_services(std::move(services)) {
    m_quiet.setSingleShot(true);
    m_quiet.setInterval(kQuietMilliseconds);
    connect(&m_quiet, &QTimer::timeout, this, &Workbench::settle);
    connect(&m_doubt, &DoubtWorker::finished, this, [this](int ticket, const cell::Doubt& doubt) {
        if (ticket == m_ticket) {
            m_outcome.doubt = doubt;
            emit doubtChanged();
        }
    });
    connect(&m_runReader, &RunReader::finished, this,
            [this](const QString& run, const RunDigestPointer& digest) {
                m_contents.digests[run.toStdString()] = digest;
                reload();
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
    Contents contents;
    if (const auto problem = contents.load(*opened)) {
        emit refused(path + QStringLiteral(": ") + text(wording::errorText(*problem)));
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
    m_contents = std::move(contents);
    m_revision = remembered(QStringLiteral("revision")).toStdString();
    m_build = remembered(QStringLiteral("build")).toStdString();
    showContents();
    return true;
}

QString Workbench::notebookPath() const {
    return m_notebook ? text(m_notebook->path()) : QString();
}

void Workbench::reload() {
    if (const auto problem = m_contents.load(*m_notebook)) {
        report(*problem);
    }
    showContents();
}

void Workbench::showContents() {
    QString fault;
    if (m_catalogue.use(m_contents.documents, fault)) {
        // What was worked out before speaks of another catalogue's entries.
        m_before.reset();
        m_pin.reset();
    }
    if (!fault.isEmpty()) {
        emit refused(tr("An own entry of the catalogue is left out: %1").arg(fault));
    }
    m_runReader.read(notebookPath(), m_contents.longRuns);
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
    evaluateBuilt();
}

void Workbench::evaluateBuilt() {
    m_built.reset();
    if (build() == nullptr || revision() == nullptr || build()->build.asBuilt == revision()->design) {
        return;
    }
    m_built = outcomeOf(catalogue(), build()->build.asBuilt);
    // The ranges are those written down that day.
    const record::Expectation& then = build()->build.expectation;
    m_built->doubt = cell::Doubt{};
    m_built->doubt->openCircuitVolts = then.openCircuitVolts.range;
    m_built->doubt->shortCircuitAmps = then.shortCircuitAmps.range;
    m_built->doubt->maximumWatts = then.maximumWatts.range;
    m_built->doubt->expectedCoulombs = then.capacityCoulombs.range;
    m_built->doubt->resistanceOhm = then.resistanceOhm.range;
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
    m_outcome = outcomeOf(catalogue(), design);
    m_doubt.request(catalogue(), m_outcome, ++m_ticket);
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
