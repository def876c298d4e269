// src/app/views/cell/Strips.h - what sets the current (ohms as lengths) and what runs out (ampere-hours as
// bars).
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Strips : public Picture {
    Q_OBJECT
public:
    Strips(Workbench& bench, const Theme& theme, QWidget* parent);

signals:
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);

private:
    struct Bar {
        QString id;
        QString name;
        QString value;
        double length = 0.0; ///< 0..1
        bool marked = false;
        QColor colour;
        explain::QuantityKey key;
    };

    void rebuild();
    [[nodiscard]] std::vector<Bar> currentBars() const;
    [[nodiscard]] std::vector<Bar> reagentBars() const;
    /// Answers where the next block may begin.
    double addBars(std::vector<PictureItem>& items, const QString& title, const std::vector<Bar>& bars,
                   const QPointF& corner, double each) const;

    Workbench& m_bench;
    const Theme& m_theme;
};

} // namespace anodex::app
