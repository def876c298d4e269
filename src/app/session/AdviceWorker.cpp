#include "app/session/AdviceWorker.h"

#include <QMetaObject>

namespace anodex::app {
namespace {

constexpr int kPauseMilliseconds = 300; // after the ranges, when the hand rests
constexpr std::size_t kShown = 5;

} // namespace

AdviceWorker::AdviceWorker(const chemistry::Catalogue& catalogue, QObject* parent)
    : QObject(parent), m_catalogue(catalogue) {
    m_pause.setSingleShot(true);
    m_pause.setInterval(kPauseMilliseconds);
    connect(&m_pause, &QTimer::timeout, this, &AdviceWorker::start);
}

AdviceWorker::~AdviceWorker() {
    m_thread.request_stop();
}

void AdviceWorker::request(const cell::CellDesign& design, shelf::RankBy by) {
    m_thread.request_stop();
    m_wanted = Wanted{design, by};
    m_pause.start();
}

void AdviceWorker::start() {
    m_thread = std::jthread([this, wanted = *m_wanted](const std::stop_token& stop) {
        const auto changes = shelf::helpfulChanges(m_catalogue, wanted.design, wanted.by, kShown, stop);
        if (changes) {
            QMetaObject::invokeMethod(
                this, [this, design = wanted.design, found = *changes] { emit finished(design, found); },
                Qt::QueuedConnection);
        }
    });
}

} // namespace anodex::app
