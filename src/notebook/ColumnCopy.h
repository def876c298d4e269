// src/notebook/ColumnCopy.h - a row's values put into another statement as they are, type for type.
#pragma once
#include <string>

namespace SQLite {
class Statement;
}

namespace anodex::notebook {

/// An insertion of what the row holds from column `first` on, by name: a table of a later version has more.
[[nodiscard]] std::string insertionOf(const char* table, const SQLite::Statement& row, int first);

/// Columns from `first` on of the row at hand become the values 1, 2, … of `write`, which is executed and
/// reset.
void insertLike(SQLite::Statement& write, SQLite::Statement& row, int first);

} // namespace anodex::notebook
