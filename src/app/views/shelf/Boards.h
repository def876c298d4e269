// src/app/views/shelf/Boards.h - what the builder owns, drawn on boards: plates, jars, bottles, sheets,
// boxes. A click takes a thing off.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/shelf/OwnedText.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Boards : public Picture {
    Q_OBJECT
public:
    Boards(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] const std::vector<OwnedThing>& things() const { return m_things; }

signals:
    void takenOff(std::size_t thing);

private:
    void rebuild();
    [[nodiscard]] PictureItem drawn(std::size_t index, const QRectF& area) const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::vector<OwnedThing> m_things;
};

} // namespace anodex::app
