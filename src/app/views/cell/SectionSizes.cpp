#include "app/views/cell/SectionSizes.h"

#include "app/theme/Words.h"

namespace anodex::app {

std::vector<SectionSize> sizesOf(const design::Cell& cell) {
    std::vector<SectionSize> list;
    list.push_back(
        {QStringLiteral("gap"), tr("gap"), cell.gapMetres, wording::Dimension::Metre, 1e3, 5e-5, 1.0});
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        const bool negative = side == design::Side::Negative;
        const design::Electrode& electrode = cell.electrode(side);
        const QString key = negative ? QStringLiteral("negative") : QStringLiteral("positive");
        const QString who = negative ? tr("negative") : tr("positive");
        list.push_back({key + QStringLiteral(".area"), tr("%1 wetted area").arg(who), electrode.areaM2,
                        wording::Dimension::SquareMetre, 1e4, 1e-6, 1.0});
        list.push_back({key + QStringLiteral(".thickness"), tr("%1 thickness").arg(who),
                        electrode.thicknessMetres, wording::Dimension::Metre, 1e3, 1e-6, 0.1});
    }
    return list;
}

QString shownSize(const SectionSize& size) {
    return QString::fromStdString(wording::numberText(size.value * size.shownPerSi, 3)) +
           (size.dimension == wording::Dimension::SquareMetre ? QStringLiteral("\u00A0cm²")
                                                              : QStringLiteral("\u00A0mm"));
}

design::Side sideOf(const QString& id) {
    return id.startsWith(QLatin1String("negative")) ? design::Side::Negative : design::Side::Positive;
}

design::CellDesign withSize(design::CellDesign design, const QString& id, double value) {
    if (id == QLatin1String("gap")) {
        design.gapMetres = value;
        return design;
    }
    design::ElectrodeDesign& electrode = design.electrode(sideOf(id));
    if (id.endsWith(QLatin1String("area"))) {
        electrode.wettedAreaM2 = value;
    } else {
        // A weighed mass belongs to the old thickness.
        electrode.thicknessMetres = value;
        electrode.massKg.reset();
    }
    return design;
}

} // namespace anodex::app
