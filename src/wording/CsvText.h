// src/wording/CsvText.h - how a run's file was read, what it leaves open, and which option settles it.
#pragma once
#include "formats/run/RunCsv.h"
#include <string>

namespace anodex::wording {

/// "the unit of the current may be A or mA"
[[nodiscard]] std::string questionText(const formats::CsvAspect& aspect);
/// "--unit current=mA": what says this choice on the command line.
[[nodiscard]] std::string optionText(formats::CsvAspect::Kind kind, const std::string& choice);
/// "no reading (overload)"
[[nodiscard]] std::string skippedText(formats::SkippedRow::Why why);
/// "s", "date and time, day first, Europe/Berlin", "h:mm:ss": how the time is written.
[[nodiscard]] std::string timeFormText(const formats::CsvMapping& mapping);
/// "mV", or "V over 0.1 ohm" for a current read as a voltage.
[[nodiscard]] std::string columnUnitText(const formats::ColumnMapping& column);

} // namespace anodex::wording
