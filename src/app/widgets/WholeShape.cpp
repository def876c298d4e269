#include "app/widgets/WholeShape.h"

#include <QPainterPathStroker>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

using design::Construction;
using design::Side;
using Kind = WholePiece::Kind;

constexpr double kMm = 1e3;
constexpr double kWall = 2.0;

bool isRod(const chemistry::Material& material) {
    return material.form == "rod" || material.form == "wire" || material.form == "screw";
}

/// One cell's outlines, drawn around the middle between its electrodes.
class Drawing {
public:
    Drawing(const chemistry::Catalogue& catalogue, const design::Cell& cell, const state::Contents& contents)
        : m_catalogue(catalogue), m_cell(cell), m_contents(contents) {}

    std::vector<WholePiece> run(Construction construction) {
        switch (construction) {
        case Construction::Jar:
            jar(false);
            break;
        case Construction::JarUnderOil:
            jar(true);
            break;
        case Construction::Pouch:
            pouch();
            break;
        case Construction::Tray:
            tray();
            break;
        case Construction::Rolled:
            rolled();
            break;
        case Construction::Rods:
            rods();
            break;
        case Construction::Felt:
            felt();
            break;
        case Construction::Flow:
            felt();
            tanks();
            break;
        case Construction::Paper:
            paper();
            break;
        case Construction::Unstated:
        case Construction::Beaker:
            m_cell.twoLiquids&& isBridge() ? twoBeakers() : beaker();
            break;
        }
        return std::move(m_pieces);
    }

private:
    void add(Kind kind, Side side, const QPainterPath& path) {
        const QRectF bounds = path.boundingRect();
        m_pieces.push_back({kind, side, path, std::min(bounds.width(), bounds.height())});
    }
    void addBox(Kind kind, Side side, const QRectF& box) {
        QPainterPath path;
        path.addRect(box);
        add(kind, side, path);
    }
    /// Walls and floor around a body of liquid, open above.
    void addVessel(const QRectF& inside) {
        QPainterPath path;
        path.addRect(inside.left() - kWall, inside.top(), kWall, inside.height() + kWall);
        path.addRect(inside.right(), inside.top(), kWall, inside.height() + kWall);
        path.addRect(inside.left(), inside.bottom(), inside.width(), kWall);
        add(Kind::Vessel, Side::Negative, path);
    }

    [[nodiscard]] const design::Electrode& electrode(Side side) const { return m_cell.electrode(side); }
    [[nodiscard]] bool rod(Side side) const { return isRod(m_catalogue.materials[electrode(side).material]); }
    [[nodiscard]] double thick(Side side) const { return electrode(side).thicknessMetres * kMm; }
    [[nodiscard]] double area(Side side) const { return electrode(side).areaM2 * kMm * kMm; }
    [[nodiscard]] double tall(Side side) const {
        return rod(side) ? area(side) / (M_PI * thick(side)) : std::sqrt(1.5 * area(side));
    }
    [[nodiscard]] double tallest() const { return std::max(tall(Side::Negative), tall(Side::Positive)); }
    [[nodiscard]] double gap() const { return m_cell.gapMetres * kMm; }
    [[nodiscard]] double volume(Side side) const {
        return m_contents.poured(side).volumeM3 * kMm * kMm * kMm;
    }
    [[nodiscard]] bool isBridge() const {
        return m_cell.barrier && m_catalogue.separators[m_cell.barrier->separator].bridge.has_value();
    }
    [[nodiscard]] double barrier() const {
        return m_cell.barrier ? m_cell.barrier->thicknessMetres * kMm : 0.0;
    }

    /// An upright plate or rod whose inner face stands at x, and whose foot stands at y.
    void stand(Side side, double x, double foot, double above) {
        const double left = side == Side::Negative ? x - thick(side) : x;
        addBox(Kind::Electrode, side, {left, foot - tall(side) - above, thick(side), tall(side) + above});
    }

