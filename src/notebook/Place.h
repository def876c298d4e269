// src/notebook/Place.h - where in the notebook a stored row belongs, in a builder's words.
#pragma once
#include "core/base/Said.h"
#include <string>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// `a reading of "Jar 2", build 1`. Falls back to the row's own name where the rows it belongs to are gone.
[[nodiscard]] base::Said placeOf(SQLite::Database& database, const std::string& table,
                                 const std::string& row);

} // namespace anodex::notebook
