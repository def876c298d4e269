#include "app/session/LatestWork.h"

#include <utility>

namespace anodex::app {

LatestWork::LatestWork(int pauseMilliseconds) {
    m_pause.setSingleShot(true);
    m_pause.setInterval(pauseMilliseconds);
    QObject::connect(&m_pause, &QTimer::timeout, &m_pause, [this] { m_aside.begin(std::move(m_wanted)); });
}

void LatestWork::request(Aside::Work work) {
    cancel();
    m_wanted = std::move(work);
    m_pause.start();
}

void LatestWork::cancel() {
    m_aside.stop();
    m_pause.stop();
}

} // namespace anodex::app
