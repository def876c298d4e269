// src/app/views/cell/Section.h - a cut through the cell, drawn to scale with a ruler; sizes are handles and
// fields.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/cell/SectionLayout.h"
#include "app/views/cell/SectionSizes.h"
#include "app/widgets/picture/Picture.h"

namespace anodex::app {

class NumberField;

class Section : public Picture {
    Q_OBJECT
public:
    Section(Workbench& bench, const Theme& theme, QWidget* parent);

signals:
    void refused(const QString& text);
    void partAsked(const QString& id, const QPoint& at);
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);

private:
    void rebuild();
    [[nodiscard]] QRectF room(bool stacked) const;
    [[nodiscard]] std::vector<SectionSize> sizes() const;
    [[nodiscard]] std::optional<SectionSize> sizeOf(const QString& id) const;
    void set(const QString& id, double value, bool settle);
    void drag(const QString& id, const QPointF& distance, bool finished);
    void step(const QString& id, int steps);
    void ask(const QString& id);
    void addElectrode(std::vector<PictureItem>& items, design::Side side) const;
    [[nodiscard]] QStringList besides(const design::Electrode& electrode) const;
    /// Numbers of a part that open to how they were found, apart from the part itself.
    static void addFacts(std::vector<PictureItem>& items, const QString& id, const PictureItem& of,
                         const QRectF& area, explain::Quantity quantity, design::Side side);
    void addLiquid(std::vector<PictureItem>& items, design::Side side) const;
    void addLiquidFacts(std::vector<PictureItem>& items, design::Side side) const;
    void addBarrier(std::vector<PictureItem>& items) const;
    void addHandle(std::vector<PictureItem>& items, const SectionSize& size, const QRectF& label,
                   PictureItem::Drag drag, const std::function<void(QPainter&)>& mark) const;
    void addGapHandle(std::vector<PictureItem>& items, const SectionSize& size) const;
    void addElectrodeHandle(std::vector<PictureItem>& items, const SectionSize& size) const;
    void paintWall(QPainter& painter, design::Side side, double openShare) const;
    void paintLead(QPainter& painter, design::Side side) const;
    [[nodiscard]] double leadX(design::Side side) const;
    [[nodiscard]] std::vector<findings::Finding> findingsOn(findings::FindingPart part) const;
    [[nodiscard]] QPointF markFor(findings::FindingPart part) const;
    void addFindings(std::vector<PictureItem>& items) const;
    [[nodiscard]] QString asBuilt(const SectionSize& size) const;

    Workbench& m_bench;
    const Theme& m_theme;
    NumberField* m_field;
    QString m_asked;
    double m_dragFrom = 0.0;
    bool m_dragging = false;
    SectionLayout m_layout;
};

} // namespace anodex::app
