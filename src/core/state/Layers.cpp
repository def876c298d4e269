#include "core/state/Layers.h"

#include <algorithm>
#include <cmath>

namespace anodex::state {

using design::Side;

double Layers::shareOfGap(Side side) const {
    const double above =
        std::clamp((upperFootMetres - boundaryMetres) / (upperFootMetres - lowerTopMetres), 0.0, 1.0);
    return side == upper ? above : 1.0 - above;
}

std::optional<Layers> layersOf(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                               const std::vector<liquid::Solution>& poured) {
    if (!cell.twoLiquids || !cell.barrier || !catalogue.separators[cell.barrier->separator].stacked) {
        return std::nullopt;
    }
    Layers layers;
    layers.upper = poured[0].densityKgPerM3 <= poured[1].densityKgPerM3 ? Side::Negative : Side::Positive;
    const Side lower = design::otherSide(layers.upper);
    const double volume = poured[static_cast<std::size_t>(lower)].volumeM3;
    layers.lowerTopMetres = kLowerFootMetres + cell.electrode(lower).thicknessMetres;
    layers.upperFootMetres = layers.lowerTopMetres + cell.gapMetres;
    if (!cell.insideM2) {
        layers.boundaryMetres = layers.lowerTopMetres + 0.5 * cell.gapMetres;
        layers.insideM2 = volume / layers.boundaryMetres;
        return layers;
    }
    layers.insideM2 = *cell.insideM2;
    layers.boundaryMetres = volume / layers.insideM2;
    const auto index = [](Side side) { return static_cast<std::size_t>(side); };
    layers.strayed[index(layers.upper)] =
        layers.boundaryMetres > layers.upperFootMetres + 0.5 * cell.electrode(layers.upper).thicknessMetres;
    layers.strayed[index(lower)] =
        layers.boundaryMetres < layers.lowerTopMetres - 0.5 * cell.electrode(lower).thicknessMetres;
    return layers;
}

} // namespace anodex::state
