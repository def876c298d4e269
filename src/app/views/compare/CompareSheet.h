// src/app/views/compare/CompareSheet.h - versions side by side: what differs from the first, and each figure, expected
// and measured, on one scale.
#pragma once
#include "app/theme/Theme.h"
#include "app/views/compare/Compared.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class CompareSheet : public Picture {
    Q_OBJECT
public:
    CompareSheet(const Theme& theme, QWidget* parent);

    void show(std::vector<Compared> versions);
    /// Of a version, by its place in the order: as its curve is drawn.
    [[nodiscard]] QColor colourOf(std::size_t index) const;

private:
    void rebuild();
    [[nodiscard]] double widthForTitles() const;
    [[nodiscard]] QRectF cell(std::size_t column, double y, double height) const;
    double addHeads(std::vector<PictureItem>& items, double y) const;
    double addDifferences(std::vector<PictureItem>& items, double y) const;
    double addFigure(std::vector<PictureItem>& items, ComparedQuantity quantity, double y) const;
    void addTitle(std::vector<PictureItem>& items, const QString& title, double y) const;

    const Theme& m_theme;
    std::vector<Compared> m_versions;
    double m_titleWidth = 0.0; ///< px, of the column that says what is compared.
};

} // namespace anodex::app
