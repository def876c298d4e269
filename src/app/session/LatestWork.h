// src/app/session/LatestWork.h - work done aside of the window: the latest request wins, older ones are
// stopped.
#pragma once
#include <QTimer>
#include <functional>
#include <stop_token>
#include <thread>

namespace anodex::app {

class LatestWork {
public:
    using Work = std::function<void(const std::stop_token&)>;

    /// Begins only after so long without another request.
    explicit LatestWork(int pauseMilliseconds);
    ~LatestWork();
    LatestWork(const LatestWork&) = delete;
    LatestWork& operator=(const LatestWork&) = delete;

    void request(Work work);
    void cancel();

private:
    QTimer m_pause;
    Work m_wanted;
    std::jthread m_thread;
};

} // namespace anodex::app
