// src/app/views/couple/Exchange.h - the cell at hand with another electrode in it, and what that changes.
#pragma once
#include "app/session/Outcome.h"
#include <QString>

namespace anodex::app {

/// With this material on that side, reached by air where that is its nature.
[[nodiscard]] design::CellDesign exchanged(design::CellDesign design, design::Side side,
                                           const chemistry::Material& material);

/// What an electrode makes of a cell.
struct Foretold {
    QString volts; ///< At rest; empty when the cell cannot be worked out.
    QString power; ///< The most it gives once it has settled.
    QString harm;  ///< The worst that comes of this electrode; empty when nothing does.
    findings::Severity severity = findings::Severity::Note;
};
[[nodiscard]] Foretold foretold(const Outcome& outcome, design::Side side);

/// In a few sentences: volts and power of both, warnings that come and that go.
[[nodiscard]] QString compared(const Outcome& now, const Outcome& then, design::Side side);

} // namespace anodex::app
