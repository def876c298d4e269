#include "app/session/DoubtWorker.h"

#include "core/base/Fault.h"

namespace anodex::app {
namespace {

// While a handle moves, every frame brings another design; ranges wait for the hand to pause.
constexpr int kPauseMilliseconds = 50;
constexpr int kSamples = 200;

} // namespace

DoubtWorker::DoubtWorker(QObject* parent) : QObject(parent), m_work(kPauseMilliseconds) {}

void DoubtWorker::request(const Outcome& outcome, int ticket) {
    if (!outcome.usable()) {
        m_work.cancel();
        return;
    }
    m_work.request([this, catalogue = outcome.catalogue, cell = *outcome.cell,
                    evaluation = *outcome.evaluation,
                    ticket](const std::stop_token& stop, const Aside::Tell& tell) {
        try {
            const auto doubt = cell::estimateDoubt(*catalogue, cell, evaluation, {kSamples, 1, 1}, stop);
            if (doubt) {
                tell([this, ticket, result = *doubt] { emit finished(ticket, result); });
            }
        } catch (const base::Fault& fault) {
            tell([this, law = QString::fromLatin1(fault.law())] { emit faulted(law); });
        }
    });
}

} // namespace anodex::app
