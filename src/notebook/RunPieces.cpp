#include "notebook/RunPieces.h"

#include "notebook/NotebookError.h"
#include "notebook/Rows.h"
#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/RunStore.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <chrono>
#include <thread>

namespace anodex::notebook {
namespace {

using Clock = std::chrono::steady_clock;

constexpr auto kLongestPiece = std::chrono::milliseconds(20);
// Who waits tries again now and then: without a pause as long as the piece it might never find the moment
// between two of them.
constexpr auto kPause = std::chrono::milliseconds(10);
constexpr int kChunksDroppedAtOnce = 64;

void execWith(SQLite::Database& database, const char* sql, const record::Id& run) {
    SQLite::Statement statement(database, sql);
    statement.bind(1, run);
    statement.exec();
}

void begin(SQLite::Database& database, const record::RunHeader& run) {
    SQLite::Transaction transaction(database);
    putRow(database, run);
    sealRow(database, "run", run.id);
    putChannels(database, run.id, usualChannels());
    execWith(database, "INSERT INTO unfinished VALUES (?)", run.id);
    transaction.commit();
}

/// Chunks from sample `from` on until the time is up; the sample after the last.
std::size_t piece(SQLite::Database& database, const record::Id& run, const record::RunSamples& samples,
                  std::size_t from, const std::function<void(double)>& progress,
                  const std::stop_token& stop) {
    SQLite::Transaction transaction(database);
    const auto ends = Clock::now() + kLongestPiece;
    while (from < samples.size() && Clock::now() < ends) {
        from += putChunk(database, run, samples, from);
        if (progress) {
            progress(static_cast<double>(from) / static_cast<double>(samples.size()));
        }
        if (stop.stop_requested()) {
            throw NotebookError{NotebookError::Code::Stopped, {}};
        }
    }
    transaction.commit();
    return from;
}

} // namespace

void storeRun(SQLite::Database& database, const record::RunHeader& run, const record::RunSamples& samples,
              const std::function<void(double)>& progress, const std::stop_token& stop) {
    begin(database, run);
    try {
        for (std::size_t from = 0; from < samples.size();) {
            const auto began = Clock::now();
            from = piece(database, run.id, samples, from, progress, stop);
            if (from < samples.size()) {
                std::this_thread::sleep_for(std::max<Clock::duration>(kPause, Clock::now() - began));
            }
        }
    } catch (...) {
        try {
            discardRun(database, run.id);
        } catch (const SQLite::Exception&) {
            // The disk that had no room for the run may have none for this either: it is done at the next
            // opening.
        }
        throw;
    }
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
