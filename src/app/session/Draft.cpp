#include "app/session/Draft.h"

#include "core/design/Identify.h"

namespace anodex::app {

Draft::Draft(QObject* parent) : QObject(parent) {
    connect(&m_doubt, &DoubtWorker::finished, this, [this](int ticket, const cell::Doubt& doubt) {
        if (ticket == m_ticket) {
            m_outcome.doubt = doubt;
            emit doubtArrived();
        }
    });
    connect(&m_doubt, &DoubtWorker::faulted, this, &Draft::faulted);
}

void Draft::evaluate(const design::CellDesign& design) {
    m_outcome = outcomeOf(m_catalogue, design);
    m_doubt.request(m_outcome, ++m_ticket);
    emit changed();
}

void Draft::change(const design::CellDesign& design) {
    if (!m_pending) {
        m_before = m_outcome;
    }
    m_pending = true;
    design::CellDesign named = design;
    design::identify(*m_catalogue, named);
    evaluate(named);
    emit begun();
}

void Draft::drop() {
    if (m_pending) {
        m_pending = false;
        const design::CellDesign before = m_before->design;
        m_before.reset();
        evaluate(before);
    }
}

void Draft::toggleHold() {
    if (m_held) {
        m_held.reset();
    } else {
        m_held = m_outcome;
    }
    emit changed();
}

void Draft::show(const CatalogueHandle& catalogue, const record::Revision* revision,
                 const BuildSummary* build) {
    if (m_catalogue != catalogue) {
        // What was worked out before speaks of another catalogue's entries.
        m_catalogue = catalogue;
        m_before.reset();
        m_held.reset();
    }
    m_pending = false;
    const bool known = revision != nullptr && m_outcome.usable() && m_outcome.catalogue == catalogue &&
                       revision->design == m_outcome.design;
    if (revision != nullptr && !known) {
        evaluate(revision->design);
    }
    showBuilt(revision, build);
}

void Draft::showBuilt(const record::Revision* revision, const BuildSummary* build) {
    m_built.reset();
    if (build == nullptr || revision == nullptr || build->build.asBuilt == revision->design) {
        return;
    }
    m_built = outcomeOf(m_catalogue, build->build.asBuilt);
    // The ranges are those written down that day.
    const record::Expectation& then = build->build.expectation;
    m_built->doubt = cell::Doubt{};
    m_built->doubt->openCircuitVolts = then.openCircuitVolts.range;
    m_built->doubt->shortCircuitAmps = then.shortCircuitAmps.range;
    m_built->doubt->maximumWatts = then.maximumWatts.range;
    m_built->doubt->expectedCoulombs = then.capacityCoulombs.range;
    m_built->doubt->resistanceOhm = then.resistanceOhm.range;
}

} // namespace anodex::app
