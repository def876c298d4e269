// src/notebook/Changeset.h - what a command changed, as SQLite's session extension records it.
//
// Damage     the library trusts its own bytes: walking or inverting a cut changeset may never end. So each is
//            checked for its form first, and refused with SQLITE_CORRUPT.
// Errors     SQLite::Exception.
#pragma once
#include <set>
#include <string>
#include <utility>
#include <vector>

namespace SQLite {
class Database;
} // namespace SQLite

namespace anodex::notebook {

using Bytes = std::vector<unsigned char>;

/// Table and first column of every row that it touches: the id, in every table with undo.
[[nodiscard]] std::set<std::pair<std::string, std::string>> rowsTouched(const Bytes& changeset);

/// The changeset that takes this one back.
[[nodiscard]] Bytes inverted(const Bytes& changeset);

/// Aborts, leaving nothing changed, where the rows are not as the changeset has them.
void applyTo(SQLite::Database& database, const Bytes& changeset);

} // namespace anodex::notebook
