// src/formats/run/RunCsv.h - a recorded run as text: how it may be read, reading it, writing it.
//
// In         anything with columns; see docs/formats/runs.md. What a column holds, its unit, the sign of the
//            current and the order of dates are weighed by evidence; what is not sure (99 to 1) is a
//            question, never a silent choice.
// Sign       the result counts discharge positive.
// Errors     CsvError: the line and what would be right.
#pragma once
#include "formats/run/RunReading.h"
#include <functional>
#include <stop_token>
#include <string_view>

namespace anodex::formats {

/// `bytes` as they stand in the file.
[[nodiscard]] tl::expected<CsvPreview, CsvError> previewCsv(std::string_view bytes,
                                                            const CsvSettings& settings = {});

/// Reads all rows. `progress` is told the share done now and then.
[[nodiscard]] tl::expected<CsvRun, CsvError> readCsv(std::string_view bytes, const CsvMapping& mapping,
                                                     const std::function<void(double)>& progress = {},
                                                     const std::stop_token& stop = {});

/// Says a choice beforehand, as if it had been set.
void settle(CsvSettings& settings, CsvAspect::Kind kind, const std::string& choice);

[[nodiscard]] std::string mappingToText(const CsvMapping& mapping);
[[nodiscard]] std::optional<CsvMapping> mappingFromText(std::string_view text);

/// Battery Data Format columns; current positive on charge, as that format has it.
[[nodiscard]] std::string writeRunCsv(const record::RunSamples& samples);

} // namespace anodex::formats
