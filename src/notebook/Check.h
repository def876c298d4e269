// src/notebook/Check.h - looks for faults in a notebook file, and writes all of it as text for comparison.
#pragma once
#include "core/base/Said.h"
#include <stop_token>
#include <string>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// In plain words, each naming the revision, build or run that is hurt; empty when the file is sound. Reads
/// everything.
[[nodiscard]] std::vector<base::Said> faultsIn(SQLite::Database& database, const std::stop_token& stop = {});

[[nodiscard]] std::string dumpOf(SQLite::Database& database);

} // namespace anodex::notebook
