// src/notebook/Check.h - looks for faults in a notebook file, and writes all of it as text for comparison.
#pragma once
#include <string>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

[[nodiscard]] std::vector<std::string> faultsIn(SQLite::Database& database);
[[nodiscard]] std::string dumpOf(SQLite::Database& database);

} // namespace anodex::notebook
