#include "app/session/Workbench.h"

#include "core/design/Identify.h"
#include "formats/CellFile.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"

#include <algorithm>
#include <iterator>

namespace anodex::app {
namespace {

constexpr int kQuietMilliseconds = 800;
constexpr int kIdleMilliseconds = 1000;

QString text(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

/// "commit revision build": kinds, never contents.
std::string commandOf(const std::vector<notebook::Change>& changes) {
    constexpr const char* kKinds[] = {"project", "revision", "build", "reading", "event", "run", "document"};
    static_assert(std::size(kKinds) == std::variant_size_v<notebook::Change>);
    std::string words = "commit";
    for (const notebook::Change& change : changes) {
        words += std::string(" ") + kKinds[change.index()];
    }
    return words;
}

} // namespace

Workbench::Workbench(const chemistry::Catalogue& catalogue, Services services, QObject* parent)
    : QObject(parent), m_catalogue(catalogue), m_services(std::move(services)) {
    m_quiet.setSingleShot(true);
    m_quiet.setInterval(kQuietMilliseconds);
    m_idle.setSingleShot(true);
    m_idle.setInterval(kIdleMilliseconds);
    connect(&m_quiet, &QTimer::timeout, this, &Workbench::settle);
    connect(&m_idle, &QTimer::timeout, this, &Workbench::foldWhenIdle);
    connectWorkers();
    connectJobs();
}

Workbench::~Workbench() {
    settle();
    letGoOfNotebook();
}

void Workbench::connectWorkers() {
    connect(&m_doubt, &DoubtWorker::finished, this, [this](int ticket, const cell::Doubt& doubt) {
        if (ticket == m_ticket) {
            m_outcome.doubt = doubt;
            emit doubtChanged();
        }
    });
    connect(&m_doubt, &DoubtWorker::faulted, this, &Workbench::reportFault);
    connect(&m_runReader, &RunReader::finished, this,
            [this](const QString& run, const RunDigestPointer& digest, const QString& problem) {
                m_contents.take(run.toStdString(), digest);
                if (!problem.isEmpty()) {
                    m_services.log->error("read run", "damaged");
                    emit refused(problem);
                }
                emit contentChanged();
            });
}

/// What an earlier version of the program kept by name alone is known by its id from here on.
void Workbench::identifyAll() {
    for (record::Revision& revision : m_contents.revisions) {
        design::identify(catalogue(), revision.design);
    }
    for (BuildSummary& summary : m_contents.builds) {
        design::identify(catalogue(), summary.build.asBuilt);
    }
}

void Workbench::reload() {
    for (const notebook::NotebookError& problem : m_contents.load(*m_notebook)) {
        report("load", problem);
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
    identifyAll();
    m_runReader.read(notebookPath(), m_contents.unreadRuns);
    loadSelection();
    emit contentChanged();
}

void Workbench::loadSelection() {
    if (build() == nullptr) {
        m_at.build.clear();
    }
    if (build() != nullptr) {
        m_at.revision = build()->build.revision;
    }
    const bool unknown = revision() == nullptr;
    if (unknown) {
        const auto last = std::find_if(m_contents.revisions.rbegin(), m_contents.revisions.rend(),
                                       [](const record::Revision& r) { return !r.setAside; });
        m_at.revision = last == m_contents.revisions.rend() ? record::Id() : last->id;
        if (const auto builds = buildsOf(m_at.revision); !builds.empty()) {
            m_at.build = builds.back()->build.id;
        }
    }
    m_draft.reset();
    if (const record::Revision* at = revision();
        at != nullptr &&
        !(at->design == m_outcome.design && m_outcome.usable() && m_outcome.catalogue == catalogueHandle())) {
        reevaluate(at->design);
    }
    evaluateBuilt();
}

void Workbench::evaluateBuilt() {
    m_built.reset();
    if (build() == nullptr || revision() == nullptr || build()->build.asBuilt == revision()->design) {
        return;
    }
    m_built = outcomeOf(catalogueHandle(), build()->build.asBuilt);
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
    return build() != nullptr ? build()->readings : std::vector<record::Reading>();
}
std::vector<record::Event> Workbench::events() const {
    return build() != nullptr ? build()->events : std::vector<record::Event>();
}
std::vector<record::RunHeader> Workbench::allRuns(const record::Id& id) const {
    const BuildSummary* summary = m_contents.build(id);
    return summary != nullptr ? summary->allRuns : std::vector<record::RunHeader>();
}
notebook::Answer<record::RunSamples> Workbench::samples(const record::Id& run) const {
    return m_notebook ? m_notebook->samples(run) : record::RunSamples();
}
notebook::Answer<std::vector<run::CurveSample>> Workbench::voltageCurve(const record::Id& run,
                                                                        std::size_t pixels) const {
    std::vector<run::CurveSample> curve;
    if (!m_notebook) {
        return curve;
    }
    const auto span = m_notebook->span(run);
    if (!span) {
        return tl::unexpected(span.error());
    }
    const auto buckets = m_notebook->window(run, record::kVoltageChannel, span->first, span->second, pixels);
    if (!buckets) {
        return tl::unexpected(buckets.error());
    }
    for (const notebook::Bucket& bucket : *buckets) {
        curve.push_back({bucket.fromSeconds, bucket.high});
        if (bucket.toSeconds > bucket.fromSeconds) {
            curve.push_back({bucket.toSeconds, bucket.low});
        }
    }
    return curve;
}

void Workbench::selectRevision(const record::Id& id) {
    settle();
    m_at.revision = id;
    m_at.build.clear();
    const auto builds = buildsOf(id);
    if (!builds.empty()) {
        m_at.build = builds.back()->build.id;
    }
    m_before.reset();
    loadSelection();
    emit contentChanged();
}

void Workbench::selectBuild(const record::Id& id) {
    settle();
    m_at.build = id;
    m_before.reset();
    loadSelection();
    emit contentChanged();
}

void Workbench::reevaluate(const design::CellDesign& design) {
    m_outcome = outcomeOf(catalogueHandle(), design);
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

void Workbench::draft(const design::CellDesign& design) {
    if (!m_draft) {
        m_before = m_outcome;
    }
    m_draft = design;
    design::identify(catalogue(), *m_draft);
    reevaluate(*m_draft);
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

void Workbench::edit(const design::CellDesign& design) {
    draft(design);
    settle();
}

void Workbench::settle() {
    m_quiet.stop();
    if (!m_draft) {
        return;
    }
    const design::CellDesign design = *m_draft;
    m_draft.reset();
    if (!m_outcome.usable()) {
        emit refused(text(m_outcome.problem));
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
    if (commit(change, {next}, {next.id, {}})) {
        emit said(tr("The last revision was built, so %1 begins: %2").arg(text(next.name), change));
    }
}

bool Workbench::commit(const QString& sentence, const std::vector<notebook::Change>& changes) {
    return commit(sentence, changes, m_at);
}

bool Workbench::commit(const QString& sentence, const std::vector<notebook::Change>& changes,
                       const Selection& after) {
    settle(); // what is in hand is kept first, whoever asks
    if (!ensureNotebook()) {
        return false;
    }
    m_services.log->command(commandOf(changes));
    const auto done = m_notebook->commit(sentence.toStdString(), m_services.now(), changes);
    if (done) {
        m_at = after;
        m_contents.apply(changes);
        showContents();
    } else {
        if (done.error().code == notebook::NotebookError::Code::Moved) {
            m_pending = Pending{sentence, changes, after};
        }
        report("commit", done.error());
        reload();
    }
    m_idle.start();
    return done.has_value();
}

void Workbench::report(const char* where, const notebook::NotebookError& error) {
    m_services.log->error(where, codeName(error.code), error.sqlite);
    const QString words = text(wording::errorText(error));
    if (error.code == notebook::NotebookError::Code::Moved) {
        emit moved(words);
    } else {
        emit refused(words);
    }
}

void Workbench::reportFault(const QString& law) {
    m_services.log->fault("model", law.toStdString());
    m_services.faulted(law);
    emit refused(
        tr("The ranges could not be worked out (%1): a fault of this program; the values themselves stand")
            .arg(law));
}

std::vector<notebook::HistoryEntry> Workbench::history() const {
    if (!m_notebook) {
        return {};
    }
    auto entries = m_notebook->history();
    if (!entries) {
        m_services.log->error("history", codeName(entries.error().code), entries.error().sqlite);
        return {};
    }
    return std::move(*entries);
}

// What a view remembers is worth a line in the log when it fails, not one on the screen.
void Workbench::remember(const QString& key, const QString& value) {
    if (!m_notebook) {
        return;
    }
    if (const auto done = m_notebook->remember(key.toStdString(), value.toStdString()); !done) {
        m_services.log->error("remember", codeName(done.error().code), done.error().sqlite);
    }
    m_idle.start();
}
QString Workbench::remembered(const QString& key) const {
    return m_notebook ? text(orLogged(m_notebook->remembered(key.toStdString()))) : QString();
}
void Workbench::rememberMapping(const std::string& signature, const std::string& mapping) {
    if (!m_notebook) {
        return;
    }
    if (const auto done = m_notebook->rememberMapping(signature, mapping); !done) {
        m_services.log->error("remember", codeName(done.error().code), done.error().sqlite);
    }
    m_idle.start();
}
std::string Workbench::rememberedMapping(const std::string& signature) const {
    return m_notebook ? orLogged(m_notebook->rememberedMapping(signature)) : std::string();
}

std::string Workbench::orLogged(const notebook::Answer<std::string>& answer) const {
    if (!answer) {
        m_services.log->error("remembered", codeName(answer.error().code), answer.error().sqlite);
        return {};
    }
    return *answer;
}

} // namespace anodex::app
