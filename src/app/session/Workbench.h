// src/app/session/Workbench.h - the parts of a session put together: what is stored, what is at hand, what is
// in hand.
//
// Store      the notebook and its contents; commands are values that run() hands to it.
// Draft      the design in hand; it is settled into a command by whatever comes next, or by itself after
//            800 ms of quiet.
// Telling    one signal says what changed; a view listens to the parts it shows.
#pragma once
#include "app/session/Draft.h"
#include "app/session/NotebookFiles.h"
#include "app/session/RunImport.h"
#include "app/session/RunReader.h"
#include "app/session/Selection.h"
#include "app/session/Store.h"
#include <QObject>
#include <QTimer>

namespace anodex::app {

class Workbench : public QObject {
    Q_OBJECT
public:
    Workbench(const chemistry::Catalogue& catalogue, Services services, QObject* parent = nullptr);
    ~Workbench() override;

    [[nodiscard]] const Services& services() const { return m_services; }
    [[nodiscard]] Store& store() { return m_store; }
    [[nodiscard]] NotebookFiles& files() { return m_files; }
    [[nodiscard]] RunImport& runImport() { return m_import; }
    [[nodiscard]] Draft& draft() { return m_draft; }
    [[nodiscard]] const Selection& selection() const { return m_selection; }
    [[nodiscard]] const Contents& contents() const { return m_store.contents(); }
    [[nodiscard]] const chemistry::Catalogue& catalogue() const { return m_store.catalogue().current(); }
    [[nodiscard]] const CatalogueHandle& catalogueHandle() const { return m_store.catalogue().handle(); }
    /// The voltage of a run over seconds, as far as a picture so many pixels wide shows it.
    [[nodiscard]] notebook::Answer<std::vector<run::CurveSample>> voltageCurve(const record::Id& run,
                                                                               std::size_t pixels);

    void selectRevision(const record::Id& id);
    void selectBuild(const record::Id& id);
    /// Narrows the notebook to that project, and designs that begin to it; none: all of them.
    void selectProject(const record::Id& id);

    /// What is in hand is settled first; the first command makes a notebook. What came of it is told.
    bool run(const Command& command);
    void undo();
    void redo();
    /// As the notebook was once this entry of its history stood; see Store.
    void travelTo(std::int64_t entry);

    // --- what takes the design in hand ---
    /// What is in hand becomes a command; an unusable design is refused and what is stored shown again.
    void settle();
    /// change() of the draft and settle() in one.
    void edit(const design::CellDesign& design);
    void startDesign(const design::CellDesign& design);
    void writeDownBuild();
    /// What differed as built, with the expectation of that; the problem in a line when it cannot be used.
    QString changeAsBuilt(const design::CellDesign& built);
    void toggleHold();
    /// Samples of the build at hand, stored between other things.
    bool importRun(const QString& name, record::Millis started,
                   std::shared_ptr<const record::RunSamples> samples);

signals:
    void changed(anodex::app::Parts parts);
    void said(const QString& text);    ///< One line that answers a command.
    void refused(const QString& text); ///< One line: what, where, what would be right.
    void moved(const QString& text);   ///< The file is not where it was; writeBack() mends it.
    void damaged(const QString& path, const QString& text); ///< rescue() takes what can be read.

private:
    void connectParts();
    void follow(Parts parts, const std::optional<Place>& after);
    void showSelection();
    /// Nothing when the model cannot work it out, which is said.
    [[nodiscard]] std::optional<record::Expectation> expectationOf(const Outcome& outcome);
    void reportFault(const QString& law);
    [[nodiscard]] bool refusesNow();
    void answer(const base::Said& said);

    Services m_services;
    Store m_store;
    Selection m_selection;
    Draft m_draft;
    RunReader m_runReader;
    RunImport m_import;
    NotebookFiles m_files;
    QTimer m_quiet;
};

/// Calls `renew` of a view when one of these parts changed.
template <typename View> void onChange(Workbench& bench, View* view, Parts parts, void (View::*renew)()) {
    QObject::connect(&bench, &Workbench::changed, view, [=](Parts changed) {
        if (changed & parts) {
            (view->*renew)();
        }
    });
}

} // namespace anodex::app
