#include "notebook/Schema.h"

#include "notebook/NotebookError.h"
#include "notebook/RunChannels.h"
#include "notebook/RunLevels.h"
#include "notebook/Seals.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <map>

namespace anodex::notebook {
namespace {

// A run has no foreign key: its samples outlive the undoing of the build they belong to, and come back with
// it.
constexpr const char* kFirst = R"(
        CREATE TABLE project  (id TEXT PRIMARY KEY NOT NULL, name TEXT NOT NULL, created INTEGER NOT NULL);
        CREATE TABLE revision (id TEXT PRIMARY KEY NOT NULL, project TEXT NOT NULL REFERENCES project(id),
                               parent TEXT, name TEXT NOT NULL, design TEXT NOT NULL, created INTEGER NOT NULL,
                               set_aside INTEGER NOT NULL);
        CREATE TABLE build    (id TEXT PRIMARY KEY NOT NULL, revision TEXT NOT NULL REFERENCES revision(id),
                               name TEXT NOT NULL, built INTEGER NOT NULL, as_built TEXT NOT NULL,
                               expectation TEXT NOT NULL, set_aside INTEGER NOT NULL);
        CREATE TABLE reading  (id TEXT PRIMARY KEY NOT NULL, build TEXT NOT NULL REFERENCES build(id),
                               quantity INTEGER NOT NULL, side INTEGER NOT NULL, value REAL NOT NULL, load_ohm REAL,
                               taken INTEGER NOT NULL, note TEXT NOT NULL, struck INTEGER NOT NULL);
        CREATE TABLE event    (id TEXT PRIMARY KEY NOT NULL, build TEXT NOT NULL REFERENCES build(id),
                               happened INTEGER NOT NULL, text TEXT NOT NULL, changes_cell INTEGER NOT NULL);
        CREATE TABLE run      (id TEXT PRIMARY KEY NOT NULL, build TEXT NOT NULL,
                               name TEXT NOT NULL, started INTEGER NOT NULL, samples INTEGER NOT NULL,
                               duration REAL NOT NULL, set_aside INTEGER NOT NULL);
        CREATE TABLE run_chunk(run TEXT NOT NULL, chunk INTEGER NOT NULL, column_name INTEGER NOT NULL,
                               samples INTEGER NOT NULL, first REAL NOT NULL, last REAL NOT NULL, low REAL NOT NULL,
                               high REAL NOT NULL, data BLOB NOT NULL, PRIMARY KEY (run, chunk, column_name));
        CREATE TABLE history  (id INTEGER PRIMARY KEY, happened INTEGER NOT NULL, sentence TEXT NOT NULL,
                               changeset BLOB NOT NULL, undone INTEGER NOT NULL);
        CREATE TABLE import_mapping(signature TEXT PRIMARY KEY NOT NULL, mapping TEXT NOT NULL);
        CREATE TABLE view_state(key TEXT PRIMARY KEY NOT NULL, value TEXT NOT NULL);
        CREATE INDEX revision_by_project ON revision(project);
        CREATE INDEX build_by_revision ON build(revision);
        CREATE INDEX reading_by_build ON reading(build);
        CREATE INDEX event_by_build ON event(build);
        CREATE INDEX run_by_build ON run(build);
)";

// What belongs to the whole notebook, as text in an open format.
constexpr const char* kDocuments =
    "CREATE TABLE document (id TEXT PRIMARY KEY NOT NULL, kind INTEGER NOT NULL, name TEXT NOT NULL, "
    "text TEXT NOT NULL, set_aside INTEGER NOT NULL)";

// A checksum a row, how many rows a table has and the sum of their checksums; runs that are still being
// written.
constexpr const char* kSeals = R"(
        CREATE TABLE seal      (of_table TEXT NOT NULL, row TEXT NOT NULL, sum INTEGER NOT NULL,
                                PRIMARY KEY (of_table, row)) WITHOUT ROWID;
        CREATE TABLE table_seal(of_table TEXT PRIMARY KEY NOT NULL, rows INTEGER NOT NULL, total INTEGER NOT NULL)
                                WITHOUT ROWID;
        CREATE TABLE unfinished(run TEXT PRIMARY KEY NOT NULL);
)";

// Runs that grow: what their columns are, what is not yet a whole chunk, and their outlines apart from the
// samples.
constexpr const char* kRecording = R"(
        CREATE TABLE channel  (run TEXT NOT NULL, number INTEGER NOT NULL, name TEXT NOT NULL, unit TEXT NOT NULL,
                               factor REAL NOT NULL, PRIMARY KEY (run, number));
        CREATE TABLE run_tail (run TEXT NOT NULL, sample INTEGER NOT NULL, samples INTEGER NOT NULL,
                               data BLOB NOT NULL, PRIMARY KEY (run, sample));
        CREATE TABLE run_level(run TEXT NOT NULL, level INTEGER NOT NULL, column_name INTEGER NOT NULL,
                               part INTEGER NOT NULL, samples INTEGER NOT NULL, first REAL NOT NULL,
                               last REAL NOT NULL, low REAL NOT NULL, high REAL NOT NULL,
                               PRIMARY KEY (run, level, column_name, part)) WITHOUT ROWID;
)";

