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
    NotebookFiles(Store& store, Services services, Hooks hooks, QObject* parent);

    bool open(const QString& path, bool create);
    /// A fresh copy of a notebook that travels inside the program; it goes when it is left.
    bool openDemo(const QString& resource);
    [[nodiscard]] bool isDemo() const { return !m_demoFolder.isEmpty(); }
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
    /// `demoFolder` is that of a demo's copy, empty for other notebooks.
    bool open(const QString& path, notebook::OpenMode mode, const QString& demoFolder);
    void tellHowItOpened();
    void removeDemo();

    Store& m_store;
    Services m_services;
    Hooks m_hooks;
    FileJobs m_jobs;
    QString m_demoFolder; ///< Of the copy that is open; empty when none is.
    QString m_openWhenCopied;
};

} // namespace anodex::app
