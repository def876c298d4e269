#include "app/session/Store.h"

#include "core/design/Identify.h"
#include "notebook/Travel.h"
#include "wording/ErrorText.h"

#include <iterator>

namespace anodex::app {
namespace {

constexpr int kIdleMilliseconds = 1000;
constexpr int kLookMilliseconds = 1000;

/// "commit revision build": kinds, never contents.
std::string kindsOf(const std::vector<notebook::Change>& changes) {
    constexpr const char* kKinds[] = {"project", "revision", "build", "reading", "event", "run", "document"};
    static_assert(std::size(kKinds) == std::variant_size_v<notebook::Change>);
    std::string words = "commit";
    for (const notebook::Change& change : changes) {
        words += std::string(" ") + kKinds[change.index()];
    }
    return words;
}

Parts partsOf(const std::vector<notebook::Change>& changes) {
    constexpr Part kParts[] = {Part::Revisions, Part::Revisions, Part::Builds,   Part::Notes,
                               Part::Notes,     Part::Runs,      Part::Documents};
    static_assert(std::size(kParts) == std::variant_size_v<notebook::Change>);
    Parts parts;
    for (const notebook::Change& change : changes) {
        parts |= kParts[change.index()];
    }
    return parts;
}

} // namespace

Store::Store(const chemistry::Catalogue& shipped, Services services, QObject* parent)
    : QObject(parent), m_catalogue(shipped), m_services(std::move(services)) {
    m_idle.setSingleShot(true);
    m_idle.setInterval(kIdleMilliseconds);
    m_look.setInterval(kLookMilliseconds);
    connect(&m_idle, &QTimer::timeout, this, &Store::foldWhenIdle);
    connect(&m_look, &QTimer::timeout, this, &Store::lookForOthers);
}

QString Store::path() const {
    return m_notebook ? QString::fromStdString(m_notebook->path()) : QString();
}

void Store::take(notebook::Notebook notebook, Contents contents) {
    m_notebook.emplace(std::move(notebook));
    m_contents = std::move(contents);
    if (const auto count = m_notebook->changesOfOthers()) {
        m_changesOfOthers = *count;
    }
    settleContents(kContent);
    m_idle.start();
    m_look.start();
}

void Store::letGo() {
    if (m_notebook) {
        emit closing();
    }
    m_idle.stop();
    m_look.stop();
    m_notebook.reset();
    m_pending.reset();
    m_growing.clear();
}

/// What an earlier version of the program kept by name alone is known by its id from here on.
void Store::identifyAll() {
    for (record::Revision& revision : m_contents.revisions) {
        design::identify(m_catalogue.current(), revision.design);
    }
    for (BuildSummary& summary : m_contents.builds) {
        design::identify(m_catalogue.current(), summary.build.asBuilt);
    }
}

void Store::settleContents(Parts parts, const std::optional<Place>& after) {
    if (parts & Part::Documents) {
        QString fault;
        m_catalogue.use(m_contents.documents, fault);
        if (!fault.isEmpty()) {
            emit refused(tr("An own entry of the catalogue is left out: %1").arg(fault));
        }
    }
    identifyAll();
    emit changed(parts, after);
}

void Store::reload() {
    for (const notebook::NotebookError& problem : m_contents.load(*m_notebook)) {
        report("load", problem);
    }
    settleContents(kContent & ~Parts(Part::File));
}

bool Store::apply(const Command& command) {
    m_services.log->command(kindsOf(command.changes));
    const auto done = m_notebook->commit(command.said, m_services.now(), command.changes);
    m_idle.start();
    if (!done) {
        if (done.error().code == notebook::NotebookError::Code::Moved) {
            m_pending = command;
        }
        report("commit", done.error());
        reload();
        return false;
    }
    adopt(command.changes, command.after);
    return true;
}

void Store::adopt(const std::vector<notebook::Change>& changes, const std::optional<Place>& after) {
    m_contents.apply(changes);
    settleContents(partsOf(changes), after);
}

std::optional<base::Said> Store::step(const char* name, notebook::Answer<notebook::Step> done) {
    m_idle.start();
    if (!done) {
        report(name, done.error());
        return std::nullopt;
    }
    m_contents.apply(done->now);
    const Parts gone = m_contents.remove(done->gone);
    if (const Parts touched = partsOf(done->now) | gone) {
        settleContents(touched);
    }
    return done->said;
}

std::optional<base::Said> Store::undo() {
    m_services.log->command("undo");
    return step("undo", m_notebook->undo());
}

std::optional<base::Said> Store::redo() {
    m_services.log->command("redo");
    return step("redo", m_notebook->redo());
}

std::optional<int> Store::travelTo(std::int64_t entry) {
    m_services.log->command("travel");
    m_idle.start();
    Parts touched;
    const auto steps = notebook::travelTo(*m_notebook, entry, [&](const notebook::Step& step) {
        m_contents.apply(step.now);
        touched |= partsOf(step.now) | m_contents.remove(step.gone);
    });
    if (touched) {
        settleContents(touched);
    }
    if (!steps) {
        report("travel", steps.error());
        return std::nullopt;
    }
    return *steps;
}

std::vector<notebook::HistoryEntry> Store::history() const {
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

notebook::StepsLeft Store::stepsLeft() const {
    if (!m_notebook) {
        return {};
    }
    const auto left = m_notebook->stepsLeft();
    if (!left) {
        m_services.log->error("history", codeName(left.error().code), left.error().sqlite);
        return {};
    }
    return *left;
}

void Store::takeDigests(const std::map<record::Id, RunDigestPointer>& digests) {
    for (const auto& [run, digest] : digests) {
        m_contents.take(run, digest);
    }
    emit changed(Part::Runs, std::nullopt);
}

void Store::lookForOthers() {
    const auto now = m_notebook->changesOfOthers();
    if (!now || (*now == m_changesOfOthers && m_growing.empty())) {
        return;
    }
    m_changesOfOthers = *now;
    std::vector<record::RunHeader> grown;
    for (const BuildSummary& summary : m_contents.builds) {
        const auto runs = m_notebook->runs(summary.build.id);
        if (!runs) {
            m_services.log->error("look", codeName(runs.error().code), runs.error().sqlite);
            return;
        }
        for (const record::RunHeader& run : *runs) {
            const auto& known = summary.allRuns;
            if (std::find(known.begin(), known.end(), run) == known.end()) {
                grown.push_back(run);
            }
        }
    }
    readWhatGrew(grown);
    if (!grown.empty()) {
        adopt(std::vector<notebook::Change>(grown.begin(), grown.end()));
    }
}

/// A run is read again when it is longer by a tenth, and once it grows no more: reading it each second would
/// never come to its end.
void Store::readWhatGrew(const std::vector<record::RunHeader>& grown) {
    std::map<record::Id, std::int64_t> growing;
    for (const record::RunHeader& run : grown) {
        const auto read = m_growing.find(run.id);
        std::int64_t length = read == m_growing.end() ? 0 : read->second;
        if (10 * run.samples >= 11 * length) {
            m_contents.readAgain(run.id);
            length = run.samples;
        }
        growing[run.id] = length;
    }
    for (const auto& [run, length] : m_growing) {
        if (growing.count(run) == 0) {
            m_contents.readAgain(run);
        }
    }
    const bool ended = growing.size() < m_growing.size();
    m_growing = std::move(growing);
    if (ended) {
        emit changed(Part::Runs, std::nullopt);
    }
}

void Store::foldWhenIdle() {
    if (m_notebook->readOnly()) {
        return;
    }
    if (const auto there = m_notebook->stillThere(); !there) {
        report("idle", there.error());
        return;
    }
    const auto folded = m_notebook->fold();
    if (!folded) {
        report("fold", folded.error());
    } else if (!*folded) {
        m_idle.start(); // a reader still needed the log
    }
}

void Store::report(const char* where, const notebook::NotebookError& error) {
    m_services.log->error(where, codeName(error.code), error.sqlite);
    const QString words = QString::fromStdString(wording::errorText(error));
    if (error.code == notebook::NotebookError::Code::Moved) {
        emit moved(words);
    } else {
        emit refused(words);
    }
}

/// What a view remembers is worth a line in the log when it fails, not one on the screen.
void Store::logUnless(const notebook::Answer<void>& done) {
    if (!done) {
        m_services.log->error("remember", codeName(done.error().code), done.error().sqlite);
    }
    m_idle.start();
}

void Store::remember(const QString& key, const QString& value) {
    if (m_notebook) {
        logUnless(m_notebook->remember(key.toStdString(), value.toStdString()));
    }
}
QString Store::remembered(const QString& key) const {
    return m_notebook ? QString::fromStdString(orLogged(m_notebook->remembered(key.toStdString())))
                      : QString();
}
void Store::rememberMapping(const std::string& signature, const std::string& mapping) {
    if (m_notebook) {
        logUnless(m_notebook->rememberMapping(signature, mapping));
    }
}
std::string Store::rememberedMapping(const std::string& signature) const {
    return m_notebook ? orLogged(m_notebook->rememberedMapping(signature)) : std::string();
}

std::string Store::orLogged(const notebook::Answer<std::string>& answer) const {
    if (!answer) {
        m_services.log->error("remembered", codeName(answer.error().code), answer.error().sqlite);
        return {};
    }
    return *answer;
}

} // namespace anodex::app
