// src/app/session/FileJobs.h - slow work on notebook files, aside: copies, the full check, restoring,
// rescuing.
//
// One job at a time, each over a connection of its own; a new check takes the place of one that runs.
#pragma once
#include "notebook/Copies.h"
#include <QObject>
#include <QString>
#include <thread>

namespace anodex::app {

class FileJobs : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;
    ~FileJobs() override;

    void check(const QString& notebook);
    void copy(const QString& from, const QString& to);
    void rescue(const QString& damaged, const QString& fresh);
    void restore(const QString& notebook, const QString& backup);
    /// Waits for what cannot be stopped and lets go of every file.
    void stop();

signals:
    /// Faults in plain words; none when the notebook is sound.
    void checked(const QString& notebook, const QStringList& faults);
    /// `problem` is one line; empty when it was done.
    void copied(const QString& to, const QString& problem);
    void rescued(const QString& fresh, const QStringList& lost, const QString& problem);
    void restored(const QString& notebook, const QString& keptAs, const QString& problem);

private:
    template <typename Work> void begin(const Work& work);

    std::jthread m_thread;
};

} // namespace anodex::app
