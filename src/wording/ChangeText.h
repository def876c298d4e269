// src/wording/ChangeText.h - what differs between two designs, in a few words each: "gap 12 → 4 mm".
#pragma once
#include "core/design/Design.h"
#include <string>
#include <vector>

namespace anodex::wording {

/// One entry for each thing that differs, in the order of the cell file. The name is left out.
[[nodiscard]] std::vector<std::string> changesBetween(const design::CellDesign& before,
                                                      const design::CellDesign& after);

/// All of them on one line; "nothing changed" when equal. Longer lists end in "and 3 more".
[[nodiscard]] std::string changeLine(const design::CellDesign& before, const design::CellDesign& after);

} // namespace anodex::wording
