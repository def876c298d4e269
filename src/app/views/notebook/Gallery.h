// src/app/views/notebook/Gallery.h - every starter cell drawn to its own scale, with what to expect of it, what it
// teaches, and its worst danger.
#pragma once
#include "app/session/StarterWorker.h"
#include "app/session/Starters.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"

#include <vector>

namespace anodex::app {

class Gallery : public Picture {
    Q_OBJECT
public:
    enum class Order { ByFamily, FewestThingsFirst, OnMyShelfFirst };

    Gallery(Workbench& bench, const Theme& theme, QWidget* parent);

    void setOrder(Order order);
    /// Instead of the starters.
    void show(std::vector<Starter> cells);

signals:
    void starterChosen(const anodex::design::CellDesign& design);

protected:
    /// Whatever is still being worked out makes way for the cell that was chosen.
    void hideEvent(QHideEvent* event) override;

private:
    /// Starters that stand under one heading.
    struct Group {
        QString heading;
        std::vector<std::size_t> starters;
    };
    [[nodiscard]] std::vector<Group> groups() const;
    void rebuild();
    void askForFigures();
    [[nodiscard]] PictureItem heading(const QString& text, const QRectF& area) const;
    [[nodiscard]] PictureItem card(std::size_t index, const QRectF& area) const;
    void paintCard(QPainter& painter, std::size_t index, const QRectF& area) const;
    void paintCell(QPainter& painter, const Outcome& outcome, const QRectF& room) const;
    /// "0.89–1.11 V · 0.6–1.3 mA shorted"; empty until it is known.
    [[nodiscard]] QString figures(const Outcome& outcome) const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::vector<Starter> m_starters; ///< Or what is shown instead.
    StarterWorker m_worker;
    CatalogueHandle m_asked; ///< The figures are of this catalogue.
    std::vector<Outcome> m_outcomes;
    Order m_order = Order::ByFamily;
};

} // namespace anodex::app
