// src/app/views/notebook/Timeline.h - every revision and build from left to right, as high as the chosen
// figure.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/notebook/TimelineScale.h"
#include "app/widgets/picture/Picture.h"

#include <array>
#include <map>

namespace anodex::app {

enum class Figure { OpenCircuit, ShortCircuit, BestPower, Capacity };

class Timeline : public Picture {
    Q_OBJECT
public:
    Timeline(Workbench& bench, const Theme& theme, QWidget* parent);

    void setFigure(Figure figure);
    /// Only designs that hold all the words, in name, family, metals or liquids.
    void setFilter(const QString& words);
    /// Only designs of this family; all when empty.
    void setFamily(const QString& family);
    [[nodiscard]] QSize minimumSizeHint() const override;

signals:
    void revisionChosen(const QString& id);
    void buildChosen(const QString& id);
    void beginAsked();
    void opened(const QString& id); ///< Double click or Enter on what is already chosen.

private:
    struct Mark {
        const BuildSummary* build = nullptr;
        double x = 0.0;
        double expected = 0.0;
        base::Interval range;
        std::optional<double> measured;
        bool atLeast = false; ///< Measured is a lower bound.
        bool crowded = false; ///< Another mark of the same revision stands to its right.
    };
    struct Column {
        const record::Revision* revision = nullptr;
        double x = 0.0;
        std::vector<Mark> marks;
        std::optional<double> expected; ///< Of a design that was not built.
        /// The build that got furthest, where the line of progress passes; nothing when none was built.
        [[nodiscard]] const Mark* best() const;
    };

    struct Unbuilt {
        CatalogueHandle catalogue; ///< None: not worked out yet.
        design::CellDesign design;
        std::optional<std::array<double, 4>> figures; ///< By Figure.
    };

    void rebuild();
    [[nodiscard]] bool isWanted(const record::Revision& revision) const;
    [[nodiscard]] std::vector<const record::Revision*> revisions() const;
    [[nodiscard]] std::optional<double> expectedOf(const record::Revision& revision) const;
    [[nodiscard]] std::vector<Column> columns() const;
    [[nodiscard]] Mark markOf(const BuildSummary& summary) const;
    [[nodiscard]] static double footHeight();
    [[nodiscard]] double columnWidth(std::size_t count) const;
    [[nodiscard]] double yOf(double value) const;
    [[nodiscard]] QString measuredWords(const Mark& mark) const;
    [[nodiscard]] QRectF measuredLabel(const Mark& mark) const;
    /// By the marks and their values.
    [[nodiscard]] std::vector<QRectF> takenBy(const std::vector<Column>& columns) const;
    [[nodiscard]] QRectF branchLabel(const QString& words, const QPointF& start, const QPointF& end,
                                     const std::vector<QRectF>& taken) const;
    void addBranch(std::vector<PictureItem>& items, const Column& from, const Column& to,
                   std::vector<QRectF>& taken) const;
    void addRevision(std::vector<PictureItem>& items, const Column& column, double width) const;
    void addMark(std::vector<PictureItem>& items, const Column& column, const Mark& mark) const;
    void addExpected(std::vector<PictureItem>& items, const Column& column) const;
    void addNothing(std::vector<PictureItem>& items) const;
    void paintLines(QPainter& painter) const;
    void paintNumbers(QPainter& painter) const;
    [[nodiscard]] QString shown(double value) const;
    [[nodiscard]] QString scaleText(double value) const;

    Workbench& m_bench;
    const Theme& m_theme;
    Figure m_figure = Figure::ShortCircuit;
    TimelineScale m_scale;
    QStringList m_words;
    std::string m_family;
    mutable std::map<record::Id, Unbuilt> m_unbuilt; ///< Kept while the design stays as it is.
};

} // namespace anodex::app
