// src/app/session/Workbench.h - what is open, what is at hand, and every command on it.
//
// Selection  a revision is always at hand when the notebook has one; a build may be.
// Drafts     while a value is dragged or typed, draft() shows its result; settle() writes one command. A
//            draft is settled by itself after 800 ms of quiet.
// Aside      results of work aside never touch the draft; they own the catalogue they stand on.
// Children   the first edit after a build begins a child revision by itself.
#pragma once
#include "app/session/CatalogueBook.h"
#include "app/session/Contents.h"
#include "app/session/DoubtWorker.h"
#include "app/session/FileJobs.h"
#include "app/session/Outcome.h"
#include "app/session/RunReader.h"
#include "app/session/Services.h"
#include "notebook/Notebook.h"
#include <QObject>
#include <QTimer>
#include <optional>

namespace anodex::app {

class Workbench : public QObject {
    Q_OBJECT
public:
    Workbench(const chemistry::Catalogue& catalogue, Services services, QObject* parent = nullptr);
    ~Workbench() override;

    // --- file (WorkbenchFile.cpp) ---
    bool openNotebook(const QString& path, bool create);
    /// A fresh copy of a notebook that travels inside the program; it goes when it is left.
    bool openDemo(const QString& resource);
    [[nodiscard]] bool hasNotebook() const { return m_notebook.has_value(); }
    [[nodiscard]] QString notebookPath() const;
    [[nodiscard]] bool isDemo() const { return !m_demoFolder.isEmpty(); }
    /// Everything as it stands into a new file, aside; then that file is open.
    void keepAs(const QString& path);
    /// Everything as it stands into a new file, aside; what is open stays.
    void saveCopy(const QString& path);
    /// The open notebook to where it stood, or beside what stands there now; then what could not be kept is
    /// tried again.
    void writeBack();
    /// `backup` in the place of the open notebook, aside.
    void restoreFrom(const QString& backup);
    /// What can be read of a damaged notebook into a new file beside it, aside; then that file is open.
    void rescue(const QString& damaged);

    // --- what is there ---
    /// The shipped one with the notebook's own entries.
    [[nodiscard]] const chemistry::Catalogue& catalogue() const { return m_catalogue.current(); }
    [[nodiscard]] const CatalogueHandle& catalogueHandle() const { return m_catalogue.handle(); }
    [[nodiscard]] const CatalogueBook& catalogueBook() const { return m_catalogue; }
    [[nodiscard]] const Services& services() const { return m_services; }
    [[nodiscard]] const std::vector<record::Project>& projects() const { return m_contents.projects; }
    [[nodiscard]] const std::vector<record::Revision>& revisions() const { return m_contents.revisions; }
    [[nodiscard]] const std::vector<BuildSummary>& builds() const { return m_contents.builds; }
    [[nodiscard]] const std::vector<record::Document>& documents() const { return m_contents.documents; }
    [[nodiscard]] std::vector<const BuildSummary*> buildsOf(const record::Id& revision) const {
        return m_contents.buildsOf(revision);
    }
    /// Of the build at hand.
    [[nodiscard]] std::vector<record::Reading> readings() const;
    [[nodiscard]] std::vector<record::Event> events() const;
    /// Set aside or not.
    [[nodiscard]] std::vector<record::RunHeader> allRuns(const record::Id& build) const;
    [[nodiscard]] notebook::Answer<record::RunSamples> samples(const record::Id& run) const;
    /// Its voltage over seconds, as far as a picture so many pixels wide shows it.
    [[nodiscard]] notebook::Answer<std::vector<run::CurveSample>> voltageCurve(const record::Id& run,
                                                                               std::size_t pixels) const;

    // --- what is at hand ---
    [[nodiscard]] const record::Revision* revision() const { return m_contents.revision(m_at.revision); }
    [[nodiscard]] const BuildSummary* build() const { return m_contents.build(m_at.build); }
    void selectRevision(const record::Id& id);
    void selectBuild(const record::Id& id);

