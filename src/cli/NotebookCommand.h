// src/cli/NotebookCommand.h - `notebook FILE info|check|copy OUT|rescue OUT|restore BACKUP`.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

struct NotebookReport {
    formats::Json json;
    int exit = kGood;
};

[[nodiscard]] NotebookReport inspectNotebook(const std::string& path, const std::string& verb,
                                             const std::string& other);

} // namespace anodex::cli
