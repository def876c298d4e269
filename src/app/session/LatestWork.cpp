#include "app/session/LatestWork.h"

#include <utility>

namespace anodex::app {

LatestWork::LatestWork(int pauseMilliseconds) {
    m_pause.setSingleShot(true);
    m_pause.setInterval(pauseMilliseconds);
    QObject::connect(&m_pause, &QTimer::timeout, &m_pause, [this] {
        m_thread = std::jthread([work = m_wanted](const std::stop_token& stop) { work(stop); });
    });
}

LatestWork::~LatestWork() {
    cancel();
}

void LatestWork::request(Work work) {
    cancel();
    m_wanted = std::move(work);
    m_pause.start();
}

void LatestWork::cancel() {
    m_thread.request_stop();
    m_pause.stop();
}

} // namespace anodex::app
