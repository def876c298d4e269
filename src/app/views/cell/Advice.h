// src/app/views/cell/Advice.h - what would help most, a row each; a click makes it the design.
#pragma once
#include "app/session/AdviceWorker.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Advice : public Picture {
    Q_OBJECT
public:
    Advice(Workbench& bench, const Theme& theme, QWidget* parent);

private:
    void seek();
    void take(const design::CellDesign& design, const std::vector<shelf::Change>& changes);
    void activate(const QString& id);
    void rebuild();
    [[nodiscard]] PictureItem head(double across) const;
    [[nodiscard]] QString headText() const;
    [[nodiscard]] QString nameOf(const shelf::Change& change) const;
    [[nodiscard]] double rowHeight(const shelf::Change& change, double across) const;
    [[nodiscard]] PictureItem riskSwitch(const QRectF& head) const;
    [[nodiscard]] PictureItem row(std::size_t index, const QRectF& area) const;

    Workbench& m_bench;
    const Theme& m_theme;
    AdviceWorker m_worker;
    std::vector<shelf::Change> m_changes;
    bool m_seeking = true;
    std::size_t m_figure = 0; ///< Of the figures that can be asked for.
    bool m_riskyToo = false;
};

} // namespace anodex::app
