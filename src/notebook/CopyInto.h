// src/notebook/CopyInto.h - one database as a new file.
#pragma once
#include <string>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// Throws NotebookError: Exists, NoRoom, DiskFull, CannotOpen.
void copyInto(SQLite::Database& database, const std::string& to);

} // namespace anodex::notebook
