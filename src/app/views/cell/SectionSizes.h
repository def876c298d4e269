// src/app/views/cell/SectionSizes.h - the lengths and areas of a cell that can be dragged, stepped and typed.
#pragma once
#include "core/design/Cell.h"
#include "wording/Quantities.h"
#include <QString>
#include <vector>

namespace anodex::app {

struct SectionSize {
    QString id; ///< "gap", or a side and "area" or "thickness" joined by a point.
    QString name;
    double value = 0.0; ///< SI
    wording::Dimension dimension = wording::Dimension::Metre;
    double shownPerSi = 1e3;
    double least = 1e-5;
    double most = 1.0;
};

[[nodiscard]] std::vector<SectionSize> sizesOf(const design::Cell& cell);
[[nodiscard]] QString shownSize(const SectionSize& size);
/// The side an electrode's size belongs to.
[[nodiscard]] design::Side sideOf(const QString& id);
/// A new thickness forgets a mass that was given for the old one.
[[nodiscard]] design::CellDesign withSize(design::CellDesign design, const QString& id, double value);

} // namespace anodex::app
