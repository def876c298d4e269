// src/notebook/History.h - undo and redo by recorded changesets.
//
// Each command runs inside one transaction watched by SQLite's session extension; what changed is kept with
// what it is called: a code and values, since languages change. Undo applies the inverse, redo applies it again. No command writes its own inverse.
#pragma once
#include "core/base/Said.h"
#include "core/record/Record.h"
#include <functional>
#include <set>
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
    base::Said said;
    bool undone = false;
    bool operator==(const HistoryEntry&) const = default;
};

/// Runs `before` unrecorded and `change` recorded, in one transaction. Exceptions roll everything back.
void recordCommand(SQLite::Database& database, const base::Said& said, record::Millis now,
                   const std::function<void()>& before, const std::function<void()>& change);

/// What it is called, empty when there was nothing; table and id of every row it touched.
struct Taken {
    base::Said said;
    std::set<std::pair<std::string, std::string>> rows;
};
Taken undoLast(SQLite::Database& database);
Taken redoNext(SQLite::Database& database);

[[nodiscard]] std::vector<HistoryEntry> historyEntries(SQLite::Database& database);

/// Whether there is anything to undo and to redo, without reading what.
struct StepsLeft {
    bool back = false;
    bool forward = false;
};
[[nodiscard]] StepsLeft stepsLeft(SQLite::Database& database);

} // namespace anodex::notebook
