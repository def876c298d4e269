// src/app/views/cell/Whole.h - the whole cell to one scale, as it stands on the bench; the section beside it
// is the lens on its layers.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/WholeShape.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Whole : public Picture {
    Q_OBJECT
public:
    Whole(Workbench& bench, const Theme& theme, QWidget* parent);

private:
    void rebuild();
    void choose(const QPoint& at);
    void addPiece(std::vector<PictureItem>& items, std::size_t index, const WholePiece& piece) const;
    void paintRuler(QPainter& painter) const;
    [[nodiscard]] PictureItem title() const;

    Workbench& m_bench;
    const Theme& m_theme;
    double m_pixelsPerMm = 1.0;
};

} // namespace anodex::app
