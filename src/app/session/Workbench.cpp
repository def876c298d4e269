#include "app/session/Workbench.h"

#include "app/session/Commands.h"
#include "core/base/Fault.h"
#include "core/design/Identify.h"
#include "core/record/Expect.h"
#include "wording/Texts.h"

namespace anodex::app {
namespace {

constexpr int kQuietMilliseconds = 800;

QString text(const std::string& utf8) {
    return QString::fromStdString(utf8);
}

} // namespace

Workbench::Workbench(const chemistry::Catalogue& catalogue, Services services, QObject* parent)
    : QObject(parent), m_services(std::move(services)), m_store(catalogue, m_services, this),
      m_selection(m_store.contents()), m_draft(this), m_import(m_store, m_services, this),
      m_files(m_store, m_services, {[this] { settle(); }, [this] { return m_runReader.ended(); }}, this) {
    m_quiet.setSingleShot(true);
    m_quiet.setInterval(kQuietMilliseconds);
    connect(&m_quiet, &QTimer::timeout, this, &Workbench::settle);
    connectParts();
    showSelection();
}

Workbench::~Workbench() {
    settle();
    m_files.letGo();
    m_store.disconnect(this);
    m_draft.disconnect(this);
}

void Workbench::connectParts() {
    connect(&m_store, &Store::changed, this, &Workbench::follow);
    connect(&m_store, &Store::refused, this, &Workbench::refused);
    connect(&m_store, &Store::moved, this, &Workbench::moved);
    connect(&m_store, &Store::closing, this, [this] {
        m_store.remember(QStringLiteral("revision"), text(m_selection.place().revision));
        m_store.remember(QStringLiteral("build"), text(m_selection.place().build));
        m_runReader.stop();
    });
    connect(&m_files, &NotebookFiles::said, this, &Workbench::said);
    connect(&m_files, &NotebookFiles::refused, this, &Workbench::refused);
    connect(&m_files, &NotebookFiles::damaged, this, &Workbench::damaged);
    connect(&m_files, &NotebookFiles::pendingAgain, this, &Workbench::run);
    connect(&m_draft, &Draft::changed, this, [this] { emit changed(Part::Design); });
    connect(&m_draft, &Draft::doubtArrived, this, [this] { emit changed(Part::Doubt); });
    connect(&m_draft, &Draft::begun, &m_quiet, qOverload<>(&QTimer::start));
    connect(&m_draft, &Draft::begun, &m_runReader, &RunReader::giveWay);
    connect(&m_draft, &Draft::faulted, this, &Workbench::reportFault);
    connect(&m_runReader, &RunReader::finished, this, [this](const std::vector<ReadRun>& runs) {
        std::map<record::Id, RunDigestPointer> digests;
        for (const ReadRun& one : runs) {
            digests[one.run] = one.digest;
            if (!one.problem.isEmpty()) {
                m_services.log->error("read run", "damaged");
                emit refused(one.problem);
            }
        }
        m_store.takeDigests(digests);
    });
    connect(&m_import, &RunImport::finished, this, [this](const record::RunHeader& run, bool stored) {
        if (stored) {
            answer(commands::importSaid(run));
        }
    });
}

void Workbench::follow(Parts parts, const std::optional<Place>& after) {
    const Place before = m_selection.place();
    if (parts & Part::File) {
        m_draft.dropBefore();
        m_draft.dropHeld();
        m_selection.set({m_store.remembered(QStringLiteral("revision")).toStdString(),
                         m_store.remembered(QStringLiteral("build")).toStdString()});
    } else if (after) {
        m_selection.set(*after);
    } else {
        m_selection.follow();
    }
    if (!(m_selection.place() == before)) {
        parts |= Part::Place;
    }
    if (parts & (Part::Runs | Part::Builds | Part::File)) {
        m_runReader.read(m_store.path(), m_store.contents().unreadRuns);
    }
    if (parts & (Part::Place | Part::Revisions | Part::Builds | Part::Documents | Part::File)) {
        showSelection();
    }
    emit changed(parts);
}

void Workbench::showSelection() {
    m_quiet.stop();
    m_draft.show(catalogueHandle(), m_selection.revision(), m_selection.build());
}

void Workbench::selectRevision(const record::Id& id) {
    settle();
    m_selection.setRevision(id);
    m_draft.dropBefore();
    showSelection();
    emit changed(Part::Place);
}

void Workbench::selectProject(const record::Id& id) {
    m_selection.setProject(id);
    emit changed(Part::Revisions);
}

void Workbench::selectBuild(const record::Id& id) {
    settle();
    m_selection.set({m_selection.place().revision, id});
    m_draft.dropBefore();
    showSelection();
    emit changed(Part::Place);
}

notebook::Answer<std::vector<run::CurveSample>> Workbench::voltageCurve(const record::Id& run,
                                                                        std::size_t pixels) {
    std::vector<run::CurveSample> curve;
    const notebook::Notebook* notebook = m_store.notebook();
    if (notebook == nullptr) {
        return curve;
    }
    const auto span = notebook->span(run);
    if (!span) {
        return tl::unexpected(span.error());
    }
    const auto buckets = notebook->window(run, record::kVoltageChannel, span->first, span->second, pixels);
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

void Workbench::answer(const base::Said& said) {
    emit this->said(text(wording::text(said)));
}

/// An earlier state can only be looked at.
bool Workbench::refusesNow() {
    if (!m_files.look()) {
        return false;
    }
    showSelection();
    emit refused(tr("This is the notebook as it was: nothing can be changed here. Go back to now first, or "
                    "take the design along"));
    return true;
}

bool Workbench::run(const Command& command) {
    settle();
    if (refusesNow()) {
        return false;
    }
    const bool first = !m_store.isOpen();
    if (!m_files.ensure() || !m_store.apply(command)) {
        return false;
    }
    if (!first) { // where the notebook is kept was just told
        answer(command.answer.empty() ? command.said : command.answer);
    }
    return true;
}

void Workbench::undo() {
    settle();
    if (!m_store.isOpen() || refusesNow()) {
        return;
    }
    if (const auto done = m_store.undo()) {
        m_draft.dropBefore();
        answer(done->empty() ? base::Said("command.nothing-to-undo")
                             : base::Said("command.undone", {{"what", std::vector{*done}}}));
    }
}

void Workbench::redo() {
    settle();
    if (!m_store.isOpen() || refusesNow()) {
        return;
    }
    if (const auto done = m_store.redo()) {
        m_draft.dropBefore();
        answer(done->empty() ? base::Said("command.nothing-to-redo")
                             : base::Said("command.redone", {{"what", std::vector{*done}}}));
    }
}

void Workbench::travelTo(std::int64_t entry) {
    settle();
    if (!m_store.isOpen() || refusesNow()) {
        return;
    }
    if (const auto steps = m_store.travelTo(entry)) {
        m_draft.dropBefore();
        answer(base::Said("command.travelled", {{"steps", std::int64_t{*steps}}}));
    }
}

void Workbench::settle() {
    m_quiet.stop();
    if (!m_draft.isPending()) {
        return;
    }
    const design::CellDesign design = m_draft.design();
    m_draft.settled();
    if (!m_draft.outcome().usable()) {
        emit refused(text(m_draft.outcome().problem));
        showSelection();
        return;
    }
    const record::Revision* at = m_selection.revision();
    if (at == nullptr) {
        startDesign(design);
    } else if (!(at->design == design)) {
        run(commands::change(contents(), *at, design, m_services.now()));
    }
}

void Workbench::edit(const design::CellDesign& design) {
    m_draft.change(design);
    settle();
}

void Workbench::startDesign(const design::CellDesign& design) {
    settle();
    design::CellDesign named = design;
    design::identify(catalogue(), named);
    const record::Project* narrowed = m_selection.project();
    const record::Revision* at = m_selection.revision();
    const record::Id project = narrowed != nullptr ? narrowed->id
                               : at != nullptr     ? at->project
                                                   : record::Id();
    run(commands::begin(contents(), project, named, m_services.now()));
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
    const record::Revision* at = m_selection.revision();
    if (at == nullptr || !m_draft.outcome().usable()) {
        emit refused(tr("There is no design to build yet: choose two electrodes and a liquid first"));
        return;
    }
    if (const auto expectation = expectationOf(m_draft.outcome())) {
        run(commands::writeDown(contents(), *at, *expectation, m_services.now()));
    }
}

QString Workbench::changeAsBuilt(const design::CellDesign& built) {
    settle();
    const BuildSummary* at = m_selection.build();
    if (at == nullptr || at->build.asBuilt == built) {
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
    run(commands::changeAsBuilt(at->build, outcome.design, *expectation));
    return {};
}

void Workbench::toggleHold() {
    m_draft.toggleHold();
    emit said(m_draft.isHeld() ? tr("Held: every picture now compares with this state") : tr("Let go"));
}

bool Workbench::importRun(const QString& name, record::Millis started,
                          std::shared_ptr<const record::RunSamples> samples) {
    settle();
    if (m_selection.build() == nullptr || refusesNow()) {
        return false;
    }
    record::RunHeader run;
    run.id = notebook::newId();
    run.build = m_selection.place().build;
    run.name = name.toStdString();
    run.started = started;
    return m_import.start(run, std::move(samples));
}

void Workbench::reportFault(const QString& law) {
    m_services.log->fault("model", law.toStdString());
    m_services.faulted(law);
    emit refused(
        tr("The ranges could not be worked out (%1): a fault of this program; the values themselves stand")
            .arg(law));
}

} // namespace anodex::app
