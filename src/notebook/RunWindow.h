// src/notebook/RunWindow.h - as much of a run as a picture of some width shows.
//
// Method     the coarsest level that still has a few stretches to a bucket; the samples themselves where even
//            the finest has too few. What is read grows with the buckets, not with the run.
// Errors     as RunStore.h.
#pragma once
#include "core/record/Record.h"
#include <string>
#include <utility>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// A part of the time shown; those without samples are left out.
struct Bucket {
    double fromSeconds = 0.0; ///< Of its first sample.
    double toSeconds = 0.0;   ///< Of its last.
    double low = 0.0;
    double high = 0.0;
    bool operator==(const Bucket&) const = default;
};

/// First and last second of a run; both 0 where it has no samples.
[[nodiscard]] std::pair<double, double> spanOf(SQLite::Database& database, const record::Id& run);

/// Of the samples from `from` to `to` seconds; neighbours at the edges may belong to them. None where the run
/// has no such channel.
[[nodiscard]] std::vector<Bucket> windowOf(SQLite::Database& database, const record::Id& run,
                                           const std::string& channel, double from, double to,
                                           std::size_t buckets);

} // namespace anodex::notebook
