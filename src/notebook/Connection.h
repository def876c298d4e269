// src/notebook/Connection.h - the notebook's file opened by the storage library, as its place allows.
//
// Only the storage library opens the file: closing any other descriptor of it would drop the library's locks.
// Errors     SQLite::Exception, NotebookError.
#pragma once
#include <memory>
#include <string>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

struct WritingConnection {
    std::unique_ptr<SQLite::Database> database;
    bool shared = true; ///< False: no log, since shared memory does not work there; readers wait for writers.
};

[[nodiscard]] WritingConnection openForWriting(const std::string& path, bool create);

/// Beside a writer, through its log. Only where the folder cannot be written and no log stands is the file
/// taken as unchanging.
[[nodiscard]] std::unique_ptr<SQLite::Database> openForReading(const std::string& path);

/// True when the notebook or its log stands at the size this program's files may have.
[[nodiscard]] bool hitSizeLimit(const std::string& path);

/// Folds the log into the main file; false while a reader still needs it.
bool foldLog(SQLite::Database& database);

/// Folds the log in and, when nobody else reads, leaves a file that needs none: it can be read anywhere.
void putToRest(SQLite::Database& database);

} // namespace anodex::notebook
