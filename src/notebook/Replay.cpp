#include "notebook/Replay.h"

#include "notebook/ColumnCopy.h"
#include "notebook/History.h"
#include "notebook/Schema.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <fmt/format.h>
#include <vector>

namespace anodex::notebook {
namespace {

void copyTable(SQLite::Database& from, SQLite::Database& to, const char* table) {
    SQLite::Statement read(from, fmt::format("SELECT * FROM {} ORDER BY rowid", table));
    SQLite::Statement write(to, insertionOf(table, read, 0));
    while (read.executeStep()) {
        insertLike(write, read, 0);
    }
}

} // namespace

std::optional<std::int64_t> stepThatDoesNotReplay(SQLite::Database& database) {
    SQLite::Database copy(":memory:", SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    createSchema(copy);
    copy.exec("PRAGMA foreign_keys = OFF");
    for (const char* table : kUndoableTables) {
        if (database.tableExists(table)) {
            copyTable(database, copy, table);
        }
    }
    copyTable(database, copy, "history");
    std::vector<std::int64_t> undone;
    std::vector<std::int64_t> steps;
    for (const HistoryEntry& entry : historyEntries(database)) {
        steps.push_back(entry.id);
        if (entry.undone) {
            undone.push_back(entry.id);
        }
    }
    std::size_t redone = 0;
    try {
        for (; redone < undone.size(); ++redone) {
            redoNext(copy);
        }
    } catch (const SQLite::Exception&) {
        return undone[redone];
    }
    try {
        for (; !steps.empty(); steps.pop_back()) {
            undoLast(copy);
        }
    } catch (const SQLite::Exception&) {
        return steps.back();
    }
    return std::nullopt;
}

} // namespace anodex::notebook
