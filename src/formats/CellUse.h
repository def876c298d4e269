// src/formats/CellUse.h - the part of a cell file that says how the cell is put together and used:
// construction, case, charge, place, string.
#pragma once
#include "core/cell/Design.h"
#include "formats/JsonObject.h"

namespace anodex::formats {

void readUse(JsonObject& root, cell::CellDesign& design);
/// Each only where something of it is stated.
void writeUse(Json& json, const cell::CellDesign& design);

} // namespace anodex::formats
