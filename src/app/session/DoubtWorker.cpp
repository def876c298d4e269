#include "app/session/DoubtWorker.h"

#include <QMetaObject>

namespace anodex::app {

DoubtWorker::DoubtWorker(const chemistry::Catalogue& catalogue, QObject* parent)
    : QObject(parent), m_catalogue(catalogue) {}

DoubtWorker::~DoubtWorker() {
    m_thread.request_stop();
}

void DoubtWorker::request(const Outcome& outcome, int ticket) {
    m_thread.request_stop();
    if (!outcome.usable()) {
        return;
    }
    m_thread = std::jthread(
        [this, cell = *outcome.cell, evaluation = *outcome.evaluation, ticket](std::stop_token stop) {
            const auto doubt = cell::estimateDoubt(m_catalogue, cell, evaluation, {200, 1, 1}, stop);
            if (doubt) {
                QMetaObject::invokeMethod(
                    this, [this, ticket, result = *doubt] { emit finished(ticket, result); },
                    Qt::QueuedConnection);
            }
        });
}

} // namespace anodex::app
