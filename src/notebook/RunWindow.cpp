#include "notebook/RunWindow.h"

#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/RunStore.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <cmath>
#include <limits>
#include <optional>

namespace anodex::notebook {
namespace {

constexpr std::size_t kEnough = 4; // buckets that one stretch may fill

/// Puts what it is given into even parts of the time shown.
class Buckets {
public:
    Buckets(double from, double to, std::size_t count)
        : m_from(from), m_width((to - from) / static_cast<double>(count)), m_buckets(count) {}

    void add(const Bucket& stretch) {
        const double middle = 0.5 * (stretch.fromSeconds + stretch.toSeconds);
        const double at =
            std::clamp((middle - m_from) / m_width, 0.0, static_cast<double>(m_buckets.size() - 1));
        std::optional<Bucket>& bucket = m_buckets[static_cast<std::size_t>(at)];
        if (!bucket) {
            bucket = stretch;
            return;
        }
        bucket->toSeconds = stretch.toSeconds;
        bucket->low = std::min(bucket->low, stretch.low);
        bucket->high = std::max(bucket->high, stretch.high);
    }
    [[nodiscard]] std::vector<Bucket> filled() const {
        std::vector<Bucket> filled;
        for (const std::optional<Bucket>& bucket : m_buckets) {
            if (bucket) {
                filled.push_back(*bucket);
            }
        }
        return filled;
    }

private:
    double m_from;
    double m_width;
    std::vector<std::optional<Bucket>> m_buckets;
};

/// Parts of a level, from one to before another.
struct Parts {
    std::int64_t from = 0;
    std::int64_t to = std::numeric_limits<std::int64_t>::max();
};

/// Those of a level that hold anything of the time shown, within what the level above leaves.
Parts partsWithin(SQLite::Database& database, const record::Id& run, int level, const Parts& within,
                  double from, double to) {
    SQLite::Statement query(database,
                            "SELECT min(part), max(part) FROM run_level WHERE run = ?1 AND level = ?2 AND "
                            "column_name = 0 AND part >= ?3 AND part < ?4 AND last >= ?5 AND first <= ?6");
    SQLite::bind(query, run, level, within.from, within.to, from, to);
    if (!query.executeStep() || query.getColumn(0).isNull()) {
        return {0, 0};
    }
    return {query.getColumn(0).getInt64(), query.getColumn(1).getInt64() + 1};
}

void addStretches(SQLite::Database& database, const record::Id& run, int level, const Parts& parts,
                  std::size_t column, Buckets& buckets) {
    SQLite::Statement query(
        database,
        "SELECT t.first, t.last, v.low, v.high FROM run_level t JOIN run_level v ON v.run = t.run AND "
        "v.level = t.level AND v.part = t.part AND v.column_name = ?5 WHERE t.run = ?1 AND "
        "t.level = ?2 AND t.column_name = 0 AND t.part >= ?3 AND t.part < ?4 ORDER BY t.part");
    SQLite::bind(query, run, level, parts.from, parts.to, static_cast<int>(column));
    while (query.executeStep()) {
        buckets.add({query.getColumn(0).getDouble(), query.getColumn(1).getDouble(),
                     query.getColumn(2).getDouble(), query.getColumn(3).getDouble()});
    }
}

/// Those samples of a part that lie in the time shown.
TakePart intoBuckets(std::size_t column, double from, double to, Buckets& buckets) {
    return [=, &buckets](const Columns& columns) {
        const std::span<const double> seconds = columns.front();
        const auto first = std::lower_bound(seconds.begin(), seconds.end(), from) - seconds.begin();
        const auto last = std::upper_bound(seconds.begin(), seconds.end(), to) - seconds.begin();
        for (auto i = static_cast<std::size_t>(first); i < static_cast<std::size_t>(last); ++i) {
            buckets.add({seconds[i], seconds[i], columns[column][i], columns[column][i]});
        }
    };
}

} // namespace

std::pair<double, double> spanOf(SQLite::Database& database, const record::Id& run) {
    std::optional<std::pair<double, double>> span;
    const auto add = [&](double first, double last) {
        span = span ? std::pair(std::min(span->first, first), std::max(span->second, last))
                    : std::pair(first, last);
    };
    const bool levelled = database.tableExists("run_level");
    SQLite::Statement query(
        database,
        levelled
            ? "SELECT min(first), max(last) FROM run_level WHERE run = ?1 AND level = 3 AND column_name = 0"
            : "SELECT min(first), max(last) FROM run_chunk WHERE run = ?1 AND column_name = 0");
    query.bind(1, run);
    if (query.executeStep() && !query.getColumn(0).isNull()) {
        add(query.getColumn(0).getDouble(), query.getColumn(1).getDouble());
    }
    eachTailRow(database, run,
                [&](const Columns& columns) { add(columns.front().front(), columns.front().back()); });
    return span.value_or(std::pair(0.0, 0.0));
}

std::vector<Bucket> windowOf(SQLite::Database& database, const record::Id& run, const std::string& channel,
                             double from, double to, std::size_t buckets) {
    const auto column = positionOf(channelsOf(database, run), channel);
    if (!column || !(to > from) || buckets == 0) {
        return {};
    }
    Buckets filled(from, to, buckets);
    const TakePart take = intoBuckets(*column, from, to, filled);
    if (!database.tableExists("run_level")) { // of an earlier version
        eachPart(database, run, take);
        return filled.filled();
    }
    Parts parts;
    for (int level = kHighestLevel; level >= 1; --level) {
        parts = partsWithin(database, run, level, parts, from, to);
        if (static_cast<std::size_t>(parts.to - parts.from) * kEnough >= buckets) {
            addStretches(database, run, level, parts, *column, filled);
            break;
        }
        if (level == 1) {
            eachChunk(database, run, parts.from, parts.to, take);
        } else {
            parts = {parts.from * kPartsPerLevel, parts.to * kPartsPerLevel};
        }
    }
    eachTailRow(database, run, take);
    return filled.filled();
}

} // namespace anodex::notebook
