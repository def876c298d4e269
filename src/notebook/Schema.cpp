#include "notebook/Schema.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <string>

namespace anodex::notebook {
namespace {

// Version 2: what belongs to the whole notebook, as text in an open format.
constexpr const char* kDocuments =
    "CREATE TABLE document (id TEXT PRIMARY KEY NOT NULL, kind INTEGER NOT NULL, name TEXT NOT NULL, "
    "text TEXT NOT NULL, set_aside INTEGER NOT NULL)";

void setVersion(SQLite::Database& database) {
    database.exec("PRAGMA user_version = " + std::to_string(kSchemaVersion));
}

} // namespace

void bringUpToDate(SQLite::Database& database) {
    if (database.execAndGet("PRAGMA user_version").getInt() >= kSchemaVersion) {
        return;
    }
    SQLite::Transaction transaction(database);
    database.exec(kDocuments);
    setVersion(database);
    transaction.commit();
}

void createSchema(SQLite::Database& database) {
    SQLite::Transaction transaction(database);
    // A run has no foreign key: its samples outlive the undoing of the build they belong to, and come back
    // with it.
    database.exec(R"(
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
    )");
    database.exec("PRAGMA application_id = " + std::to_string(kApplicationId));
    database.exec(kDocuments);
    setVersion(database);
    transaction.commit();
}

} // namespace anodex::notebook
