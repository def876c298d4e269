// src/app/session/NotebookFiles.h - the notebook's file: opened, kept as, written back, restored, rescued.
//
// Slow work goes aside; what it comes to is told. Whatever is in hand is settled before a file is let go.
#pragma once
#include "app/session/FileJobs.h"
#include "app/session/Store.h"

namespace anodex::app {

class NotebookFiles : public QObject {
    Q_OBJECT
public:
    /// `settle` stores what is in hand; `free` is ready when nobody reads runs of the notebook any more.
    struct Hooks {
        std::function<void()> settle;
        std::function<std::shared_future<void>()> free;
    };
    /// The copy of an earlier state that is open to look at, and what is open again after it.
    struct Look {
        record::Millis when = 0;
        QString from;
        QString demoFolder; ///< Of what is open again, where that is a demo's copy.
    };
    NotebookFiles(Store& store, Services services, Hooks hooks, QObject* parent);

    bool open(const QString& path, bool create);
    /// A fresh copy of a notebook that travels inside the program; it goes when it is left.
    bool openDemo(const QString& resource);
    [[nodiscard]] bool isDemo() const { return !m_passing.folder.isEmpty() && !m_passing.look; }
    /// The notebook to open next time: not a copy that goes when it is left; empty for none.
    [[nodiscard]] QString lasting() const;
    /// What is open as it was once that entry of its history stood, which was at `when`: aside, a copy that
    /// goes when it is left and can only be read.
    void lookAt(std::int64_t entry, record::Millis when);
    [[nodiscard]] const std::optional<Look>& look() const { return m_passing.look; }
    /// From the look to what was open before it; false where that cannot be opened.
    bool back();
    /// True when a notebook is open; the first one is made where documents are kept.
    bool ensure();
    /// Everything as it stands into a new file, aside; then that file is open.
    void keepAs(const QString& path);
    /// Everything as it stands into a new file, aside; what is open stays.
    void saveCopy(const QString& path);
    /// As it was once this entry of its history stood.
    void saveCopyAsOf(const QString& path, std::int64_t entry);
    /// The open notebook to where it stood, or beside what stands there now; then what could not be kept is
    /// tried again.
    void writeBack();
    /// `backup` in the place of the open notebook, aside.
    void restoreFrom(const QString& backup);
    /// What can be read of a damaged notebook into a new file beside it, aside; then that file is open.
    void rescue(const QString& damaged);
    void letGo();

signals:
    void said(const QString& text);
    void refused(const QString& text);
    void damaged(const QString& path, const QString& text); ///< rescue() takes what can be read.
    void pendingAgain(const anodex::app::Command& command); ///< The file can take it now.

private:
    void connectJobs();
    /// A copy in a folder that goes when it is left; no folder for other notebooks.
    struct Passing {
        QString folder;
        std::optional<Look> look;
    };
    bool open(const QString& path, notebook::OpenMode mode, const Passing& passing);
    void showLook(const QString& copy);
    void tellHowItOpened();
    void removePassing();

    Store& m_store;
    Services m_services;
    Hooks m_hooks;
    FileJobs m_jobs;
    Passing m_passing;
    QString m_openWhenCopied;
    QString m_lookWhenCopied;
    record::Millis m_lookOf = 0;
};

} // namespace anodex::app
