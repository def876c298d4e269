// src/notebook/RunStore.h - bulk samples of a run: whole chunks of 4,096 little-endian float64 a column, each
// with first, last, low and high, and a tail of small rows while the run grows.
//
// Errors     reading throws RowFault when a part is short, missing or foreign: nothing is read past its end.
#pragma once
#include "core/record/Record.h"
#include <functional>
#include <span>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr std::size_t kChunkSamples = 4096;

/// One span a column, all of one length.
using Columns = std::vector<std::span<const double>>;

/// Stores at most kChunkSamples as that chunk, sealed, with its levels.
void putChunk(SQLite::Database& database, const record::Id& run, std::int64_t chunk, const Columns& columns);

/// Stores the samples from `from` on as chunk number from / kChunkSamples; at most one chunk. How many that
/// were.
std::size_t putChunk(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                     std::size_t from);

/// A row of the tail, from sample number `from` on, sealed.
void putTail(SQLite::Database& database, const record::Id& run, std::int64_t from, const Columns& columns);

/// Takes all tail rows away, with their seals.
void dropTail(SQLite::Database& database, const record::Id& run);

/// Takes away at most `most` chunks of a run, with their seals; false when none is left.
bool dropChunks(SQLite::Database& database, const record::Id& run, int most);

/// What is done with a part of a run: all its columns, of one length.
using TakePart = std::function<void(const Columns&)>;

/// Goes through a run, a part at a time, in order; holds no more than one part.
void eachPart(SQLite::Database& database, const record::Id& run, const TakePart& take);
/// The chunks from one to before another.
void eachChunk(SQLite::Database& database, const record::Id& run, std::int64_t from, std::int64_t to,
               const TakePart& take);
/// What is not yet a whole chunk.
void eachTailRow(SQLite::Database& database, const record::Id& run, const TakePart& take);

/// Time, voltage and current; a channel the run has not is all zeros.
[[nodiscard]] record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run);

} // namespace anodex::notebook
