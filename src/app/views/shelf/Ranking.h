// src/app/views/shelf/Ranking.h - the best cells the shelf allows, a row each, as they are found; a click
// makes one the design.
#pragma once
#include "app/session/ScreenWorker.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Ranking : public Picture {
    Q_OBJECT
public:
    Ranking(Workbench& bench, const Theme& theme, QWidget* parent);

    void show(const ScreenState& state, shelf::RankBy by);
    [[nodiscard]] const ScreenState& state() const { return m_state; }

signals:
    void chosen(const anodex::design::CellDesign& design);

private:
    void rebuild();
    void activate(const QString& id);
    [[nodiscard]] double foldWidth() const;
    [[nodiscard]] PictureItem row(const QString& id, const ScreenedCell& cell, const QRectF& area) const;
    /// Opens and closes what stands behind a row.
    [[nodiscard]] PictureItem fold(std::size_t index, const QRectF& row) const;
    [[nodiscard]] QString figureText(const ScreenedCell& cell) const;
    /// Of the best row, for the bar behind a figure.
    [[nodiscard]] double share(const ScreenedCell& cell) const;

    Workbench& m_bench;
    const Theme& m_theme;
    ScreenState m_state;
    std::optional<std::size_t> m_open; ///< The row whose other liquids are shown.
    shelf::RankBy m_by = shelf::RankBy::Voltage;
};

} // namespace anodex::app
