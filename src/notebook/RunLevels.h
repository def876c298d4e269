// src/notebook/RunLevels.h - lowest and highest of ever longer stretches of a run, in a narrow table apart from
// the samples: a run of any length is drawn from few rows.
//
// Level 1 is a chunk of 4,096 samples, level 2 has 64 chunks, level 3 4,096 of them. They can always be made
// again from the chunks, so they have no checksums: check() compares.
#pragma once
#include "core/record/Record.h"
#include <cstdint>
#include <string>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

inline constexpr int kHighestLevel = 3;
inline constexpr std::int64_t kPartsPerLevel = 64;

/// A stretch of one column.
struct Stretch {
    std::int64_t samples = 0;
    double first = 0.0;
    double last = 0.0;
    double low = 0.0;
    double high = 0.0;
    bool operator==(const Stretch&) const = default;
};

/// Of a chunk that follows all that were put before.
void putLevels(SQLite::Database& database, const record::Id& run, std::int64_t chunk, int column,
               const Stretch& stretch);

void dropLevels(SQLite::Database& database, const record::Id& run);

/// Makes all of them anew.
void rebuildLevels(SQLite::Database& database);

/// Runs whose levels are not those of their chunks. None in a file without levels.
[[nodiscard]] std::vector<record::Id> runsWithWrongLevels(SQLite::Database& database);

} // namespace anodex::notebook
