// src/app/session/RunImport.h - a run stored piece by piece between whatever else the window does.
//
// Nothing of it is there before the last piece; stopped, failed, or with another notebook opened meanwhile,
// nothing is left of it.
#pragma once
#include "app/session/Store.h"
#include <memory>

namespace anodex::app {

class RunImport : public QObject {
    Q_OBJECT
public:
    RunImport(Store& store, Services services, QObject* parent);

    /// Of the build that the header names. Begins at once; one at a time: another is refused meanwhile.
    bool start(record::RunHeader run, std::shared_ptr<const record::RunSamples> samples);
    [[nodiscard]] bool isBusy() const { return m_samples != nullptr; }
    void stop();

signals:
    void progressed(double share);
    /// `stored` is false when it was stopped or failed, which is told by the store.
    void finished(const anodex::record::RunHeader& run, bool stored);

private:
    void next();
    void drop();
    void finish();
    void leave(bool stored);

    Store& m_store;
    Services m_services;
    record::RunHeader m_run;
    std::shared_ptr<const record::RunSamples> m_samples;
    std::size_t m_from = 0;
    QTimer m_timer;
};

} // namespace anodex::app
