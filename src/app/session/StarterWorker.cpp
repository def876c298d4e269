#include "app/session/StarterWorker.h"

#include "core/base/Fault.h"

#include <utility>

namespace anodex::app {
namespace {

constexpr int kSamples = 100; // for a range in two digits

} // namespace

StarterWorker::StarterWorker(QObject* parent) : QObject(parent) {}

void StarterWorker::request(CatalogueHandle catalogue, std::vector<design::CellDesign> designs) {
    m_aside.begin([this, catalogue = std::move(catalogue),
                   designs = std::move(designs)](const std::stop_token& stop, const Aside::Tell& tell) {
        std::vector<Outcome> outcomes;
        for (const design::CellDesign& design : designs) {
            if (stop.stop_requested()) {
                return;
            }
            outcomes.push_back(outcomeOf(catalogue, design));
            const int index = static_cast<int>(outcomes.size()) - 1;
            tell([this, index, outcome = outcomes.back()] { emit finished(index, outcome); });
        }
        for (std::size_t i = 0; i < outcomes.size(); ++i) {
            Outcome& outcome = outcomes[i];
            try {
                if (outcome.usable()) {
                    outcome.doubt = cell::estimateDoubt(*catalogue, *outcome.cell, *outcome.evaluation,
                                                        {kSamples, 1, 1}, stop);
                }
            } catch (const base::Fault&) {
                continue; // the figure stands without its range
            }
            if (stop.stop_requested()) {
                return;
            }
            tell([this, index = static_cast<int>(i), outcome] { emit finished(index, outcome); });
        }
    });
}

} // namespace anodex::app
