#include "notebook/RunPieces.h"

#include "notebook/Rows.h"
#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/RunStore.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <chrono>

namespace anodex::notebook {
namespace {

using Clock = std::chrono::steady_clock;

constexpr auto kLongestPiece = std::chrono::milliseconds(20);
constexpr int kChunksDroppedAtOnce = 64;

void execWith(SQLite::Database& database, const char* sql, const record::Id& run) {
    SQLite::Statement statement(database, sql);
    statement.bind(1, run);
    statement.exec();
}

void begin(SQLite::Database& database, const record::RunHeader& run) {
    putRow(database, run);
    sealRow(database, "run", run.id);
    putChannels(database, run.id, usualChannels());
    execWith(database, "INSERT INTO unfinished VALUES (?)", run.id);
}

} // namespace

std::size_t storePiece(SQLite::Database& database, const record::RunHeader& run,
                       const record::RunSamples& samples, std::size_t from) {
    SQLite::Transaction transaction(database);
    if (from == 0) {
        begin(database, run);
    }
    const auto ends = Clock::now() + kLongestPiece;
    while (from < samples.size() && Clock::now() < ends) {
        from += putChunk(database, run.id, samples, from);
    }
    transaction.commit();
    return from;
}

void finishRun(SQLite::Database& database, const record::Id& run) {
    execWith(database, "DELETE FROM unfinished WHERE run = ?", run);
}

void discardRun(SQLite::Database& database, const record::Id& run) {
    for (bool more = true; more;) {
        SQLite::Transaction transaction(database);
        more = dropChunks(database, run, kChunksDroppedAtOnce);
        transaction.commit();
    }
    SQLite::Transaction transaction(database);
    dropTail(database, run);
    dropLevels(database, run);
    dropChannels(database, run);
    execWith(database, "DELETE FROM run WHERE id = ?", run);
    sealRow(database, "run", run);
    finishRun(database, run);
    transaction.commit();
}

} // namespace anodex::notebook
