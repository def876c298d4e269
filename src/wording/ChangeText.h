// src/wording/ChangeText.h - what differs between two designs, in a few words each: "gap 12 → 4 mm".
#pragma once
#include "core/base/Said.h"
#include "core/design/Design.h"
#include <string>
#include <vector>

namespace anodex::wording {

/// One entry for each thing that differs, in the order of the cell file. The name is left out.
[[nodiscard]] std::vector<base::Said> changesBetween(const design::CellDesign& before,
                                                     const design::CellDesign& after);

/// All of them as one; more than `most` end in "and 3 more". That nothing changed when they are equal.
[[nodiscard]] base::Said changeSaid(const design::CellDesign& before, const design::CellDesign& after,
                                    std::size_t most = 3);
[[nodiscard]] std::string changeLine(const design::CellDesign& before, const design::CellDesign& after);
/// The same in a builder's words, for a label: "larger plates: 20 → 60 cm² and 1 more".
[[nodiscard]] std::string branchLine(const design::CellDesign& before, const design::CellDesign& after);

} // namespace anodex::wording
