#include "cli/CellInput.h"

#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"

namespace anodex::cli {

CellInput readCell(const chemistry::Catalogue& catalogue, const std::string& path) {
    auto design = formats::readCellFile(readText(path));
    if (!design) {
        throw stopAt(kWrongInput, path, wording::errorText(design.error()));
    }
    auto cell = design::resolve(catalogue, *design);
    if (!cell) {
        throw stopAt(kWrongInput, path, wording::errorText(formats::toFileError(cell.error())));
    }
    return {std::move(*design), std::move(*cell)};
}

} // namespace anodex::cli
