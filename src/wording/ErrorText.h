// src/wording/ErrorText.h - one clear line: where, what is wrong, what would be right.
#pragma once
#include "core/base/Fault.h"
#include "core/run/RunAnalysis.h"
#include "formats/FileError.h"
#include "formats/run/RunCsv.h"
#include "notebook/NotebookError.h"
#include <string>

namespace anodex::wording {

[[nodiscard]] std::string errorText(const formats::FileError& error);
[[nodiscard]] std::string errorText(const formats::CsvError& error);
[[nodiscard]] std::string errorText(const run::RunError& error);
[[nodiscard]] std::string errorText(const notebook::NotebookError& error);
/// What was being worked out and how to go on; the program is at fault, not the builder.
[[nodiscard]] std::string errorText(const base::Fault& fault);

} // namespace anodex::wording
