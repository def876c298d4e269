// src/app/session/FileJobs.h - slow work on notebook files, aside: copies, the full check, restoring,
// rescuing.
//
// Jobs one after another, each over a connection of its own; a new check takes the place of one that runs.
#pragma once
#include "app/session/Aside.h"
#include "notebook/Copies.h"
#include <QObject>
#include <QString>

namespace anodex::app {

class FileJobs : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;

    void check(const QString& notebook);
    void copy(const QString& from, const QString& to);
    /// As it was once this entry of its history stood.
    void copyAsOf(const QString& from, const QString& to, std::int64_t entry);
    void rescue(const QString& damaged, const QString& fresh);
    /// Begins when `free` is ready: nobody reads the notebook any more.
    void restore(const QString& notebook, const QString& backup, std::shared_future<void> free);
    /// A check of a notebook that is let go of is not wanted any more; what changes files goes on.
    void stopChecking();

signals:
    /// Faults in plain words; none when the notebook is sound.
    void checked(const QString& notebook, const QStringList& faults);
    /// `problem` is one line; empty when it was done.
    void copied(const QString& to, const QString& problem);
    void rescued(const QString& fresh, const QStringList& lost, const QString& problem);
    void restored(const QString& notebook, const QString& keptAs, const QString& problem);

private:
    Aside m_checks;
    Aside m_jobs;
};

} // namespace anodex::app
