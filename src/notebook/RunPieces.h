// src/notebook/RunPieces.h - a run stored piece by piece, so that no transaction keeps another writer
// waiting.
//
// While it is being written a run is set aside and named in `unfinished`; a program that dies leaves it
// there, and the next one to open the notebook for editing takes it away.
#pragma once
#include "core/record/Record.h"
#include <cstddef>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// Stores what fits into about 20 ms from sample `from` on, in one transaction; 0 begins the run. The sample
/// after the last that is stored.
[[nodiscard]] std::size_t storePiece(SQLite::Database& database, const record::RunHeader& run,
                                     const record::RunSamples& samples, std::size_t from);

/// Within the transaction that brings the run in.
void finishRun(SQLite::Database& database, const record::Id& run);

/// Takes away what there is of an unfinished run.
void discardRun(SQLite::Database& database, const record::Id& run);

} // namespace anodex::notebook
