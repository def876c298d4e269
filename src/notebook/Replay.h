// src/notebook/Replay.h - whether every step of the history can still be taken back and again.
#pragma once
#include <cstdint>
#include <optional>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// Tried on a copy in memory, without runs' samples: what is undone is done again, then all is taken back.
/// The step that does not fit what is there; nothing when all do.
[[nodiscard]] std::optional<std::int64_t> stepThatDoesNotReplay(SQLite::Database& database);

} // namespace anodex::notebook