    // --- the design at hand ---
    [[nodiscard]] const design::CellDesign& design() const { return m_outcome.design; }
    [[nodiscard]] const Outcome& outcome() const { return m_outcome; }
    /// The build at hand as it was built: the design's own outcome where nothing differed.
    [[nodiscard]] const Outcome& builtOutcome() const { return m_built ? *m_built : m_outcome; }
    /// The state to compare with: the pinned one, or the one before the last edit.
    [[nodiscard]] const std::optional<Outcome>& ghost() const { return m_pin ? m_pin : m_before; }
    [[nodiscard]] bool isHeld() const { return m_pin.has_value(); }
    void toggleHold();
    void draft(const design::CellDesign& design);
    void settle();
    void dropDraft();
    /// draft() and settle() in one.
    void edit(const design::CellDesign& design);

    // --- commands ---
    void startDesign(const design::CellDesign& design);
    void branchDesign();
    void renameRevision(const QString& name);
    void writeDownBuild();
    /// What differed as built, with the expectation of that; the problem in a line when it cannot be used.
    QString changeAsBuilt(const design::CellDesign& built);
    void setRevisionAside(const record::Id& id, bool aside);
    void setBuildAside(const record::Id& id, bool aside);
    void setRunAside(const record::RunHeader& run, bool aside);
    void addReading(record::Reading reading);
    /// Read at once: one command.
    void addReadings(std::vector<record::Reading> readings);
    void changeReading(const record::Reading& reading, const QString& sentence);
    void addEvent(record::Event event);
    bool importRun(const QString& name, record::Millis started, const record::RunSamples& samples,
                   const std::function<void(double)>& progress, const std::stop_token& stop);
    /// New when its id is empty or not known yet.
    bool putDocument(record::Document document, const QString& sentence);
    void undo();
    void redo();
    [[nodiscard]] std::vector<notebook::HistoryEntry> history() const;

    // --- remembered outside the history ---
    void remember(const QString& key, const QString& value);
    [[nodiscard]] QString remembered(const QString& key) const;
    void rememberMapping(const std::string& signature, const std::string& mapping);
    [[nodiscard]] std::string rememberedMapping(const std::string& signature) const;

signals:
    void designChanged();              ///< The design at hand or its evaluation.
    void doubtChanged();               ///< Ranges arrived.
    void contentChanged();             ///< Anything in the notebook or the selection.
    void said(const QString& text);    ///< One line that answers a command.
    void refused(const QString& text); ///< One line: what, where, what would be right.
    void moved(const QString& text);   ///< The file is not where it was; writeBack() mends it.
    void damaged(const QString& path, const QString& text); ///< rescue() takes what can be read.

private:
    /// What is at hand: by id, empty for none.
    struct Selection {
        record::Id revision;
        record::Id build;
    };
    /// A change the file did not take because it was not there.
    struct Pending {
        QString sentence;
        std::vector<notebook::Change> changes;
        Selection after;
    };
    void connectWorkers();
    void connectJobs();
    void letGoOfNotebook();
    void removeDemo();
    void tellHowItOpened();
    void foldWhenIdle();
    void reload();
    void showContents();
    void loadSelection();
    void evaluateBuilt();
    void identifyAll();
    void reevaluate(const design::CellDesign& design);
    /// What is at hand changes only once the change is kept.
    bool commit(const QString& sentence, const std::vector<notebook::Change>& changes);
    bool commit(const QString& sentence, const std::vector<notebook::Change>& changes,
                const Selection& after);
    bool ensureNotebook();
    /// Nothing when the model cannot work it out, which is said.
    [[nodiscard]] std::optional<record::Expectation> expectationOf(const Outcome& outcome);
    void report(const char* where, const notebook::NotebookError& error);
    void reportFault(const QString& law);
    [[nodiscard]] std::string orLogged(const notebook::Answer<std::string>& answer) const;

    CatalogueBook m_catalogue;
    Services m_services;
    std::optional<notebook::Notebook> m_notebook;
    QString m_demoFolder; ///< Of the copy that is open; empty when none is.
    std::optional<Pending> m_pending;
    Contents m_contents;
    Selection m_at;
    Outcome m_outcome;
    std::optional<Outcome> m_built; ///< Of a build that differs from its design.
    std::optional<Outcome> m_before;
    std::optional<Outcome> m_pin;
    std::optional<design::CellDesign> m_draft;
    DoubtWorker m_doubt;
    RunReader m_runReader;
    FileJobs m_jobs;
    QString m_openWhenCopied;
    int m_ticket = 0;
    QTimer m_quiet;
    QTimer m_idle; ///< Since the last change to the file.
};

} // namespace anodex::app
