// src/app/session/LatestWork.h - work done aside of the window: the latest request wins, older ones are
// stopped.
#pragma once
#include "app/session/Aside.h"
#include <QTimer>

namespace anodex::app {

class LatestWork {
public:
    /// Begins only after so long without another request.
    explicit LatestWork(int pauseMilliseconds);
    LatestWork(const LatestWork&) = delete;
    LatestWork& operator=(const LatestWork&) = delete;

    void request(Aside::Work work);
    void cancel();

private:
    Aside::Work m_wanted;
    Aside m_aside;
    QTimer m_pause;
};

} // namespace anodex::app
