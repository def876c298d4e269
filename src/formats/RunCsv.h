// src/formats/RunCsv.h - runs from any delimited text: guessing, mapping, reading.
//
// In         any of , ; tab | as delimiter; decimal point or comma; header of any length; elapsed time or
// date and
//            time; units from the header. Unreadable rows are counted and named, never turned into zeros.
// Sign       a column of the Battery Data Format counts current positive on charge; elsewhere the sign is
// decided by
//            whether the voltage falls while current flows. The result always counts discharge positive.
// Errors     CsvError: the line and what would be right.
#pragma once
#include "core/record/Record.h"
#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

namespace anodex::formats {

enum class ColumnRole { Ignored, Time, Voltage, Current };

struct ColumnMapping {
    ColumnRole role = ColumnRole::Ignored;
    double toSi = 1.0;       ///< Factor from the column's unit to s, V or A.
    bool isDateTime = false; ///< Time as a calendar stamp.
    bool operator==(const ColumnMapping&) const = default;
};

struct CsvMapping {
    char delimiter = ',';
    bool decimalComma = false;
    std::size_t headerLines = 0;
    std::vector<ColumnMapping> columns;
    bool currentPositiveOnCharge = false;
    bool operator==(const CsvMapping&) const = default;
};

struct CsvPreview {
    CsvMapping mapping;
    std::string signature; ///< Same for every file with the same header and shape.
    std::vector<std::string> columnNames;
    std::vector<std::vector<std::string>> rows; ///< The first rows as text.
    bool complete = false;                      ///< A time and a voltage column were found.
};

struct CsvError {
    enum class Code { Empty, Binary, NoColumns, NoTime, NoVoltage, TooFewRows, TimeGoesBack, Cancelled };
    Code code;
    std::size_t line = 0; ///< 1 for the first; 0 when no line is at fault.
    std::string found;
};

struct CsvRun {
    record::RunSamples samples;
    std::optional<record::Millis> started; ///< When the file has calendar time.
    std::size_t rowsSkipped = 0;
    std::size_t firstSkippedLine = 0;
};

[[nodiscard]] tl::expected<CsvPreview, CsvError> previewCsv(std::string_view text);

/// Reads all rows. `progress` is told the share done now and then.
[[nodiscard]] tl::expected<CsvRun, CsvError> readCsv(std::string_view text, const CsvMapping& mapping,
                                                     const std::function<void(double)>& progress = {},
                                                     const std::stop_token& stop = {});

/// Decides CsvMapping::currentPositiveOnCharge from the data when the header does not say.
[[nodiscard]] bool looksPositiveOnCharge(const record::RunSamples& samples);

[[nodiscard]] std::string mappingToText(const CsvMapping& mapping);
[[nodiscard]] std::optional<CsvMapping> mappingFromText(std::string_view text);

/// Battery Data Format columns; current positive on charge, as that format has it.
[[nodiscard]] std::string writeRunCsv(const record::RunSamples& samples);

} // namespace anodex::formats
