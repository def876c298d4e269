// src/app/views/judge/Ledger.h - expected beside measured, row by row, each on its own range bar.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Ledger : public Picture {
    Q_OBJECT
public:
    Ledger(Workbench& bench, const Theme& theme, QWidget* parent);

    void rebuild();

signals:
    /// A figure of a run, which the design's evaluation knows nothing of.
    void explanationAsked(const QString& title, const anodex::explain::Explanation& explanation,
                          const QPoint& at);
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);

private:
    struct Row {
        QString id;
        QString name;
        std::optional<double> expected;
        std::optional<base::Interval> range;
        std::optional<double> measured;
        QString expectedText;
        QString measuredText;
        explain::QuantityKey key;
        bool atLeast = false; ///< Measured is a lower bound.
    };
    [[nodiscard]] std::vector<Row> rows() const;
    void paintRow(QPainter& painter, const Row& row, const QRectF& box) const;

    Workbench& m_bench;
    const Theme& m_theme;
};

} // namespace anodex::app