// What a reading was taken on, and for how long it had been on.
constexpr const char* kLoads = R"(
        ALTER TABLE reading ADD COLUMN device TEXT;
        ALTER TABLE reading ADD COLUMN device_name TEXT;
        ALTER TABLE reading ADD COLUMN loaded_s REAL;
)";

struct Step {
    int version;
    const char* sql;
};
constexpr Step kSteps[] = {{1, kFirst}, {2, kDocuments}, {3, kSeals}, {4, kRecording}, {5, kLoads}};
constexpr int kFirstSealed = 3;
constexpr int kFirstRecording = 4;
constexpr int kFirstLoads = 5;

void nameChannels(SQLite::Database& database) {
    std::vector<std::string> runs;
    SQLite::Statement query(database, "SELECT id FROM run");
    while (query.executeStep()) {
        runs.push_back(query.getColumn(0).getString());
    }
    for (const std::string& run : runs) {
        putChannels(database, run, usualChannels());
    }
}

/// Readings that are as they were sealed.
std::vector<std::string> soundReadings(SQLite::Database& database) {
    std::vector<std::string> rows;
    SQLite::Statement query(database, "SELECT id FROM reading");
    while (query.executeStep()) {
        rows.push_back(query.getColumn(0).getString());
    }
    rows.erase(std::remove_if(rows.begin(), rows.end(),
                              [&](const std::string& row) { return !sealHolds(database, "reading", row); }),
               rows.end());
    return rows;
}

void take(SQLite::Database& database, const Step& step) {
    // Longer rows have other seals; of one that was damaged before, the old seal stays and tells it.
    const std::vector<std::string> sound =
        step.version == kFirstLoads ? soundReadings(database) : std::vector<std::string>();
    database.exec(step.sql);
    if (step.version == kFirstSealed) {
        sealEverything(database);
    }
    if (step.version == kFirstRecording) {
        nameChannels(database);
        rebuildLevels(database);
    }
    for (const std::string& row : sound) {
        sealRow(database, "reading", row);
    }
    database.exec("PRAGMA user_version = " + std::to_string(step.version));
}

using Things = std::map<std::string, std::string>; // name to definition

std::string withSingleBlanks(const std::string& text) {
    std::string result;
    for (const char c : text) {
        const bool blank = c == ' ' || c == '\n';
        if (!blank || (!result.empty() && result.back() != ' ')) {
            result += blank ? ' ' : c;
        }
    }
    return result;
}

Things thingsIn(SQLite::Database& database) {
    Things things;
    SQLite::Statement query(
        database, "SELECT name, coalesce(sql, '') FROM sqlite_schema WHERE name NOT LIKE 'sqlite_%'");
    while (query.executeStep()) {
        things[query.getColumn(0).getString()] = withSingleBlanks(query.getColumn(1).getString());
    }
    return things;
}

Things thingsOfVersion(int version) {
    SQLite::Database pattern(":memory:", SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    for (const Step& step : kSteps) {
        if (step.version <= version) {
            pattern.exec(step.sql);
        }
    }
    return thingsIn(pattern);
}

} // namespace

int versionOf(SQLite::Database& database) {
    return database.execAndGet("PRAGMA user_version").getInt();
}

void createSchema(SQLite::Database& database) {
    SQLite::Transaction transaction(database);
    database.exec("PRAGMA application_id = " + std::to_string(kApplicationId));
    for (const Step& step : kSteps) {
        take(database, step);
    }
    transaction.commit();
}

void bringUpToDate(SQLite::Database& database) {
    for (const Step& step : kSteps) {
        if (step.version > versionOf(database)) {
            SQLite::Transaction transaction(database);
            take(database, step);
            transaction.commit();
        }
    }
}

base::Said missingFrom(SQLite::Database& database) {
    const Things there = thingsIn(database);
    for (const auto& [name, definition] : thingsOfVersion(versionOf(database))) {
        const auto found = there.find(name);
        if (found == there.end()) {
            return {"notebook.table-missing", {{"name", name}}};
        }
        if (found->second != definition) {
            return {"notebook.table-otherwise", {{"name", name}}};
        }
    }
    return {};
}

base::Said foreignIn(SQLite::Database& database) {
    const Things ours = thingsOfVersion(versionOf(database));
    for (const auto& [name, definition] : thingsIn(database)) {
        if (!ours.contains(name)) {
            return {"notebook.table-foreign", {{"name", name}}};
        }
    }
    return {};
}

void verify(SQLite::Database& database) {
    if (database.execAndGet("PRAGMA application_id").getInt64() != kApplicationId) {
        throw NotebookError{NotebookError::Code::NotANotebook, database.getFilename()};
    }
    const int version = versionOf(database);
    if (version > kSchemaVersion) {
        throw NotebookError{NotebookError::Code::Newer, database.getFilename()};
    }
    const base::Said missing =
        version < 1 ? base::Said("notebook.impossible-version") : missingFrom(database);
    if (!missing.empty()) {
        throw NotebookError{NotebookError::Code::Damaged, missing};
    }
}

} // namespace anodex::notebook
