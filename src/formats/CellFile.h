// src/formats/CellFile.h - the contract's *.cell.json to and from a CellDesign.
//
// Writing what was read gives the same design back; keys that were not stated are not written.
// Errors     the first fault: field, what stands there, what would be right.
#pragma once
#include "core/design/Cell.h"
#include "core/design/Resolve.h"
#include "formats/FileError.h"
#include "formats/JsonObject.h"
#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace anodex::formats {

[[nodiscard]] tl::expected<design::CellDesign, FileError> readCellFile(std::string_view text);
[[nodiscard]] Json cellToJson(const design::CellDesign& design);
[[nodiscard]] std::string writeCellFile(const design::CellDesign& design);

struct LiquidFile {
    design::LiquidDesign liquid;
    double temperatureKelvin = design::kDefaultTemperatureKelvin;
};
[[nodiscard]] tl::expected<LiquidFile, FileError> readLiquidFile(std::string_view text);

/// The same shape of error for names and values that only the catalogue can judge.
[[nodiscard]] FileError toFileError(const design::DesignError& error);

} // namespace anodex::formats
