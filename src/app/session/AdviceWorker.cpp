#include "app/session/AdviceWorker.h"

#include <QMetaObject>

namespace anodex::app {
namespace {

constexpr int kPauseMilliseconds = 300; // after the ranges, when the hand rests
constexpr std::size_t kShown = 5;

} // namespace

AdviceWorker::AdviceWorker(QObject* parent) : QObject(parent), m_work(kPauseMilliseconds) {}

void AdviceWorker::request(const chemistry::Catalogue& catalogue, const cell::CellDesign& design,
                           shelf::RankBy by) {
    m_work.request([this, &catalogue, design, by](const std::stop_token& stop) {
        const auto changes = shelf::helpfulChanges(catalogue, design, by, kShown, stop);
        if (changes) {
            QMetaObject::invokeMethod(
                this, [this, design, found = *changes] { emit finished(design, found); },
                Qt::QueuedConnection);
        }
    });
}

} // namespace anodex::app
