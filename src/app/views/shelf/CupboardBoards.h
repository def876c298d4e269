// src/app/views/shelf/CupboardBoards.h - the cupboard drawn: a click ticks a thing onto the shelf, or off it.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/shelf/Cupboard.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class CupboardBoards : public Picture {
    Q_OBJECT
public:
    CupboardBoards(Workbench& bench, const Theme& theme, QWidget* parent);

signals:
    void toggled(const anodex::app::CupboardThing& thing);

private:
    void rebuild();
    [[nodiscard]] PictureItem drawn(const CupboardThing& thing, bool ticked, const QRectF& area) const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::vector<CupboardPlace> m_places;
};

} // namespace anodex::app
