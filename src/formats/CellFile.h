// src/formats/CellFile.h - the contract's *.cell.json to and from a CellDesign.
//
// Writing what was read gives the same design back; keys that were not stated are not written.
// Errors     the first fault: field, what stands there, what would be right.
#pragma once
#include "core/cell/Cell.h"
#include "formats/FileError.h"
#include "formats/JsonObject.h"
#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace anodex::formats {

[[nodiscard]] tl::expected<cell::CellDesign, FileError> readCellFile(std::string_view text);
[[nodiscard]] Json cellToJson(const cell::CellDesign& design);
[[nodiscard]] std::string writeCellFile(const cell::CellDesign& design);

struct LiquidFile {
    cell::LiquidDesign liquid;
    double temperatureKelvin = cell::kDefaultTemperatureKelvin;
};
[[nodiscard]] tl::expected<LiquidFile, FileError> readLiquidFile(std::string_view text);

/// The same shape of error for names and values that only the catalogue can judge.
[[nodiscard]] FileError toFileError(const cell::DesignError& error);

} // namespace anodex::formats
