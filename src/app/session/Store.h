// src/app/session/Store.h - the open notebook and what it holds, kept alike; applies commands to both.
//
// Undo       updates what the step touched; nothing is read anew unless the file refused a change.
// Recorders  what another connection appends is noticed within a second; only the runs' lengths can differ.
#pragma once
#include "app/session/CatalogueBook.h"
#include "app/session/Command.h"
#include "app/session/Contents.h"
#include "app/session/Part.h"
#include "app/session/Services.h"
#include "notebook/Notebook.h"
#include <QObject>
#include <QTimer>
#include <optional>

namespace anodex::app {

class Store : public QObject {
    Q_OBJECT
public:
    Store(const chemistry::Catalogue& shipped, Services services, QObject* parent);

    [[nodiscard]] bool isOpen() const { return m_notebook.has_value(); }
    [[nodiscard]] QString path() const;
    [[nodiscard]] const Contents& contents() const { return m_contents; }
    /// The shipped catalogue with the notebook's own entries.
    [[nodiscard]] const CatalogueBook& catalogue() const { return m_catalogue; }
    /// For what contents() leave in the file; null when none is open.
    [[nodiscard]] notebook::Notebook* notebook() { return m_notebook ? &*m_notebook : nullptr; }

    void take(notebook::Notebook notebook, Contents contents);
    /// Closes the file, after telling so.
    void letGo();

    /// All of it or nothing. A change the file did not take because it was gone is kept for takePending().
    bool apply(const Command& command);
    /// A change that was made in the file already, by an import.
    void adopt(const std::vector<notebook::Change>& changes, const std::optional<Place>& after = {});
    /// What was undone or redone; empty when there was nothing; none when it could not be, which is told.
    std::optional<base::Said> undo();
    std::optional<base::Said> redo();
    /// The notebook as it was once this entry of history() stood; 0: before all of them. The number of steps.
    std::optional<int> travelTo(std::int64_t entry);
    [[nodiscard]] std::vector<notebook::HistoryEntry> history() const;
    /// What Undo and Redo could do.
    [[nodiscard]] notebook::StepsLeft stepsLeft() const;
    [[nodiscard]] std::optional<Command> takePending() { return std::exchange(m_pending, std::nullopt); }
    void takeDigests(const std::map<record::Id, RunDigestPointer>& digests);

    // Outside the history: where the window stood, how a logger's file is read.
    void remember(const QString& key, const QString& value);
    [[nodiscard]] QString remembered(const QString& key) const;
    void rememberMapping(const std::string& signature, const std::string& mapping);
    [[nodiscard]] std::string rememberedMapping(const std::string& signature) const;

    void report(const char* where, const notebook::NotebookError& error);

signals:
    /// `after` is what a command wants at hand.
    void changed(anodex::app::Parts parts, const std::optional<anodex::app::Place>& after);
    void closing();                    ///< The file is about to be let go.
    void refused(const QString& text); ///< One line: what, where, what would be right.
    void moved(const QString& text);   ///< The file is not where it was.

private:
    std::optional<base::Said> step(const char* name, notebook::Answer<notebook::Step> done);
    void reload();
    void settleContents(Parts parts, const std::optional<Place>& after = {});
    void identifyAll();
    void lookForOthers();
    void readWhatGrew(const std::vector<record::RunHeader>& grown);
    void foldWhenIdle();
    [[nodiscard]] std::string orLogged(const notebook::Answer<std::string>& answer) const;
    void logUnless(const notebook::Answer<void>& done);

    CatalogueBook m_catalogue;
    Services m_services;
    std::optional<notebook::Notebook> m_notebook;
    Contents m_contents;
    std::optional<Command> m_pending;
    std::int64_t m_changesOfOthers = 0;
    std::map<record::Id, std::int64_t> m_growing; ///< Runs being recorded, by their length when last read.
    QTimer m_idle;                                ///< Since the last change to the file.
    QTimer m_look;                                ///< For what a recorder appends.
};

} // namespace anodex::app
