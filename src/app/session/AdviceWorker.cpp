#include "app/session/AdviceWorker.h"

#include "core/base/Fault.h"

namespace anodex::app {
namespace {

constexpr int kPauseMilliseconds = 300; // after the ranges, when the hand rests

} // namespace

AdviceWorker::AdviceWorker(QObject* parent) : QObject(parent), m_work(kPauseMilliseconds) {}

void AdviceWorker::request(CatalogueHandle catalogue, const design::CellDesign& design,
                           const shelf::HelpOptions& options) {
    m_work.request([this, from = std::move(catalogue), design, options](const std::stop_token& stop,
                                                                        const Aside::Tell& tell) {
        std::optional<std::vector<shelf::Change>> changes;
        try {
            changes = shelf::helpfulChanges(*from, design, options, stop);
        } catch (const base::Fault&) {
            changes.emplace(); // the design itself is beyond the model, which its own evaluation says
        }
        if (changes) {
            tell([this, design, found = *changes] { emit finished(design, found); });
        }
    });
}

} // namespace anodex::app
