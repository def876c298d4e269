// src/formats/CellUse.h - the part of a cell file that says how the cell is put together and used:
// construction, case, charge, place, string.
#pragma once
#include "core/design/Design.h"
#include "formats/JsonObject.h"

namespace anodex::formats {

void readUse(JsonObject& root, design::CellDesign& design);
/// Each only where something of it is stated.
void writeUse(Json& json, const design::CellDesign& design);

} // namespace anodex::formats
