#include "app/session/DoubtWorker.h"

#include <QMetaObject>

namespace anodex::app {
namespace {

// While a handle moves, every frame brings another design; ranges wait for the hand to pause.
constexpr int kPauseMilliseconds = 50;
constexpr int kSamples = 200;

} // namespace

DoubtWorker::DoubtWorker(const chemistry::Catalogue& catalogue, QObject* parent)
    : QObject(parent), m_catalogue(catalogue) {
    m_pause.setSingleShot(true);
    m_pause.setInterval(kPauseMilliseconds);
    connect(&m_pause, &QTimer::timeout, this, &DoubtWorker::start);
}

DoubtWorker::~DoubtWorker() {
    m_thread.request_stop();
}

void DoubtWorker::request(const Outcome& outcome, int ticket) {
    m_thread.request_stop();
    m_wanted.reset();
    m_pause.stop();
    if (outcome.usable()) {
        m_wanted = Wanted{*outcome.cell, *outcome.evaluation, ticket};
        m_pause.start();
    }
}

void DoubtWorker::start() {
    m_thread = std::jthread([this, wanted = *m_wanted](const std::stop_token& stop) {
        const auto doubt =
            cell::estimateDoubt(m_catalogue, wanted.cell, wanted.evaluation, {kSamples, 1, 1}, stop);
        if (doubt) {
            QMetaObject::invokeMethod(
                this, [this, ticket = wanted.ticket, result = *doubt] { emit finished(ticket, result); },
                Qt::QueuedConnection);
        }
    });
}

} // namespace anodex::app
