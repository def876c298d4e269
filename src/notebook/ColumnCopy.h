// src/notebook/ColumnCopy.h - a row's values put into another statement as they are, type for type.
#pragma once

namespace SQLite {
class Statement;
}

namespace anodex::notebook {

/// Columns from `first` on of the row at hand become the values 1, 2, … of `write`, which is executed and
/// reset.
void insertLike(SQLite::Statement& write, SQLite::Statement& row, int first);

/// "?, ?, ?"
[[nodiscard]] const char* marksFor(int columns);

} // namespace anodex::notebook
