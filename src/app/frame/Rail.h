// src/app/frame/Rail.h - the verdict rail: expected beside measured, each with its range, and the worst
// finding. Folded it is a strip of values and signs.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class Rail : public Picture {
    Q_OBJECT
public:
    Rail(Workbench& bench, const Theme& theme, QWidget* parent);

    /// Of the build as it was built, or of the design.
    void showBuilt(bool built);
    void setFolded(bool folded);
    [[nodiscard]] bool isFolded() const { return m_folded; }

signals:
    /// Or unfolded, by its own button.
    void folded();
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);
    void remedyAsked(const anodex::findings::Finding& finding);
    /// A place in the handbook.
    void pageAsked(const QString& place);

private:
    struct Row {
        QString id;
        QString name;
        explain::QuantityKey key;
        double value = 0.0;
        std::optional<base::Interval> range;
        std::optional<double> measured;
        std::optional<double> ghost;
        QString valueText;
        QString rangeText;
        QString measuredText;
        bool atLeast = false; ///< Measured is a lower bound.
    };

    void rebuild();
    [[nodiscard]] const Outcome& outcome() const;
    [[nodiscard]] std::vector<Row> rows() const;
    [[nodiscard]] static double rowHeight(const Row& row);
    void fillUnfolded(std::vector<PictureItem>& items);
    void fillFolded(std::vector<PictureItem>& items);
    [[nodiscard]] PictureItem foldButton() const;
    [[nodiscard]] PictureItem rowItem(const Row& row, const QRectF& area) const;
    double addRow(std::vector<PictureItem>& items, const Row& row, double y) const;
    double addShort(std::vector<PictureItem>& items, const Row& row, double y) const;
    double addSigns(std::vector<PictureItem>& items, double y) const;
    double addFinding(std::vector<PictureItem>& items, double y) const;
    double addOther(std::vector<PictureItem>& items, std::size_t index, double y) const;
    [[nodiscard]] PictureItem pageLink(const QRectF& area, const QString& title) const;
    void askPage(std::size_t finding);
    void paintRow(QPainter& painter, const Row& row, const QRectF& box) const;

    Workbench& m_bench;
    const Theme& m_theme;
    bool m_ofBuild = false;
    bool m_folded = false;
};

} // namespace anodex::app
