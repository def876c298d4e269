// src/app/session/Draft.h - the design in hand, what the model says of it, and what it is compared with.
//
// While a value is dragged or typed, change() shows its result; nothing is stored before the Workbench settles
// it. The point answer is there at once, the ranges arrive a moment later and carry the catalogue they stand
// on.
#pragma once
#include "app/session/Contents.h"
#include "app/session/DoubtWorker.h"
#include "app/session/Outcome.h"
#include <QObject>
#include <optional>

namespace anodex::app {

class Draft : public QObject {
    Q_OBJECT
public:
    explicit Draft(QObject* parent);

    [[nodiscard]] const design::CellDesign& design() const { return m_outcome.design; }
    [[nodiscard]] const Outcome& outcome() const { return m_outcome; }
    /// The build at hand as it was built: the design's own outcome where nothing differed.
    [[nodiscard]] const Outcome& builtOutcome() const { return m_built ? *m_built : m_outcome; }
    /// The state to compare with: the held one, or the one before the last edit.
    [[nodiscard]] const std::optional<Outcome>& ghost() const { return m_held ? m_held : m_before; }
    [[nodiscard]] bool isHeld() const { return m_held.has_value(); }
    [[nodiscard]] bool isPending() const { return m_pending; }

    void change(const design::CellDesign& design);
    /// What was changed and not stored is forgotten.
    void drop();
    /// The design is being stored as it stands.
    void settled() { m_pending = false; }
    void toggleHold();

    /// Shows what is stored: of this revision and build, by this catalogue.
    void show(const CatalogueHandle& catalogue, const record::Revision* revision, const BuildSummary* build);
    /// The state before the last edit is that of something else.
    void dropBefore() { m_before.reset(); }
    void dropHeld() { m_held.reset(); }

signals:
    void changed();      ///< The design or its evaluation.
    void doubtArrived(); ///< Ranges of what is shown.
    void begun();        ///< change() was called: it waits to be settled.
    void faulted(const QString& law);

private:
    void evaluate(const design::CellDesign& design);
    void showBuilt(const record::Revision* revision, const BuildSummary* build);

    CatalogueHandle m_catalogue;
    Outcome m_outcome;
    std::optional<Outcome> m_built; ///< Of a build that differs from its design.
    std::optional<Outcome> m_before;
    std::optional<Outcome> m_held;
    bool m_pending = false;
    DoubtWorker m_doubt;
    int m_ticket = 0;
};

} // namespace anodex::app
