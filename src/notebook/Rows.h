// src/notebook/Rows.h - records to rows and back, one pair of functions a table.
#pragma once
#include "core/record/Record.h"
#include "notebook/Change.h"
#include <optional>
#include <string>
#include <vector>

namespace SQLite {
class Database;
}

namespace anodex::notebook {

void putRow(SQLite::Database& database, const record::Project& project);
void putRow(SQLite::Database& database, const record::Revision& revision);
void putRow(SQLite::Database& database, const record::Build& build);
void putRow(SQLite::Database& database, const record::Reading& reading);
void putRow(SQLite::Database& database, const record::Event& event);
void putRow(SQLite::Database& database, const record::RunHeader& run);
void putRow(SQLite::Database& database, const record::Document& document);

[[nodiscard]] std::vector<record::Project> projectRows(SQLite::Database& database);
[[nodiscard]] std::vector<record::Revision> revisionRows(SQLite::Database& database);
[[nodiscard]] std::vector<record::Build> buildRows(SQLite::Database& database);
[[nodiscard]] std::vector<record::Reading> readingRows(SQLite::Database& database, const record::Id& build);
[[nodiscard]] std::vector<record::Event> eventRows(SQLite::Database& database, const record::Id& build);
[[nodiscard]] std::vector<record::RunHeader> runRows(SQLite::Database& database, const record::Id& build);

/// None in a file of a version that has no documents.
[[nodiscard]] std::vector<record::Document> documentRows(SQLite::Database& database);

/// One row of a table with undo; none when there is no such row.
[[nodiscard]] std::optional<Change> rowOf(SQLite::Database& database, const std::string& table,
                                          const record::Id& id);

/// A stored design or expectation that no longer reads; names the row.
struct RowFault {
    base::Said said;
};

/// Ids of rows of revision, build, document or reading that would raise a RowFault.
[[nodiscard]] std::vector<std::string> unreadableRows(SQLite::Database& database, const std::string& table);

} // namespace anodex::notebook
