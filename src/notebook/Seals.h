// src/notebook/Seals.h - a checksum for every stored row and chunk, in a table of its own.
//
// A checksum beside its row would go stale under undo, which writes old values back; so each command, undo
// and redo walks its changeset and seals anew what changed. Per table the number of rows and the sum of their
// checksums are kept too: a row that vanished together with its seal is missed there.
//
// Checksum   XXH3, 64 bits, over types and values of all columns in their order.
// Errors     SQLite::Exception; the caller's transaction rolls back.
#pragma once
#include "notebook/Changeset.h"
#include <cstdint>
#include <string>
#include <vector>

namespace SQLite {
class Database;
class Statement;
} // namespace SQLite

namespace anodex::notebook {

/// Tables of sealed rows and the text that names a row in them.
struct SealedTable {
    const char* name;
    const char* rowName; ///< SQL expression.
};
inline constexpr SealedTable kSealedTables[] = {{"project", "id"},
                                                {"revision", "id"},
                                                {"build", "id"},
                                                {"reading", "id"},
                                                {"event", "id"},
                                                {"run", "id"},
                                                {"document", "id"},
                                                {"run_chunk", "run || '/' || chunk || '/' || column_name"},
                                                {"run_tail", "run || '/' || sample"},
                                                {"channel", "run || '/' || number"},
                                                {"history", "CAST(id AS TEXT)"},
                                                {"import_mapping", "signature"},
                                                {"view_state", "key"}};

/// Seals every row as it stands, of the tables that are there: once, when a file gets its seals.
void sealEverything(SQLite::Database& database);

/// Of the row as it stands now; takes the seal away when the row is gone.
void sealRow(SQLite::Database& database, const std::string& table, const std::string& row);

/// Every row that a changeset touched.
void sealChanged(SQLite::Database& database, const Bytes& changeset);

/// The row is there and differs from its seal.
[[nodiscard]] bool sealBroken(SQLite::Database& database, const std::string& table, const std::string& row);

/// The row is there as it was sealed.
[[nodiscard]] bool sealHolds(SQLite::Database& database, const std::string& table, const std::string& row);

struct SealFault {
    enum class Kind { Differs, NotSealed, Missing, TableDiffers };
    Kind kind = Kind::Differs;
    std::string table;
    std::string row; ///< Empty for the table as a whole.
};

/// Reads every row. None for a file of a version without seals.
[[nodiscard]] std::vector<SealFault> sealFaultsIn(SQLite::Database& database);

} // namespace anodex::notebook
