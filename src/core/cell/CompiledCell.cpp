#include "core/cell/CompiledCell.h"

#include "core/electrode/CompileElectrode.h"

#include <algorithm>

namespace anodex::cell {
namespace {

using chemistry::FactorSpread;
using design::Side;
using electrode::InputKind;

// Share of a dissolved reagent used before the voltage has fallen (common practice, no source).
constexpr FactorSpread kDissolvedShare{0.8, 1.2};
// Layers dry out well before the last of the solvent is used (common practice, no source).
constexpr FactorSpread kSolventShare{0.4, 1.5};
constexpr double kContactSpread = 2.0; // clips corrode (common practice, no source)
constexpr double kUnit = 1.0;          // 5-95 % of a reading told in units of its span

} // namespace

CompiledCell compile(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                     const electrode::Draw& draw) {
    CompiledCell compiled{catalogue,
                          cell,
                          {compileElectrode(catalogue, cell, Side::Negative, draw),
                           compileElectrode(catalogue, cell, Side::Positive, draw)}};
    if (cell.barrier) {
        const chemistry::SeparatorMaterial& separator = catalogue.separators[cell.barrier->separator];
        compiled.macMullin =
            std::max(1.0, draw.factor({InputKind::SeparatorPaths, separator.id}, separator.macMullin));
        const electrode::InputKey own{InputKind::SeparatorResistance, separator.id};
        compiled.separatorOhmM2 = draw.factor(own, separator.areaOhmM2);
        if (separator.bridge) {
            compiled.bridgeOhm = draw.factor(own, {separator.bridge->ohms, separator.bridge->spreadFactor});
        }
    }
    compiled.contactOhm = draw.factor({InputKind::Contacts, {}}, {cell.contactOhm, kContactSpread});
    compiled.dissolvedShare = std::min(1.0, draw.factor({InputKind::DissolvedShare, {}}, kDissolvedShare));
    compiled.solventShare = std::min(1.0, draw.factor({InputKind::SolventShare, {}}, kSolventShare));
    compiled.reading = draw.offset({InputKind::Reading, {}}, {0.0, kUnit});
    return compiled;
}

} // namespace anodex::cell
