// src/notebook/Schema.h - the tables of a notebook file, and how an older file becomes a current one.
#pragma once

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr int kApplicationId = 0x414E4F58; // "ANOX"
inline constexpr int kSchemaVersion = 2;

/// Tables whose changes can be undone; all others are bookkeeping.
inline constexpr const char* kUndoableTables[] = {"project", "revision", "build", "reading",
                                                "event",   "run",      "document"};

void createSchema(SQLite::Database& database);
/// Adds what a file of an earlier version lacks.
void bringUpToDate(SQLite::Database& database);

} // namespace anodex::notebook
