// src/notebook/Schema.h - the tables of a notebook file, version by version.
//
// A new version is a new step, never a changed one: files of every version are out there.
#pragma once
#include "core/base/Said.h"
#include <string>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr int kApplicationId = 0x414E4F58; // "ANOX"
inline constexpr int kSchemaVersion = 5;

/// Tables whose changes can be undone; all others are bookkeeping.
inline constexpr const char* kUndoableTables[] = {"project", "revision", "build",   "reading",
                                                  "event",   "run",      "document"};

[[nodiscard]] int versionOf(SQLite::Database& database);

/// All steps, in one transaction.
void createSchema(SQLite::Database& database);
/// The steps that a file of an earlier version lacks, each in its own transaction.
void bringUpToDate(SQLite::Database& database);

/// What a file of its version must hold and does not, or holds otherwise; empty when all is there.
[[nodiscard]] base::Said missingFrom(SQLite::Database& database);
/// A table, trigger, view or index that no version of ours made; empty when there is none.
[[nodiscard]] base::Said foreignIn(SQLite::Database& database);

/// Rejects what is no notebook of ours, with a NotebookError, before anything is changed in it. Reads the first
/// pages only.
void verify(SQLite::Database& database);

} // namespace anodex::notebook
