// src/notebook/RunStore.h - bulk samples in chunks: 4,096 little-endian float64 a column, with first, last,
// low, high.
#pragma once
#include "core/record/Record.h"
#include "core/run/Thinning.h"
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr std::size_t kChunkSamples = 4096;

/// Stored numbers of the columns; never renumbered.
enum class RunColumn { Seconds = 0, Volts = 1, Amps = 2 };
inline constexpr int kRunColumns = 3;

/// Stores the samples from `from` on as chunk number from / kChunkSamples, sealed; at most one chunk. How
/// many that were.
std::size_t putChunk(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                     std::size_t from);

/// Takes away at most `most` chunks of a run, with their seals; false when none is left.
bool dropChunks(SQLite::Database& database, const record::Id& run, int most);

/// Throws RowFault when a column is short, missing or foreign: nothing is read past its end.
[[nodiscard]] record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run);

/// Lowest and highest of each chunk without reading the samples: enough to draw a run of any length at once.
/// Throws RowFault as samplesOf does.
[[nodiscard]] std::vector<run::CurveSample> outlineOf(SQLite::Database& database, const record::Id& run,
                                                      RunColumn column);

} // namespace anodex::notebook
