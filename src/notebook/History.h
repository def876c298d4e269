// src/notebook/History.h - undo and redo by recorded changesets.
//
// Each command runs inside one transaction watched by SQLite's session extension; what changed is kept with a
// sentence. Undo applies the inverse, redo applies it again. No command writes its own inverse.
#pragma once
#include "core/record/Record.h"
#include <functional>
#include <string>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr int kHistoryLength = 500;

struct HistoryEntry {
    std::int64_t id = 0;
    record::Millis happened = 0;
    std::string sentence;
    bool undone = false;
    bool operator==(const HistoryEntry&) const = default;
};

/// Runs `before` unrecorded and `change` recorded, in one transaction. Exceptions roll everything back.
void recordCommand(SQLite::Database& database, const std::string& sentence, record::Millis now,
                   const std::function<void()>& before, const std::function<void()>& change);

/// The sentence of what was undone or redone; empty when there was nothing.
std::string undoLast(SQLite::Database& database);
std::string redoNext(SQLite::Database& database);

[[nodiscard]] std::vector<HistoryEntry> historyEntries(SQLite::Database& database);

} // namespace anodex::notebook