    void beaker() {
        const double deep = 1.15 * tallest();
        const double total = volume(Side::Negative) + (m_cell.twoLiquids ? volume(Side::Positive) : 0.0);
        const double need = gap() + thick(Side::Negative) + thick(Side::Positive) + 8.0;
        const double wide = std::max(need, std::sqrt(total / deep));
        const QRectF inside(-wide / 2.0, -deep, wide, deep);
        if (m_cell.twoLiquids) {
            addBox(Kind::Liquid, Side::Negative, {inside.left(), inside.top(), wide / 2.0, deep});
            addBox(Kind::Liquid, Side::Positive, {0.0, inside.top(), wide / 2.0, deep});
        } else {
            addBox(Kind::Liquid, Side::Negative, inside);
        }
        addVessel(inside.adjusted(0, -0.2 * deep, 0, 0));
        if (m_cell.barrier) {
            const double half = std::max(barrier(), 0.3) / 2.0;
            addBox(Kind::Separator, Side::Negative, {-half, -1.1 * deep, 2.0 * half, 1.1 * deep});
        }
        stand(Side::Negative, -gap() / 2.0, -0.08 * deep, 0.3 * deep);
        stand(Side::Positive, gap() / 2.0, -0.08 * deep, 0.3 * deep);
    }

    void twoBeakers() {
        const double deep = 1.15 * tallest();
        double inner[2];
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double wide = std::max(thick(side) + 10.0, std::sqrt(volume(side) / deep));
            const double away = 6.0;
            const double left = side == Side::Negative ? -away - wide : away;
            const QRectF inside(left, -deep, wide, deep);
            addBox(Kind::Liquid, side, inside);
            addVessel(inside.adjusted(0, -0.2 * deep, 0, 0));
            stand(side, inside.center().x() + (side == Side::Negative ? 0.5 : -0.5) * thick(side),
                  -0.08 * deep, 0.3 * deep);
            inner[static_cast<std::size_t>(side)] =
                side == Side::Negative ? inside.right() - 0.2 * wide : inside.left() + 0.2 * wide;
        }
        QPainterPath tube;
        tube.moveTo(inner[0], -0.4 * deep);
        tube.lineTo(inner[0], -1.35 * deep);
        tube.lineTo(inner[1], -1.35 * deep);
        tube.lineTo(inner[1], -0.4 * deep);
        add(Kind::Separator, Side::Negative, stroked(tube, 4.0));
    }

    static QPainterPath stroked(const QPainterPath& line, double width) {
        QPainterPathStroker stroker;
        stroker.setWidth(std::max(width, 0.05));
        stroker.setCapStyle(Qt::FlatCap);
        stroker.setJoinStyle(Qt::RoundJoin);
        return stroker.createStroke(line);
    }

    /// The denser liquid below; the electrodes lie flat.
    void jar(bool oil) {
        const auto& layers = m_contents.layers;
        const bool negativeAbove = m_contents.poured(Side::Negative).densityKgPerM3 <=
                                   m_contents.poured(Side::Positive).densityKgPerM3;
        const Side above = negativeAbove ? Side::Negative : Side::Positive;
        const Side below = design::otherSide(above);
        const double widest = std::sqrt(std::max(area(Side::Negative), area(Side::Positive)));
        const double least = gap() + thick(above) + thick(below) + 4.0;
        const double wide = std::max(widest + 8.0, layers ? std::sqrt(layers->insideM2) * kMm : 0.0);
        const double volumes = volume(above) + (m_cell.twoLiquids ? volume(below) : 0.0);
        const double filled = std::max(volumes / (wide * wide), least);
        const double border =
            layers ? -layers->boundaryMetres * kMm : -filled * volume(below) / volumes; // of two liquids
        const double deep = m_cell.twoLiquids ? std::max(filled, -border) : filled;
        const QRectF inside(-wide / 2.0, -deep, wide, deep);
        if (m_cell.twoLiquids) {
            addBox(Kind::Liquid, below, {inside.left(), border, wide, -border});
            addBox(Kind::Liquid, above, {inside.left(), -deep, wide, deep + border});
        } else {
            addBox(Kind::Liquid, Side::Negative, inside);
        }
        constexpr double kOil = 5.0;
        if (oil) {
            addBox(Kind::Oil, above, {inside.left(), -deep - kOil, wide, kOil});
        }
        addVessel(inside.adjusted(0, -0.2 * deep - kOil, 0, 0));
        const auto slab = [&](Side side, double top) {
            const double broad = std::sqrt(area(side));
            addBox(Kind::Electrode, side, {-broad / 2.0, top, broad, thick(side)});
        };
        const double foot = state::kLowerFootMetres * kMm;
        slab(below, -foot - thick(below));
        slab(above, -foot - thick(below) - gap() - thick(above));
    }

    /// Layers lying flat in an envelope, the face that breathes upward.
    void pouch() {
        const Side up =
            electrode(Side::Negative).air == design::Air::Breathing ? Side::Negative : Side::Positive;
        const Side down = design::otherSide(up);
        const double longest = tallest();
        double y = -thick(down);
        QPainterPath envelope;
        const double whole = thick(up) + gap() + thick(down);
        envelope.addRoundedRect(QRectF(-longest / 2.0 - 5.0, -whole - 1.0, longest + 10.0, whole + 2.0), 2.0,
                                2.0);
        add(Kind::Vessel, Side::Negative, stroked(envelope, 0.4));
        const QRectF lower(-tall(down) / 2.0, y, tall(down), thick(down));
        y -= gap();
        addBox(Kind::Liquid, down, {-longest / 2.0, y, longest, gap()});
        if (m_cell.barrier) {
            const double paper = std::min(std::max(barrier(), 0.1), gap());
            addBox(Kind::Separator, down, {-longest / 2.0, y + (gap() - paper) / 2.0, longest, paper});
        }
        y -= thick(up);
        addBox(Kind::Electrode, up, {-tall(up) / 2.0, y, tall(up), thick(up)});
        addBox(Kind::Electrode, down, lower); // the thin one last, or nothing of it is seen
    }

    /// Troughs side by side, as many as the string has, each with two fins.
    void tray() {
        const int count = std::clamp(m_cell.string.series, 1, 8);
        const double each = gap() + thick(Side::Negative) + thick(Side::Positive) + 6.0;
        const double deep = 1.1 * tallest();
        for (int i = 0; i < count; ++i) {
            const double middle = (i - 0.5 * (count - 1)) * (each + kWall);
            const QRectF inside(middle - each / 2.0, -deep, each, deep);
            addBox(Kind::Liquid, Side::Negative, inside);
            addVessel(inside.adjusted(0, -0.1 * deep, 0, 0));
            stand(Side::Negative, middle - gap() / 2.0, -1.0, 0.15 * deep);
            stand(Side::Positive, middle + gap() / 2.0, -1.0, 0.15 * deep);
        }
    }

    /// Seen from above: both plates and two layers of separator wound round a core.
    void rolled() {
        const double height = 0.6 * std::sqrt(std::max(area(Side::Negative), area(Side::Positive)));
        const double length = std::max(area(Side::Negative), area(Side::Positive)) / height;
        const double pitch = thick(Side::Negative) + thick(Side::Positive) + 2.0 * gap();
        constexpr double kCore = 3.0;
        const double turns =
            (-2.0 * kCore + std::sqrt(4.0 * kCore * kCore + 4.0 * pitch * length / M_PI)) / (2.0 * pitch);
        const auto spiral = [&](double shift) {
            QPainterPath path;
            const int steps = std::clamp(static_cast<int>(turns * 48.0), 24, 4000);
            for (int i = 0; i <= steps; ++i) {
                const double turn = turns * i / steps;
                const double radius = kCore + shift + pitch * turn;
                const QPointF at(radius * std::cos(2.0 * M_PI * turn), radius * std::sin(2.0 * M_PI * turn));
                i == 0 ? path.moveTo(at) : path.lineTo(at);
            }
            return path;
        };
        const double outer = kCore + pitch * (turns + 1.0) + 1.0;
        QPainterPath liquid;
        liquid.addEllipse(QPointF(0, 0), outer, outer);
        add(Kind::Liquid, Side::Negative, liquid);
        add(Kind::Vessel, Side::Negative, stroked(liquid, kWall));
        const double first = thick(Side::Negative) / 2.0;
        const double second = thick(Side::Negative) + gap() + thick(Side::Positive) / 2.0;
        for (const Side side : {Side::Negative, Side::Positive}) {
            const QPainterPath line = spiral(side == Side::Negative ? first : second);
            m_pieces.push_back({Kind::Electrode, side, stroked(line, thick(side)), thick(side)});
        }
    }

    void rods() {
        const double deep = tallest() + 60.0;
        const double wide = gap() + 160.0;
        addBox(Kind::Soil, Side::Negative, {-wide / 2.0, 0.0, wide, deep});
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double x = side == Side::Negative ? -gap() / 2.0 - thick(side) : gap() / 2.0;
            addBox(Kind::Electrode, side, {x, -30.0, thick(side), tall(side) + 30.0});
        }
    }

    /// Upright layers clamped between end plates.
    void felt() {
        const double high = tallest();
        constexpr double kPlate = 5.0;
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double sign = side == Side::Negative ? -1.0 : 1.0;
            const double inner = sign * gap() / 2.0;
            const double outer = inner + sign * thick(side);
            addBox(Kind::Vessel, side,
                   QRectF(QPointF(outer, -high - 6.0), QPointF(outer + sign * kPlate, 6.0)).normalized());
            addBox(Kind::Liquid, side, QRectF(QPointF(0.0, -high), QPointF(inner, 0.0)).normalized());
            addBox(Kind::Electrode, side,
                   QRectF(QPointF(inner, -tall(side)), QPointF(outer, 0.0)).normalized());
        }
        const double half = std::max(barrier(), 0.1) / 2.0;
        addBox(Kind::Separator, Side::Negative, {-half, -high - 6.0, 2.0 * half, high + 12.0});
    }

    /// A tank, a pump and two pipes for each side of the felt cell.
    void tanks() {
        const double high = tallest();
        const double reach = gap() / 2.0 + std::max(thick(Side::Negative), thick(Side::Positive)) + 5.0;
        for (const Side side : {Side::Negative, Side::Positive}) {
            const double sign = side == Side::Negative ? -1.0 : 1.0;
            const double edge = std::cbrt(volume(side));
            const double near = sign * (reach + 45.0);
            const double far = near + sign * edge;
            const QRectF inside = QRectF(QPointF(near, -edge), QPointF(far, 0.0)).normalized();
            addBox(Kind::Liquid, side, inside);
            addVessel(inside.adjusted(0, -0.15 * edge, 0, 0));
            const double port = sign * (gap() / 2.0 + 0.5 * thick(side));
            QPainterPath pipes;
            pipes.moveTo(near + sign * 8.0, -4.0);
            pipes.lineTo(near + sign * 8.0, 24.0);
            pipes.lineTo(port, 24.0);
            pipes.lineTo(port, 0.0);
            pipes.moveTo(port, -high);
            pipes.lineTo(port, -high - 22.0);
            pipes.lineTo(near + sign * 8.0, -high - 22.0);
            pipes.lineTo(near + sign * 8.0, -edge);
            QPainterPath pipe = stroked(pipes, 3.0);
            pipe.addEllipse(QPointF(0.5 * (near + port), 24.0), 9.0, 9.0);
            add(Kind::Pipe, side, pipe);
        }
    }

    /// From above: a sheet with two wet patches, a metal pressed on each.
    void paper() {
        const double broad[2] = {std::sqrt(area(Side::Negative)), std::sqrt(area(Side::Positive))};
        const double high = std::max(broad[0], broad[1]);
        const QRectF sheet(-gap() / 2.0 - broad[0] - 10.0, -high / 2.0 - 10.0,
                           gap() + broad[0] + broad[1] + 20.0, high + 20.0);
        addBox(Kind::Separator, Side::Negative, sheet);
        for (const Side side : {Side::Negative, Side::Positive}) {
            const auto index = static_cast<std::size_t>(side);
            const double edge = broad[index];
            const double left = side == Side::Negative ? -gap() / 2.0 - edge : gap() / 2.0;
            const double from = side == Side::Negative ? left - 5.0 : 0.0;
            QPainterPath wet;
            wet.addRoundedRect(QRectF(from, -edge / 2.0 - 5.0, edge + 5.0 + gap() / 2.0, edge + 10.0), 6.0,
                               6.0);
            add(Kind::Liquid, side, wet);
            addBox(Kind::Electrode, side, {left, -edge / 2.0, edge, edge});
        }
    }

    const chemistry::Catalogue& m_catalogue;
    const design::Cell& m_cell;
    const state::Contents& m_contents;
    std::vector<WholePiece> m_pieces;
};

} // namespace

Construction constructionOf(const chemistry::Catalogue& catalogue, const design::CellDesign& design,
                            const design::Cell& cell) {
    if (design.construction != Construction::Unstated) {
        return design.construction;
    }
    constexpr double kThin = 0.003;
    const chemistry::SeparatorMaterial* separator =
        cell.barrier ? &catalogue.separators[cell.barrier->separator] : nullptr;
    if (cell.poured[0].isUnbounded) {
        return Construction::Rods;
    }
    if (separator != nullptr && separator->stacked) {
        return Construction::Jar;
    }
    if (separator != nullptr && separator->fixedCharge != 0.0) {
        return Construction::Felt;
    }
    return separator != nullptr && cell.gapMetres <= kThin ? Construction::Pouch : Construction::Beaker;
}

std::vector<WholePiece> wholeCell(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const state::Contents& contents, Construction construction) {
    return Drawing(catalogue, cell, contents).run(construction);
}

} // namespace anodex::app
