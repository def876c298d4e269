// src/notebook/RunStore.h - bulk samples in chunks: 4,096 little-endian float64 a column, with first, last,
// low, high.
#pragma once
#include "core/bench/Thinning.h"
#include "core/record/Record.h"
#include <functional>
#include <stop_token>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr std::size_t kChunkSamples = 4096;

/// Stored numbers of the columns; never renumbered.
enum class RunColumn { Seconds = 0, Volts = 1, Amps = 2 };

/// False when `stop` was requested; the caller rolls back.
bool putSamples(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                const std::function<void(double)>& progress, const std::stop_token& stop);

[[nodiscard]] record::RunSamples samplesOf(SQLite::Database& database, const record::Id& run);

/// Lowest and highest of each chunk without reading the samples: enough to draw a run of any length at once.
[[nodiscard]] std::vector<bench::CurveSample> outlineOf(SQLite::Database& database, const record::Id& run,
                                                        RunColumn column);

} // namespace anodex::notebook
