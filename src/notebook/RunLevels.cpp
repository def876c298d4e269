#include "notebook/RunLevels.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <SQLiteCpp/VariadicBind.h>
#include <algorithm>
#include <map>
#include <set>
#include <tuple>

namespace anodex::notebook {
namespace {

/// Run, level, column and part.
using Key = std::tuple<std::string, int, int, std::int64_t>;
using Levels = std::map<Key, Stretch>;

Stretch stretchAt(SQLite::Statement& row, int first) {
    return {row.getColumn(first).getInt64(), row.getColumn(first + 1).getDouble(),
            row.getColumn(first + 2).getDouble(), row.getColumn(first + 3).getDouble(),
            row.getColumn(first + 4).getDouble()};
}

Levels levelsFromChunks(SQLite::Database& database) {
    Levels levels;
    SQLite::Statement query(database, "SELECT run, chunk, column_name, samples, first, last, low, high "
                                      "FROM run_chunk ORDER BY run, chunk, column_name");
    while (query.executeStep()) {
        const std::string run = query.getColumn(0).getString();
        std::int64_t part = query.getColumn(1).getInt64();
        const Stretch stretch = stretchAt(query, 3);
        for (int level = 1; level <= kHighestLevel; ++level, part /= kPartsPerLevel) {
            const auto [at, fresh] =
                levels.emplace(Key{run, level, query.getColumn(2).getInt(), part}, stretch);
            if (!fresh) {
                Stretch& whole = at->second;
                whole.samples += stretch.samples;
                whole.last = stretch.last;
                whole.low = std::min(whole.low, stretch.low);
                whole.high = std::max(whole.high, stretch.high);
            }
        }
    }
    return levels;
}

Levels levelsStored(SQLite::Database& database) {
    Levels levels;
    SQLite::Statement query(
        database, "SELECT run, level, column_name, part, samples, first, last, low, high FROM run_level");
    while (query.executeStep()) {
        levels[{query.getColumn(0).getString(), query.getColumn(1).getInt(), query.getColumn(2).getInt(),
                query.getColumn(3).getInt64()}] = stretchAt(query, 4);
    }
    return levels;
}

void insert(SQLite::Database& database, const Key& key, const Stretch& stretch) {
    SQLite::Statement put(database,
                          "INSERT INTO run_level VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8, ?9) "
                          "ON CONFLICT(run, level, column_name, part) DO UPDATE SET samples = samples + "
                          "excluded.samples, last = excluded.last, low = min(low, excluded.low), "
                          "high = max(high, excluded.high)");
    const auto& [run, level, column, part] = key;
    SQLite::bind(put, run, level, column, part, stretch.samples, stretch.first, stretch.last, stretch.low,
                 stretch.high);
    put.exec();
}

} // namespace

void putLevels(SQLite::Database& database, const record::Id& run, std::int64_t chunk, int column,
               const Stretch& stretch) {
    std::int64_t part = chunk;
    for (int level = 1; level <= kHighestLevel; ++level, part /= kPartsPerLevel) {
        insert(database, {run, level, column, part}, stretch);
    }
}

void dropLevels(SQLite::Database& database, const record::Id& run) {
    SQLite::Statement remove(database, "DELETE FROM run_level WHERE run = ?");
    remove.bind(1, run);
    remove.exec();
}

void rebuildLevels(SQLite::Database& database) {
    database.exec("DELETE FROM run_level");
    for (const auto& [key, stretch] : levelsFromChunks(database)) {
        insert(database, key, stretch);
    }
}

std::vector<record::Id> runsWithWrongLevels(SQLite::Database& database) {
    if (!database.tableExists("run_level")) {
        return {};
    }
    const Levels wanted = levelsFromChunks(database);
    const Levels stored = levelsStored(database);
    std::set<record::Id> wrong;
    for (const auto& [one, other] : {std::pair(&wanted, &stored), std::pair(&stored, &wanted)}) {
        for (const auto& [key, stretch] : *one) {
            const auto found = other->find(key);
            if (found == other->end() || !(found->second == stretch)) {
                wrong.insert(std::get<0>(key));
            }
        }
    }
    return {wrong.begin(), wrong.end()};
}

} // namespace anodex::notebook
