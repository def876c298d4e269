// src/app/views/compare/Compared.h - one of the versions that lie side by side: a build with what was expected and
// measured, or a design that was not built.
#pragma once
#include "app/session/Workbench.h"

#include <QString>
#include <array>
#include <optional>
#include <vector>

namespace anodex::app {

struct ComparedFigure {
    double expected = 0.0;
    std::optional<base::Interval> range; ///< None of a design that was not built.
    std::optional<double> measured;
    bool atLeast = false; ///< Measured is a lower bound.
};

/// In this order wherever they are told.
enum class ComparedQuantity { OpenCircuit, ShortCircuit, BestPower, Capacity, Resistance };
inline constexpr std::size_t kComparedQuantities = 5;

struct Compared {
    QString id;   ///< "build:ID" or "rev:ID".
    QString name; ///< Of the design, and of the build where it has several.
    QString when;
    design::CellDesign design; ///< As built.
    std::array<ComparedFigure, kComparedQuantities> figures;
    std::vector<cell::CurvePoint> curve; ///< Expected, from rest to short circuit.

    [[nodiscard]] const ComparedFigure& figure(ComparedQuantity quantity) const {
        return figures[static_cast<std::size_t>(quantity)];
    }
};

/// Ids of everything that can be compared: builds, and designs without one; oldest first, nothing set aside.
[[nodiscard]] std::vector<QString> comparable(const Contents& contents);
/// Nothing when it is gone, or the design cannot be used.
[[nodiscard]] std::optional<Compared> comparedOf(Workbench& bench, const QString& id);
/// "Jar 2 · build 1", without working anything out.
[[nodiscard]] QString comparedName(const Contents& contents, const QString& id);

/// "Open circuit".
[[nodiscard]] QString titleOf(ComparedQuantity quantity);
/// "1.02 V"
[[nodiscard]] QString comparedText(ComparedQuantity quantity, double value,
                                   const std::optional<base::Interval>& range = {});

} // namespace anodex::app
