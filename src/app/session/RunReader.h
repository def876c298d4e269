// src/app/session/RunReader.h - runs read aside, over a connection of their own.
//
// Threads    read() and the signal belong to the window's thread; the samples are read on another.
#pragma once
#include "app/session/Aside.h"
#include "app/session/Contents.h"
#include <QObject>
#include <QString>
#include <QTimer>
#include <atomic>
#include <chrono>
#include <memory>
#include <vector>

namespace anodex::app {

/// A run once it is read.
struct ReadRun {
    record::Id run;
    RunDigestPointer digest; ///< Null when the run cannot be used.
    QString problem;         ///< Why it cannot, in a line; else empty.
};

class RunReader : public QObject {
    Q_OBJECT
public:
    explicit RunReader(QObject* parent = nullptr);

    /// These runs of that notebook and no others; asking for the same again changes nothing.
    void read(const QString& notebook, const std::vector<record::Id>& runs);
    /// Somebody edits: reading stands still for a moment, so that the edit has the machine to itself.
    void giveWay();
    /// What is being read is dropped; the file is let go of once ended() is ready.
    void stop();
    [[nodiscard]] std::shared_future<void> ended() const { return m_aside.ended(); }

signals:
    /// Those that arrived in one twentieth of a second: each time, what shows runs is drawn anew.
    void finished(const std::vector<anodex::app::ReadRun>& runs);

private:
    void arrive(const ReadRun& run);
    void drop();

    QString m_notebook;
    std::vector<record::Id> m_wanted; ///< Asked for and not arrived.
    std::shared_ptr<std::atomic<std::chrono::steady_clock::time_point>> m_resumes =
        std::make_shared<std::atomic<std::chrono::steady_clock::time_point>>();
    std::vector<ReadRun> m_arrived; ///< Read and not yet told.
    QTimer m_gather;
    Aside m_aside;
};

} // namespace anodex::app
