// src/notebook/RunPieces.h - a run stored piece by piece, so that no transaction keeps another writer
// waiting.
//
// While it is being written a run is set aside and named in `unfinished`; a program that dies leaves it
// there, and the next one to open the notebook for editing takes it away.
#pragma once
#include "core/record/Record.h"
#include <functional>
#include <stop_token>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

/// Each transaction ends within about 50 ms. Throws when stopped or failed, and leaves nothing of the run.
void storeRun(SQLite::Database& database, const record::RunHeader& run, const record::RunSamples& samples,
              const std::function<void(double)>& progress, const std::stop_token& stop);

/// Within the transaction that brings the run in.
void finishRun(SQLite::Database& database, const record::Id& run);

/// Takes away what there is of an unfinished run.
void discardRun(SQLite::Database& database, const record::Id& run);

} // namespace anodex::notebook
